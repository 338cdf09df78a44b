import { ulid } from 'ulid';
import type { AddressInfo } from 'node:net';
import { createServer, type Server } from 'node:http';
import type { RequestHandler } from 'express';
import pino, { type Logger } from 'pino';
import type { ClockAnswer } from '@trug/contract';
import { createBookKeeper } from '../book/book-keeper.js';
import { CellarError } from '../db/cellar-error.js';
import { createCellarService, tidyFolders } from '../book/cellar.service.js';
import { createChangeHub } from '../changes/change-hub.js';
import { createReadingsPost } from './post-readings.js';
import { createApp } from './create-app.js';
import { createBookApp, type BookApp } from './create-book-app.js';
import { createThrowAwaySeason, type SeasonOf, type SeasonProcess, type ThrowAwaySeason } from './throw-away-season.js';
import { createClock } from '../run/clock.js';
import type { Config } from '../run/config.js';
import { createTastingDoor } from '../tasting/tasting-door.js';

/** A running Trug. */
export interface RunningServer {
  readonly url: string;
  /** Why the cellar is not open, in a sentence; null when it is. */
  readonly trouble: string | null;
  /** Turns a clock that is held still. */
  readonly turnTo: (today: string) => void;
  /** Ends within five seconds, whatever clients do; what was acknowledged is on the disk then. */
  readonly stop: () => Promise<void>;
}

/** What a start needs. */
export type StartConfig = Omit<Config, 'runToken' | 'seasonOf'> & {
  readonly runToken?: string | null;
  /** Over how long a device's requests are counted. A test takes longer than usual, so that a slow machine floods too. */
  readonly floodWindowMs?: number;
  /** Starts the Trug that a throw-away season is shown in, told where this one answers; or what this one is the season of. */
  readonly season?: ((home: string) => Promise<SeasonProcess>) | SeasonOf;
};

const FLOOD_WINDOW_MS = 10_000;
/** Requests under way get this long to end by themselves once Trug is told to stop, ms. */
const GRACE_MS = 2500;
const HOUR_MS = 3_600_000;
const TIDY_MS = 15_000;
/** A request that is not sent whole within this time is let go, ms. */
const SLOWEST_REQUEST_MS = 30_000;

/**
 * Opens the cellar, brings it up to date and listens.
 *
 * @param config - host, port, data folder, day and web folder
 * @param log - where to write; by default pino on standard output
 * @returns the address and a way to stop cleanly
 * @throws {CellarError} when the folder is taken or cannot be used, or the port is
 */
export async function startServer(config: StartConfig, log: Logger = pino({ level: config.logLevel })): Promise<RunningServer> {
  const clock = createClock(config.today);
  const changes = createChangeHub(ulid());
  let port = 0;
  let ownUrl = '';
  let serving: BookApp | null = null;
  const keeper = await createBookKeeper({
    dataDir: config.dataDir,
    now: clock.now,
    serve: (book) => {
      const app = createBookApp(book, {
        clock,
        changes,
        told: () => told(),
        postReadings: createReadingsPost(() => ownUrl),
        floodWindowMs: config.floodWindowMs ?? FLOOD_WINDOW_MS,
      });
      // Another book than the windows show.
      if (serving) changes.tell({ resources: ['all'] }, undefined);
      serving = app;
      return app;
    },
  });
  const current = (): BookApp => {
    if (!serving) throw new Error('no book is open');
    return serving;
  };
  const cellar = createCellarService({ dataDir: config.dataDir, keeper, now: clock.now, log, unreadable: () => current().unreadable() });
  const bookRoutes = (): RequestHandler => current().router;
  const season = seasonFor(config, () => addressOf(config, port));
  const told = (): ClockAnswer => ({
    now: clock.now().toISOString(),
    fixed: clock.fixed,
    mode: keeper.book().state.mode,
    head: changes.head(),
    home: season !== null && 'home' in season ? season.home : null,
  });
  const tasting = createTastingDoor(config.tastingHost);
  let server: Server;
  try {
    const app = createApp({
      told,
      log,
      webDir: config.webDir,
      dataDir: config.dataDir,
      keeper,
      cellar,
      changes,
      bookRoutes,
      port: () => port,
      runToken: config.runToken ?? null,
      season,
      tasting,
    });
    server = createServer({ requestTimeout: SLOWEST_REQUEST_MS, headersTimeout: SLOWEST_REQUEST_MS / 2 }, app);
    await listening(server, config);
  } catch (error) {
    await keeper.close();
    throw error;
  }
  port = (server.address() as AddressInfo).port;
  ownUrl = `http://${config.host === '::1' ? '[::1]' : config.host}:${port}`;
  const url = addressOf(config, port);
  keeper.announce(url);
  if (config.dataDir !== null) tidyFolders(config.dataDir);
  const timers = [setInterval(() => void cellar.backUpDaily(), HOUR_MS), setInterval(() => void keeper.tidy(), TIDY_MS)];
  for (const timer of timers) timer.unref();
  const firstBackup = cellar.backUpDaily();
  const { state } = keeper.book();
  return {
    url,
    trouble: state.mode === 'open' ? null : state.why,
    turnTo: clock.turnTo,
    stop: async () => {
      for (const timer of timers) clearInterval(timer);
      changes.close();
      await tasting.shut();
      if (season !== null && 'close' in season) await season.close();
      await closed(server);
      await firstBackup;
      await keeper.close();
    },
  };
}

/** The season that is shown from here, or what this one is the season of; null where none can be started. */
function seasonFor({ season }: StartConfig, home: () => string): ThrowAwaySeason | SeasonOf | null {
  if (season === undefined) return null;
  return typeof season === 'function' ? createThrowAwaySeason(() => season(home())) : season;
}

/** Where a browser finds it. */
function addressOf({ host }: StartConfig, port: number): string {
  return `http://${host === '127.0.0.1' ? 'localhost' : host}:${port}`;
}

async function listening(server: Server, { port, host }: StartConfig): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      const words = `Something else already answers on port ${port}. Stop it, or name another port in TRUG_PORT.`;
      reject(error.code === 'EADDRINUSE' ? new CellarError('port-taken', words, { cause: error }) : error);
    });
    server.listen(port, host, resolve);
  });
}

/** Takes no more requests, lets those under way end, and cuts off whatever has not ended by then. */
async function closed(server: Server): Promise<void> {
  const ended = new Promise<void>((resolve) => server.close(() => resolve()));
  server.closeIdleConnections();
  const cut = setTimeout(() => server.closeAllConnections(), GRACE_MS);
  await ended;
  clearTimeout(cut);
}
