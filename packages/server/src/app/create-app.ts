import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { API_PATHS, type ClockAnswer } from '@trug/contract';
import expressStaticGzip from 'express-static-gzip';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { BookKeeper } from '../book/book-keeper.js';
import { createCellarRouter } from '../book/cellar.router.js';
import type { CellarService } from '../book/cellar.service.js';
import type { ChangeHub } from '../changes/change-hub.js';
import { boundedJson } from '../http/bounded-body.js';
import { createProblemHandler, notFound } from '../http/problem-handler.js';
import { RUN_HEADER } from '../run/run-header.js';
import { listIn } from '../http/read-body.js';
import { whoMayAsk } from '../http/who-may-ask.js';
import type { TastingDoor } from '../tasting/tasting-door.js';
import { createTastingRouter } from '../tasting/tasting.router.js';
import { createSeasonRouter } from './season.router.js';
import type { SeasonOf, ThrowAwaySeason } from './throw-away-season.js';

/** What the app is made of. */
export interface AppDeps {
  /** The time, and how the book stands. */
  readonly told: () => ClockAnswer;
  readonly log: Logger;
  /** The built web app; undefined serves the API alone. */
  readonly webDir: string | undefined;
  readonly dataDir: string | null;
  readonly keeper: BookKeeper;
  readonly cellar: CellarService;
  readonly changes: ChangeHub;
  /** What answers from the book that is open now. */
  readonly bookRoutes: () => RequestHandler;
  /** Where Trug listens, known once it does. */
  readonly port: () => number;
  /** By which whoever started this process knows it again; null when nobody asked. */
  readonly runToken: string | null;
  /** The season this Trug can show, or what it is itself the season of; null where it can show none. */
  readonly season: ThrowAwaySeason | SeasonOf | null;
  /** The way in for guests' phones. */
  readonly tasting: TastingDoor;
}

const YEAR_MS = 365 * 86_400_000;

const STRICT = helmet({
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
});

/**
 * The whole HTTP application; it does not listen.
 *
 * @param deps - the book's keeper, clock, log and the built web app
 * @returns an Express app
 */
export function createApp(deps: AppDeps): Express {
  const { told, log, webDir, dataDir, keeper, cellar, changes, bookRoutes, port, runToken, season, tasting } = deps;
  const app = express();
  app.disable('x-powered-by');
  app.use(STRICT, whoMayAsk(port));
  app.get(API_PATHS.clock, (_request, response) => {
    if (runToken !== null) response.setHeader(RUN_HEADER, runToken);
    response.json(told());
  });
  app.get(API_PATHS.changes, (request, response) => {
    // A stream that was cut says by itself which change it had last; a window that comes back says it in the address.
    const { after } = request.query;
    changes.follow(response, request.header('last-event-id') ?? (typeof after === 'string' ? after : undefined));
  });
  app.use(API_PATHS.season, createSeasonRouter(season));
  const json = boundedJson();
  app.use(API_PATHS.cellar, createCellarRouter(cellar, json));
  app.use(API_PATHS.tasting, ...json, createTastingRouter(tasting));
  app.use('/api', ...json, async (_request, response, next) => {
    await keeper.during(new Promise((resolve) => response.once('close', resolve)));
    next();
  });
  app.use((request, response, next) => {
    bookRoutes()(request, response, next);
  });
  app.use('/api', notFound);
  if (webDir !== undefined) serveWeb(app, webDir);
  app.use(notFound);
  app.use(createProblemHandler({ log, dataDir, noteTrouble: keeper.noteTrouble }));
  return app;
}

/** Where the shelf is shown: what most windows open at. */
const SHELF_PATHS: readonly string[] = ['/', '/shelf'];

/** The scripts that the shelf needs besides those every page needs, as the build left word. */
function shelfChunks(webDir: string): readonly string[] {
  const path = join(webDir, 'preloads.json');
  const told: unknown = existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : null;
  return listIn(told, 'shelf')?.filter((file) => typeof file === 'string') ?? [];
}

function serveWeb(app: Express, webDir: string): void {
  const index = join(webDir, 'index.html');
  if (!existsSync(index)) throw new Error(`the web app is not built: ${index} is missing`);
  const shelfLinks = shelfChunks(webDir).map((file) => `</${file}>; rel=modulepreload`);
  app.get(/^\/(?!api\/)[^.]*$/, (request, response, next) => {
    if (SHELF_PATHS.includes(request.path) && shelfLinks.length > 0) response.setHeader('Link', shelfLinks.join(', '));
    request.url = '/index.html';
    next();
  });
  // The build has packed the app's own files, once and as tightly as can be. Nothing else is packed: whoever asks is on this machine,
  // and packing two megabytes of batches takes ten times as long as sending them.
  app.use(
    expressStaticGzip(webDir, {
      enableBrotli: true,
      orderPreference: ['br'],
      index: false,
      serveStatic: {
        setHeaders: (response, path) => {
          // Built files carry a hash in their name, so a change is a new file.
          const hashed = /-(?:[A-Z0-9]{8}|[0-9a-f]{8})\.\w+(?:\.(?:br|gz))?$/.test(path);
          response.setHeader('Cache-Control', hashed ? `public, max-age=${YEAR_MS / 1000}, immutable` : 'no-cache');
        },
      },
    }),
  );
}
