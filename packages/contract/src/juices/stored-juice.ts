import type { Juice } from '@trug/core';

/** A juice as stored: what was written down, and how often it was changed. */
export interface StoredJuice extends Juice {
  /** Raised by the server at each change; 0 before the first. */
  readonly version: number;
}
