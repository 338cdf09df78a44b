import { API_PATHS, type ClockAnswer, InstrumentDto, JuiceDto, PlaceDto, RecipeDto, SupplyDto, type UnreadableRow } from '@trug/contract';
import { Router, type RequestHandler } from 'express';
import { createBatchRouter } from '../batches/batch.router.js';
import { createBatchService } from '../batches/batch.service.js';
import { InstrumentModel, JuiceModel, PlaceModel, RecipeModel, SupplyModel } from '../resources/resource.models.js';
import { createResourceRouter } from '../resources/resource.router.js';
import { createResourceStore } from '../resources/resource.store.js';
import type { BookInUse } from '../book/book-keeper.js';
import type { BookState } from '../book/open-book.js';
import type { ChangeHub } from '../changes/change-hub.js';
import { tellChanges } from '../changes/tell-changes.js';
import { checkPlacement, isInstrumentTold } from '../devices/check-placement.js';
import { createDeviceRouter } from '../devices/device.router.js';
import { createDeviceService } from '../devices/device.service.js';
import { createLiveHub } from '../devices/live-hub.js';
import { createStandIns, type PostReadings } from '../devices/stand-ins.js';
import { summaryStore } from '../batches/summary.store.js';
import { entryRepository } from '../batches/entry.repository.js';
import { createEntryRouter } from '../batches/entry.router.js';
import { createEntryService } from '../batches/entry.service.js';
import { checkJuice } from '../batches/pours.js';
import { HttpError } from '../http/http-error.js';
import { createReadingsRouter } from '../devices/readings-out.js';
import { checkRecipe } from '../resources/check-recipe.js';
import { createSettingsRouter } from '../resources/settings.router.js';
import { settingsInForce, unreadableSettings } from '../resources/settings.store.js';
import { createVesselRouter, vesselList } from '../resources/vessel.router.js';
import type { Clock } from '../run/clock.js';
import { startAnswer } from './start-answer.js';

/** What serves a book is made of. */
export interface BookAppDeps {
  readonly clock: Clock;
  readonly changes: ChangeHub;
  /** The time, and how the book stands. */
  readonly told: () => ClockAnswer;
  /** How a stand-in posts: over HTTP, as any device does. */
  readonly postReadings: PostReadings;
  /** Over how long a device's requests are counted before it is told to wait, ms. */
  readonly floodWindowMs: number;
}

/** Everything that answers from one book, and a way to end what it keeps running. */
export interface BookApp {
  readonly router: Router;
  readonly unreadable: () => Promise<readonly UnreadableRow[]>;
  readonly close: () => void;
}

/** A damaged book is only looked at, a closed one not even that. */
function asFarAsItGoes(state: BookState): RequestHandler {
  return (request, _response, next) => {
    if (state.mode === 'closed') throw new HttpError('closed', state.why);
    if (state.mode === 'salvaged' && request.method !== 'GET' && request.method !== 'HEAD') throw new HttpError('read-only', state.why);
    next();
  };
}

/**
 * What answers from one book.
 *
 * @param book - the open book with its queue of writes
 * @param deps - clock, open windows and the ways of devices
 * @returns its routes under `/api`
 */
export function createBookApp({ sequelize, queue: { write }, state }: BookInUse, { clock, changes, told, postReadings, floodWindowMs }: BookAppDeps): BookApp {
  const juices = createResourceStore({ model: JuiceModel, dto: JuiceDto, word: 'juice', check: checkJuice, isTold: entryRepository.tellsOf }, write);
  const supplies = createResourceStore({ model: SupplyModel, dto: SupplyDto, word: 'supply', isTold: entryRepository.tellsOf }, write);
  const places = createResourceStore({ model: PlaceModel, dto: PlaceDto, word: 'place', isTold: entryRepository.tellsOf }, write);
  const instruments = createResourceStore(
    { model: InstrumentModel, dto: InstrumentDto, word: 'instrument', check: checkPlacement, isTold: isInstrumentTold },
    write,
  );
  const recipes = createResourceStore({ model: RecipeModel, dto: RecipeDto, word: 'recipe', check: checkRecipe, isTold: entryRepository.tellsOf }, write);
  const entries = createEntryService({ write, clock, juices });
  const batches = createBatchService({ sequelize, write, entries });
  const hub = createLiveHub();
  const devices = createDeviceService({ write, clock, instruments, hub });
  const standIns = createStandIns({ clock, instruments, batches, devices, post: postReadings });
  const router = Router();
  router.use('/api', asFarAsItGoes(state), tellChanges(changes));
  router.get(
    API_PATHS.start,
    startAnswer({
      told,
      batches: batches.wholeAsJson,
      lists: {
        vessels: vesselList,
        settings: () => settingsInForce(null),
        juices: juices.list,
        supplies: supplies.list,
        instruments: instruments.list,
        places: places.list,
        recipes: recipes.list,
      },
    }),
  );
  router.use(API_PATHS.batches, createBatchRouter(batches));
  router.use(API_PATHS.juices, createResourceRouter(juices));
  router.use(API_PATHS.supplies, createResourceRouter(supplies));
  router.use(API_PATHS.places, createResourceRouter(places));
  router.use(API_PATHS.instruments, createResourceRouter(instruments));
  router.use(API_PATHS.recipes, createResourceRouter(recipes));
  router.use(API_PATHS.devices, createDeviceRouter({ service: devices, hub, standIns, floodWindowMs }));
  router.use(API_PATHS.entries, createEntryRouter(entries));
  router.use(API_PATHS.vessels, createVesselRouter(write, entryRepository.tellsOf, summaryStore.heldL));
  router.use(API_PATHS.settings, createSettingsRouter(write));
  router.use(API_PATHS.readings, createReadingsRouter({ batches, devices, instruments }));
  return {
    router,
    unreadable: async () => [
      ...(await entryRepository.read(null)).unreadable,
      ...(await Promise.all([juices, supplies, places, instruments, recipes].map((store) => store.unreadable()))).flat(),
      ...(await unreadableSettings()),
    ],
    close: () => {
      standIns.stopAll();
      hub.close();
    },
  };
}
