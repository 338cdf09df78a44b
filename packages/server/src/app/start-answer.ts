import type { ClockAnswer, StartAnswer } from '@trug/contract';
import type { RequestHandler } from 'express';
import { keptAnswer, type KeptAnswer } from '../http/kept-answer.js';

/** What the answer to a window that opens is made of. */
export interface StartDeps {
  readonly told: () => ClockAnswer;
  readonly batches: KeptAnswer;
  /** Each of the other lists, and the settings, by the name they have in the answer. */
  readonly lists: { readonly [L in Exclude<keyof StartAnswer, keyof ClockAnswer | 'batches'>]: () => Promise<object> };
}

/**
 * Answers a window that opens with all it needs at once: a browser asks for six things at a time and lets the rest wait.
 *
 * @param deps - where it comes from
 * @returns the handler
 */
export function startAnswer({ told, batches, lists }: StartDeps): RequestHandler {
  // Whatever changes them is told to the other windows, and moves the head on.
  const others = keptAnswer({
    madeOf: () => Promise.resolve(told().head),
    make: async () => JSON.stringify(Object.fromEntries(await Promise.all(Object.entries(lists).map(async ([name, list]) => [name, await list()] as const)))),
  });
  return async (_request, response) => {
    // The head before anything is read: changes after it are told.
    const clock = JSON.stringify(told());
    const [kept, rest] = await Promise.all([batches(), others()]);
    // All of it is text already.
    response.type('json').send(Buffer.concat([Buffer.from(`${clock.slice(0, -1)},"batches":`), kept.json, Buffer.from(','), rest.json.subarray(1)]));
  };
}
