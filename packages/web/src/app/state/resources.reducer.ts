import { createEntityAdapter, type EntityAdapter, type EntityState } from '@ngrx/entity';
import { createFeature, createReducer, createSelector, on, type ActionReducer, type Store } from '@ngrx/store';
import type { InstrumentDto, PlaceDto, StoredJuice, StoredRecipe, SupplyDto } from '@trug/contract/plain';
import { AppApiActions } from './app.actions';
import { ResourceApiActions, type Named, type Resource, type ResourceName } from './resources.actions';

/** Resources of one name, as the server last stored them. */
function reducerOf<T extends Resource>(of: ResourceName, adapter: EntityAdapter<T>): ActionReducer<EntityState<T>> {
  // What is stored under a name is a resource of that name, which the compiler cannot follow through a union.
  const isOwn = (name: ResourceName, _resource: Resource | undefined): _resource is T => name === of;
  const all = (resources: readonly Resource[]): readonly T[] => resources.filter((resource): resource is T => isOwn(of, resource));
  return createReducer<EntityState<T>>(
    adapter.getInitialState(),
    on(AppApiActions.loaded, (state, { snapshot }) => adapter.setAll([...all(snapshot[of])], state)),
    on(AppApiActions.listsRefreshed, (state, { lists }) => {
      const own = lists[of];
      return own ? adapter.setAll([...all(own)], state) : state;
    }),
    on(ResourceApiActions.resourceStored, (state, { sent, resource }) => (isOwn(sent.of, resource) ? adapter.upsertOne(resource, state) : state)),
    on(ResourceApiActions.resourceGone, (state, { sent }) => (sent.of === of ? adapter.removeOne(sent.resource.id, state) : state)),
  );
}

const juices = createEntityAdapter<StoredJuice>();
const juicesReducer = reducerOf('juices', juices);
const supplies = createEntityAdapter<SupplyDto>();
const suppliesReducer = reducerOf('supplies', supplies);
const places = createEntityAdapter<PlaceDto>();
const placesReducer = reducerOf('places', places);
const instruments = createEntityAdapter<InstrumentDto>();
const instrumentsReducer = reducerOf('instruments', instruments);
const recipes = createEntityAdapter<StoredRecipe>();
const recipesReducer = reducerOf('recipes', recipes);

/** Juices in hand. */
export const juicesFeature = createFeature({
  name: 'juices',
  reducer: juicesReducer,
  extraSelectors: ({ selectJuicesState }) => juices.getSelectors(selectJuicesState),
});

/** What the cupboard holds to be used up. */
export const suppliesFeature = createFeature({
  name: 'supplies',
  reducer: suppliesReducer,
  extraSelectors: ({ selectSuppliesState }) => supplies.getSelectors(selectSuppliesState),
});

/** Where vessels stand. */
export const placesFeature = createFeature({
  name: 'places',
  reducer: placesReducer,
  extraSelectors: ({ selectPlacesState }) => places.getSelectors(selectPlacesState),
});

/** What is measured with. */
export const instrumentsFeature = createFeature({
  name: 'instruments',
  reducer: instrumentsReducer,
  extraSelectors: ({ selectInstrumentsState }) => instruments.getSelectors(selectInstrumentsState),
});

/** Ways of making that are kept to be made again. */
export const recipesFeature = createFeature({
  name: 'recipes',
  reducer: recipesReducer,
  extraSelectors: ({ selectRecipesState }) => recipes.getSelectors(selectRecipesState),
});

/** Every resource that the store has now. */
const selectAllNamed = createSelector(
  juicesFeature.selectAll,
  suppliesFeature.selectAll,
  placesFeature.selectAll,
  instrumentsFeature.selectAll,
  recipesFeature.selectAll,
  (juices, supplies, places, instruments, recipes): readonly Named[] => [
    ...juices.map((resource) => ({ of: 'juices' as const, resource })),
    ...supplies.map((resource) => ({ of: 'supplies' as const, resource })),
    ...places.map((resource) => ({ of: 'places' as const, resource })),
    ...instruments.map((resource) => ({ of: 'instruments' as const, resource })),
    ...recipes.map((resource) => ({ of: 'recipes' as const, resource })),
  ],
);

/**
 * A resource as the store has it now.
 *
 * @param store - the store
 * @param id - of the resource
 * @returns it; null when it is not there
 */
export const resourceById = (store: Store, id: string): Named | null =>
  store
    .selectSignal(selectAllNamed)()
    .find(({ resource }) => resource.id === id) ?? null;
