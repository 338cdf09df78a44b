import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { API_PATHS, InstrumentDto, JuiceDto, PlaceDto, SupplyDto } from '@trug/contract';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import { createBatchRouter } from '../batches/batch.router.js';
import { createBatchService } from '../batches/batch.service.js';
import { InstrumentModel, JuiceModel, PlaceModel, SupplyModel } from '../cards/card.models.js';
import { createCardRouter } from '../cards/card.router.js';
import { createCardStore } from '../cards/card.store.js';
import { createWriteQueue } from '../db/write-queue.js';
import { checkInstrument } from '../devices/check-instrument.js';
import { createDeviceRouter } from '../devices/device.router.js';
import { createDeviceService } from '../devices/device.service.js';
import { createLiveHub } from '../devices/live-hub.js';
import { createStandIns, type PostReadings } from '../devices/stand-ins.js';
import { createEntryRouter } from '../entries/entry.router.js';
import { createEntryService } from '../entries/entry.service.js';
import { createFamilyRouter } from '../families/family.router.js';
import { checkJuiceCard } from '../families/pours.js';
import { createProblemHandler, notFound } from '../http/problem-handler.js';
import { createSettingsRouter } from '../settings/settings.router.js';
import { createVesselRouter } from '../vessels/vessel.router.js';
import type { Clock } from './clock.js';

/** What the app is made of. */
export interface AppDeps {
  readonly sequelize: Sequelize;
  readonly clock: Clock;
  readonly log: Logger;
  /** The built web app; undefined serves the API alone. */
  readonly webDir: string | undefined;
  /** How a stand-in posts: over HTTP, as any device does. */
  readonly postReadings: PostReadings;
  /** Over how long a device's requests are counted before it is told to wait. Ten seconds; a test takes longer, so that a slow machine floods too. */
  readonly floodWindowMs?: number;
}

/** The application and a way to end what it keeps running. */
export interface RunningApp {
  readonly app: Express;
  /** Ends open streams and simulated devices, so that the server can close. */
  readonly close: () => void;
}

const BODY_LIMIT = '1mb';
const FLOOD_WINDOW_MS = 10_000;
const YEAR_MS = 365 * 86_400_000;

/**
 * The whole HTTP application; it does not listen.
 *
 * @param deps - database, clock, log and the built web app
 * @returns an Express app, and how to end what it keeps running
 */
export function createApp({ sequelize, clock, log, webDir, postReadings, floodWindowMs = FLOOD_WINDOW_MS }: AppDeps): RunningApp {
  const write = createWriteQueue(sequelize);
  const juices = createCardStore({ model: JuiceModel, dto: JuiceDto, word: 'juice', check: checkJuiceCard }, write);
  const supplies = createCardStore({ model: SupplyModel, dto: SupplyDto, word: 'supply' }, write);
  const places = createCardStore({ model: PlaceModel, dto: PlaceDto, word: 'place' }, write);
  const instruments = createCardStore({ model: InstrumentModel, dto: InstrumentDto, word: 'instrument', check: checkInstrument }, write);
  const entries = createEntryService({ write, clock, juices });
  const batches = createBatchService({ write, entries });
  const hub = createLiveHub();
  const devices = createDeviceService({ write, clock, instruments, hub });
  const standIns = createStandIns({ clock, instruments, batches, devices, post: postReadings });
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // Angular writes component styles into the page as style elements.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          frameAncestors: ["'none'"],
          formAction: ["'self'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use(express.json({ limit: BODY_LIMIT }));
  app.get(API_PATHS.clock, (_request, response) => {
    response.json({ now: clock.now().toISOString(), fixed: clock.fixed });
  });
  app.use(API_PATHS.batches, createBatchRouter(batches));
  app.use(API_PATHS.families, createFamilyRouter(batches));
  app.use(API_PATHS.juices, createCardRouter(juices));
  app.use(API_PATHS.supplies, createCardRouter(supplies));
  app.use(API_PATHS.places, createCardRouter(places));
  app.use(API_PATHS.instruments, createCardRouter(instruments));
  app.use(API_PATHS.devices, createDeviceRouter({ service: devices, hub, standIns, floodWindowMs }));
  app.use(API_PATHS.entries, createEntryRouter(entries));
  app.use(API_PATHS.vessels, createVesselRouter(write));
  app.use(API_PATHS.settings, createSettingsRouter(write));
  app.use('/api', notFound);
  if (webDir !== undefined) serveWeb(app, webDir);
  app.use(notFound);
  app.use(createProblemHandler(log));
  const close = (): void => {
    standIns.stopAll();
    hub.close();
  };
  return { app, close };
}

function serveWeb(app: Express, webDir: string): void {
  const index = join(webDir, 'index.html');
  if (!existsSync(index)) throw new Error(`the web app is not built: ${index} is missing`);
  app.use(
    express.static(webDir, {
      index: false,
      setHeaders: (response, path) => {
        // Built files carry a hash in their name, so a change is a new file.
        const hashed = /-[A-Z0-9]{8}\.\w+$/.test(path);
        response.setHeader('Cache-Control', hashed ? `public, max-age=${YEAR_MS / 1000}, immutable` : 'no-cache');
      },
    }),
  );
  app.get(/^\/(?!api\/)[^.]*$/, (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(index);
  });
}
