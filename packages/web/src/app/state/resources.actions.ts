import type { InstrumentDto, PlaceDto, Problem, StoredJuice, StoredRecipe, SupplyDto } from '@trug/contract/plain';
import { createActionGroup, props } from '@ngrx/store';

/** What is changed as a whole, on the version it was read at. */
export interface Resources {
  readonly juices: StoredJuice;
  readonly supplies: SupplyDto;
  readonly places: PlaceDto;
  readonly instruments: InstrumentDto;
  readonly recipes: StoredRecipe;
}
export type ResourceName = keyof Resources;
export type Resource = Resources[ResourceName];
/** A resource with which of them it is. */
export type Named = { readonly [N in ResourceName]: { readonly of: N; readonly resource: Resources[N] } }[ResourceName];

/** What people do with juices, supplies, places, instruments and recipes. */
export const ResourcePageActions = createActionGroup({
  source: 'Resource Page',
  events: {
    'Resource Saved': props<{ readonly sent: Named }>(),
    'Resource Removed': props<{ readonly sent: Named }>(),
  },
});

/** What the server answers; `sent` is the very object that was sent. */
export const ResourceApiActions = createActionGroup({
  source: 'Resource API',
  events: {
    'Resource Stored': props<{ readonly sent: Named; readonly resource: Resource }>(),
    'Resource Gone': props<{ readonly sent: Named }>(),
    'Resource Refused': props<{ readonly sent: Named; readonly problem: Problem }>(),
  },
});
