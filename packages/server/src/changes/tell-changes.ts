import type { RequestHandler, Response } from 'express';
import { API_PATHS } from '@trug/contract';
import { listIn } from '../http/read-body.js';
import type { ChangeHub } from './change-hub.js';

/** By which header a window says who it is, so that it is not told what it did itself. */
export const WINDOW_HEADER = 'x-trug-window';
const LONGEST_NAME = 40;

const RESOURCE_AT: readonly (readonly [path: string, resource: string])[] = [
  [API_PATHS.juices, 'juices'],
  [API_PATHS.supplies, 'supplies'],
  [API_PATHS.places, 'places'],
  [API_PATHS.instruments, 'instruments'],
  [API_PATHS.recipes, 'recipes'],
  [API_PATHS.vessels, 'vessels'],
  [API_PATHS.settings, 'settings'],
];

function batchesIn(body: unknown): readonly string[] {
  const textIn = (item: unknown, name: string): unknown => (typeof item === 'object' && item !== null ? new Map(Object.entries(item)).get(name) : undefined);
  const begun = (listIn(body, 'batches') ?? []).map((batch) => textIn(batch, 'id'));
  const filed = (listIn(body, 'entries') ?? []).map((entry) => textIn(entry, 'batchId'));
  return [...new Set([...begun, ...filed].filter((id) => typeof id === 'string'))];
}

/** Does something once a handler has ended its answer, before any of it leaves. */
function beforeEnd(response: Response, work: () => void): void {
  response.end = new Proxy(response.end, {
    apply: (end, self, rest) => {
      work();
      return Reflect.apply(end, self, rest) as Response;
    },
  });
}

/**
 * Tells the other windows what a request changed, once it is answered well.
 *
 * @param hub - the open windows
 * @returns a handler to go before the routers
 */
export function tellChanges(hub: ChangeHub): RequestHandler {
  return (request, response, next) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') {
      const path = `${request.baseUrl}${request.path}`;
      // Not when the answer has gone out: whoever asked may have left meanwhile, and what they wrote is in the book all the same.
      beforeEnd(response, () => {
        if (response.statusCode >= 300) return;
        const by = request.header(WINDOW_HEADER)?.slice(0, LONGEST_NAME);
        const [, resource] = RESOURCE_AT.find(([at]) => path.startsWith(at)) ?? [];
        if (resource !== undefined) hub.tell({ resources: [resource] }, by);
        const touched = path.startsWith(API_PATHS.devices) ? [] : batchesIn(request.body);
        if (touched.length > 0) hub.tell({ batches: touched }, by);
      });
    }
    next();
  };
}
