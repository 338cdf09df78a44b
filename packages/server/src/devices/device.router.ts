import { isUnixSeconds, StandInDto } from '@trug/contract';
import { Router, type Request } from 'express';
import { rateLimit } from 'express-rate-limit';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import type { DeviceService, ReadPost } from './device.service.js';
import type { LiveHub } from './live-hub.js';
import type { StandIns } from './stand-ins.js';

/** Requests a device may make in a window: twenty a second in the ten seconds Trug runs with, each with up to 5,000 readings. */
const MOST_REQUESTS = 200;

function batchOf(query: unknown): string {
  if (typeof query !== 'string' || query === '') throw new HttpError('bad-request', 'say which batch, as ?batch=…');
  return query;
}

function sinceOf(query: unknown): number | null {
  if (query === undefined) return null;
  const sinceS = typeof query === 'string' && query !== '' ? Number(query) : NaN;
  if (!isUnixSeconds(sinceS)) throw new HttpError('bad-request', 'since is a moment in seconds since 1970, as ?since=1790000000');
  return sinceS;
}

/**
 * `POST /:id/readings` takes readings in, `DELETE /:id/readings?batch=` takes them out again, `GET /readings?batch=&since=` gives a batch's,
 * thinned where they are old, or those since a moment, `GET /live?batch=` follows them as
 * server-sent events, `GET /stand-ins`, `POST` and `DELETE /:id/stand-in` run simulated devices.
 *
 * @param parts - the use cases, the hub of open pages, the stand-ins and over how long requests are counted, ms
 * @returns the router
 */
export function createDeviceRouter({
  service,
  hub,
  standIns,
  floodWindowMs,
}: {
  readonly service: DeviceService;
  readonly hub: LiveHub;
  readonly standIns: StandIns;
  readonly floodWindowMs: number;
}): Router {
  const router = Router();
  const limited = rateLimit({
    windowMs: floodWindowMs,
    limit: MOST_REQUESTS,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    keyGenerator: (request) => String(request.params['id']),
    handler: (_request, _response, next) => {
      next(
        new HttpError(
          'too-many',
          `More than ${MOST_REQUESTS} requests in ${floodWindowMs / 1000} seconds from one device. Wait as Retry-After says, or send several readings as one list.`,
        ),
      );
    },
  });
  router.get('/readings', async (request, response) => {
    response.json(await service.shownOf(batchOf(request.query['batch']), sinceOf(request.query['since'])));
  });
  router.get('/live', (request, response) => {
    hub.follow(batchOf(request.query['batch']), response);
  });
  // Looked at before it is counted: what is no reading of this device does not use up what it may send.
  const posts = new WeakMap<Request, ReadPost>();
  router.post(
    '/:id/readings',
    async (request, _response, next) => {
      posts.set(request, await service.read(String(request.params['id']), request.body));
      next();
    },
    limited,
    async (request, response) => {
      const post = posts.get(request);
      if (post) response.json(await service.store(post));
    },
  );
  router.delete('/:id/readings', async (request, response) => {
    response.json({ forgotten: await service.forget(request.params.id, batchOf(request.query['batch'])) });
  });
  router.get('/stand-ins', (_request, response) => {
    response.json(standIns.running());
  });
  router.post('/:id/stand-in', async (request, response) => {
    response.json(await standIns.start(request.params.id, readBody(StandInDto, request.body)));
  });
  router.delete('/:id/stand-in', (request, response) => {
    standIns.stop(request.params.id);
    response.json(standIns.running());
  });
  return router;
}
