import { CoreError } from '../../base/errors/core-error.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import type { Draft, Patch } from '../state/draft.js';
import type { Filed, Kind } from './kind.js';

/** How a bottle goes that nobody here drank. */
export const GONE_WAYS = ['given', 'broken'] as const;
export type GoneWay = (typeof GONE_WAYS)[number];

/** Bottles that left a crate: opened, unless it says how else. */
export interface OpenedPayload {
  readonly kindId: string;
  readonly count: number;
  /** The `bottled` entry of the crate; the first that has any of that kind where it is absent. */
  readonly crateId?: string;
  readonly how?: GoneWay;
}

/** How it went, in words. */
export const GONE_WORDS: Readonly<Record<GoneWay, string>> = { given: 'Given away', broken: 'Broken' };

function apply(state: Draft, entry: Filed<OpenedPayload>): Patch {
  const { kindId, crateId, how } = entry.payload;
  let toOpen = entry.payload.count;
  state.crates.forEach((crate, i) => {
    if (crateId !== undefined && crate.id !== crateId) return;
    const lots = crate.lots.map((lot) => {
      const taken = lot.kindId === kindId ? Math.min(lot.left, toOpen) : 0;
      toOpen -= taken;
      return taken > 0 ? { ...lot, left: lot.left - taken } : lot;
    });
    if (lots.some((lot, j) => lot !== crate.lots[j])) state.crates[i] = { ...crate, lots, lastOpenedAt: how === undefined ? entry.at : crate.lastOpenedAt };
  });
  if (toOpen > 0) {
    throw new CoreError('NOT_ALLOWED', `there are ${toOpen} fewer bottles of that kind than were opened`, { short: toOpen });
  }
  return {};
}

export const opened: Kind<OpenedPayload> = {
  apply,
  words: ({ payload: { kindId, count, how } }) => ({ lead: `${how === undefined ? 'Opened' : GONE_WORDS[how]} ${count}`, rest: bottleById(kindId).name }),
};
