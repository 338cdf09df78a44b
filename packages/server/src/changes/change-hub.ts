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
  readonly follow: (response: Response) => void;
  /** Says it to every window, with the name of the one that did it. */
  readonly tell: (change: Change, by: string | undefined) => void;
  readonly close: () => void;
}

/** A hub without windows. */
export function createChangeHub(): ChangeHub {
  const streams = createEventStreams();
  return {
    follow: streams.open,
    tell: (change, by) => {
      streams.send('change', { ...change, by: by ?? null });
    },
    close: streams.close,
  };
}
