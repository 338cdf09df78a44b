import type { Response } from 'express';
import { createEventStreams } from '../http/event-stream.js';

/** What changed in the book, for pages that show it. */
export interface Change {
  /** Batches whose log or facts changed. */
  readonly batches?: readonly string[];
  /** Resources that changed as a whole list: `juices`, `vessels`, `settings` and so on; `all` when another book took the place. */
  readonly resources?: readonly string[];
}

/** Tells every open window what changes, as server-sent events. */
export interface ChangeHub {
  /** Keeps a response open and tells it what changed after a head it knows, then what changes. */
  readonly follow: (response: Response, after: string | undefined) => void;
  /** Says it to every window, with the name of the one that did it. */
  readonly tell: (change: Change, by: string | undefined) => void;
  /** The last change told, by which a window says what it knows. */
  readonly head: () => string;
  readonly close: () => void;
}

/** More than a window that was away catches up with one by one, changes. */
const MOST_KEPT = 500;
/** What a window is told whose head is not known any more. */
const EVERYTHING: Change = { resources: ['all'] };

const together = (changes: readonly Change[]): Change => ({
  batches: [...new Set(changes.flatMap((change) => change.batches ?? []))],
  resources: [...new Set(changes.flatMap((change) => change.resources ?? []))],
});

/**
 * A hub without windows.
 *
 * @param run - tells this run's changes from those of an earlier one, which count from 1 as well
 * @returns the hub
 */
export function createChangeHub(run: string): ChangeHub {
  const streams = createEventStreams();
  const kept: Change[] = [];
  let last = 0;
  const headAt = (number: number): string => `${run}.${number}`;
  /** What was missed since a head; everything when too much was, or the head is another run's. */
  const since = (head: string): Change | null => {
    const number = Number(head.slice(run.length + 1));
    if (!head.startsWith(`${run}.`) || !Number.isInteger(number) || number > last || number < last - kept.length) return EVERYTHING;
    return number === last ? null : together(kept.slice(number - last));
  };
  return {
    follow: (response, after) => {
      const missed = after === undefined ? null : since(after);
      streams.open(response, [
        { event: 'hello', data: {} },
        { event: 'change', data: { ...missed, by: null }, id: headAt(last) },
      ]);
    },
    tell: (change, by) => {
      last += 1;
      kept.push(change);
      if (kept.length > MOST_KEPT) kept.shift();
      streams.send({ event: 'change', data: { ...change, by: by ?? null }, id: headAt(last) });
    },
    head: () => headAt(last),
    close: streams.close,
  };
}
