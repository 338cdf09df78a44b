import type { ClockAnswer, StartAnswer } from '@trug/contract';
import type { RequestHandler } from 'express';
import type { KeptAnswer } from '../http/kept-answer.js';

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
  return async (_request, response) => {
    // The head before anything is read: changes after it are told.
    const clock = told();
    const [{ json }, ...named] = await Promise.all([batches(), ...Object.entries(lists).map(async ([name, list]) => [name, await list()] as const)]);
    const rest = JSON.stringify({ ...clock, ...Object.fromEntries(named) });
    // The batches are text already.
    response.type('json').send(Buffer.concat([Buffer.from(`${rest.slice(0, -1)},"batches":`), json, Buffer.from('}')]));
  };
}
