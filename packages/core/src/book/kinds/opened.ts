import { CoreError } from '../../base/errors/core-error.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import type { Draft, Patch } from '../state/draft.js';
import type { Filed, Kind } from './kind.js';

/** Bottles opened. */
export interface OpenedPayload {
  readonly kindId: string;
  readonly count: number;
}

function apply(state: Draft, entry: Filed<OpenedPayload>): Patch {
  let toOpen = entry.payload.count;
  state.crates.forEach((crate, i) => {
    const lots = crate.lots.map((lot) => {
      const taken = lot.kindId === entry.payload.kindId ? Math.min(lot.left, toOpen) : 0;
      toOpen -= taken;
      return taken > 0 ? { ...lot, left: lot.left - taken } : lot;
    });
    if (lots.some((lot, j) => lot !== crate.lots[j])) state.crates[i] = { ...crate, lots, lastOpenedAt: entry.at };
  });
  if (toOpen > 0) {
    throw new CoreError('NOT_ALLOWED', `there are ${toOpen} fewer bottles of that kind than were opened`, { short: toOpen });
  }
  return {};
}

export const opened: Kind<OpenedPayload> = {
  apply,
  words: ({ payload }) => ({ lead: `Opened ${payload.count}`, rest: bottleById(payload.kindId).name }),
};
