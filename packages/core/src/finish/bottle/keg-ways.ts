import { byId } from '../../base/errors/by-id.js';

/** How gas gets into a keg. */
export const KEG_WAY_IDS = ['slow', 'quick', 'shaken'] as const;
export type KegWayId = (typeof KEG_WAY_IDS)[number];

/** One way of gassing a keg. */
export interface KegWay {
  readonly id: KegWayId;
  readonly name: string;
  /** From opening the gas until it is at its level. */
  readonly days: number;
  /** What is done, with what the regulator is set to, bar, and how its maker writes a pressure. */
  readonly how: (bar: number, say: (bar: number) => string) => string;
}

/** What is set for a quick start, well under what any keg is stamped for, bar. @source usual practice of about 2 bar for a day and a half */
const QUICK_BAR = 2;

/** @source usual practice; days are our estimates for a cold keg */
export const KEG_WAYS: readonly KegWay[] = [
  {
    id: 'slow',
    name: 'Slowly',
    days: 10,
    how: (bar, say) => `Set ${say(bar)} and leave it. About ten days, and it cannot overshoot.`,
  },
  {
    id: 'quick',
    name: 'Quickly',
    days: 2,
    how: (bar, say) =>
      bar >= QUICK_BAR
        ? `${say(bar)} is as much as a quick start takes: set it and leave it, about ten days.`
        : `${say(QUICK_BAR)} for a day and a half, then shut the gas, let off what stands over it, and set ${say(bar)}. Longer overshoots.`,
  },
  {
    id: 'shaken',
    name: 'Shaken',
    days: 1,
    how: (bar, say) =>
      `At ${say(bar)}, roll it on its side until no more gas is heard to run in, twenty minutes or so. Stand it up for a night before you draw.`,
  },
];

/** The way of an id; throws UNKNOWN_ID for any other. */
export const kegWayById = byId('way of gassing a keg', KEG_WAYS);
