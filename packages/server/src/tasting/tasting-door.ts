import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { networkInterfaces } from 'node:os';
import type { TastingDto, TastingNow } from '@trug/contract';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import { HttpError } from '../http/http-error.js';
import { glassesPage, nothingPage, whoPage } from './tasting-pages.js';
import { pressedIn, roundOf, type TastingRound } from './tasting-round.js';

/** The way in for guests' phones, open while a tasting is judged and shut otherwise. */
export interface TastingDoor {
  readonly open: (asked: TastingDto) => Promise<TastingNow>;
  /** How it stands; null while it is shut. */
  readonly now: () => TastingNow | null;
  readonly shut: () => Promise<void>;
}

/** A door that nobody came through for so long is shut, ms. */
const LEFT_OPEN_MS = 4 * 3_600_000;
/** A press is a few letters. */
const MOST_BYTES = 200;

/** This machine's addresses in the house, which phones can reach. */
const houseAddresses = (): readonly string[] =>
  Object.values(networkInterfaces())
    .flat()
    .flatMap((one) => (one && !one.internal && one.family === 'IPv4' ? [one.address] : []));

const PAGES = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: { defaultSrc: ["'none'"], styleSrc: ["'unsafe-inline'"], formAction: ["'self'"], frameAncestors: ["'none'"] },
  },
  strictTransportSecurity: false,
});

/** What answers at the door: the pages of one round, for whoever has its link, and nothing else of Trug. */
function guestApp(round: () => TastingRound | null, put: (round: TastingRound) => void): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(PAGES, (_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  const asked = (secret: string | undefined): TastingRound | null => (round()?.secret === secret ? round() : null);
  app.get('/:secret', (request, response) => {
    const on = asked(request.params.secret);
    response.status(on ? 200 : 404).send(on ? whoPage(on) : nothingPage());
  });
  app.get('/:secret/:taster', (request, response) => {
    const on = asked(request.params.secret);
    const taster = Number(request.params.taster);
    const who = on?.tasters[taster];
    response.status(on && who ? 200 : 404).send(on && who ? glassesPage(on, taster, who) : nothingPage());
  });
  app.post('/:secret/:taster', express.urlencoded({ extended: false, limit: MOST_BYTES }), (request, response) => {
    const on = asked(request.params.secret);
    const body: unknown = request.body;
    const glass = typeof body === 'object' && body !== null && 'glass' in body ? body.glass : undefined;
    if (on && typeof glass === 'string') put(pressedIn(on, Number(request.params.taster), glass === 'back' ? 'back' : Number(glass)));
    response.redirect(303, `/${request.params.secret}/${request.params.taster}`);
  });
  app.use((_request, response) => {
    response.status(404).send(nothingPage());
  });
  const refused: ErrorRequestHandler = (_error, _request, response, next) => {
    // What a guest cannot have sent is nobody's business to explain.
    if (response.headersSent) next();
    else response.status(400).send(nothingPage());
  };
  app.use(refused);
  return app;
}

/**
 * A door for guests' phones. It listens on the house's network only from the press that opens it to the one that shuts it, answers to
 * nobody without the link, and knows the numbers on the glasses and nothing of the book.
 *
 * @param host - where it listens: `0.0.0.0` for the whole house
 */
export function createTastingDoor(host: string): TastingDoor {
  let round: TastingRound | null = null;
  let server: Server | null = null;
  let leftOpen: NodeJS.Timeout | undefined;
  const put = (next: TastingRound): void => {
    round = next;
    leftOpen?.refresh();
  };
  const shut = async (): Promise<void> => {
    const open = server;
    [server, round] = [null, null];
    clearTimeout(leftOpen);
    if (!open) return;
    await new Promise<void>((resolve) => {
      open.close(() => {
        resolve();
      });
      open.closeAllConnections();
    });
  };
  const addresses = (): readonly string[] => (host === '0.0.0.0' ? houseAddresses() : [host]);
  const told = (open: Server, { secret, tasters }: TastingRound): TastingNow => {
    const { port } = open.address() as AddressInfo;
    return {
      links: addresses().map((address) => `http://${address}:${port}/${secret}`),
      codes: tasters.map((t) => t.codes),
      pressed: tasters.map((t) => t.pressed),
    };
  };
  const open = async (asked: TastingDto): Promise<TastingNow> => {
    await shut();
    if (addresses().length === 0) throw new HttpError('not-allowed', 'This machine is on no network that a phone could reach. Hand this one round instead.');
    const next = roundOf(asked);
    const listener = createServer(
      { requestTimeout: 10_000 },
      guestApp(() => round, put),
    );
    await new Promise<void>((resolve, reject) => {
      listener.once('error', reject);
      listener.listen(0, host, resolve);
    });
    [server, round] = [listener, next];
    leftOpen = setTimeout(() => void shut(), LEFT_OPEN_MS);
    leftOpen.unref();
    return told(listener, next);
  };
  return { open, now: () => (server && round ? told(server, round) : null), shut };
}
