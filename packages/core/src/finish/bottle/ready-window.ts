import { bottleById, type BottleKind } from '../../base/reference/bottle-kinds.js';
import { dateAfter } from '../../matter/quantity/days.js';

/** When a crate drinks well. */
export interface ReadyWindow {
  /** `YYYY-MM-DD`. */
  readonly from: string;
  readonly bestUntil: string;
}

/** A crate as far as its keeping goes. */
export interface Keeping {
  readonly bottledAt: string;
  /** % by volume. */
  readonly abv: number;
  readonly sparkling: boolean;
  /** Gas were the sugar to wake that sulfite and sorbate hold; null where there is none. */
  readonly wakesVolumes?: number | null;
  /** Free sulfite when it was filled, mg/L. */
  readonly freeSo2MgPerL: number;
  readonly lots: readonly { readonly kindId: string }[];
  /** One of plastic stands beside them, which is not for keeping. */
  readonly testBottle?: boolean;
}

/** @source estimate: three weeks for fizz to form, two for a still drink to settle; stronger keeps longer */
const SPARKLING_WAIT_DAYS = 21;
const STILL_WAIT_DAYS = 14;
const WAIT_DAYS_PER_ABV_OVER_5 = 10;
const KEEP_DAYS = 270;
const KEEP_DAYS_PER_ABV_OVER_5 = 90;
/** Thin plastic lets air in: weeks, not months. @source estimate, ten weeks */
const PLASTIC_KEEP_DAYS = 70;
/** Share of the keeping time by closure. @source estimate: rubber rings breathe more than crown liners, wired corks less */
const CLOSURE_SHARE: Readonly<Record<BottleKind['closure'], number>> = { crown: 1, swing: 0.75, 'wired-cork': 1.2, screw: 1, cork: 1 };
/** A still drink with less free sulfite than this has nothing against the air in its neck. @source estimate */
const GUARDED_MG_PER_L = 10;
const UNGUARDED_SHARE = 0.6;
/** Sugar under sorbate: a first bottle after a week, all within weeks. @source usual practice; six weeks are our estimate */
const HELD_WAIT_DAYS = 7;
const HELD_KEEP_DAYS = 42;
/** It drinks well for so long at least, once it is ready. */
const LEAST_SPAN_DAYS = 14;

const overFive = (abv: number): number => Math.max(0, abv - 5);

/** Whether sugar in it is but held by sulfite and sorbate. */
export const isHeldSweet = ({ wakesVolumes = null }: Keeping): boolean => wakesVolumes !== null;

/** How long bottles keep, and what sets it. */
export function keepingOf(input: Keeping): { readonly keepsDays: number; readonly weakest: BottleKind | undefined; readonly isGuarded: boolean } {
  const isGuarded = input.sparkling || input.freeSo2MgPerL >= GUARDED_MG_PER_L;
  const usual = (KEEP_DAYS + overFive(input.abv) * KEEP_DAYS_PER_ABV_OVER_5) * (isGuarded ? 1 : UNGUARDED_SHARE);
  const keepOf = ({ closure }: BottleKind): number => (closure === 'screw' ? PLASTIC_KEEP_DAYS : usual * CLOSURE_SHARE[closure]);
  const all = input.lots.map((lot) => bottleById(lot.kindId));
  const glass = all.filter((kind) => kind.closure !== 'screw');
  const kinds = input.testBottle === true && glass.length > 0 ? glass : all;
  const keepsDays = Math.min(...kinds.map(keepOf));
  return { keepsDays, weakest: kinds.find((kind) => keepOf(kind) === keepsDays), isGuarded };
}

/**
 * When bottles are ready and until when they are at their best: the weakest kind in the crate decides.
 *
 * @param input - day of bottling, strength, fizz, free sulfite and the kinds of bottle
 * @param zone - IANA time zone of the maker
 * @returns both dates; our estimate, so taste decides
 */
export function readyWindow(input: Keeping, zone?: string): ReadyWindow {
  // Sorbate only slows yeast: such bottles are opened week by week, and are not for keeping.
  if (isHeldSweet(input)) return { from: dateAfter(input.bottledAt, HELD_WAIT_DAYS, zone), bestUntil: dateAfter(input.bottledAt, HELD_KEEP_DAYS, zone) };
  const { keepsDays } = keepingOf(input);
  const wait = (input.sparkling ? SPARKLING_WAIT_DAYS : STILL_WAIT_DAYS) + overFive(input.abv) * WAIT_DAYS_PER_ABV_OVER_5;
  return {
    from: dateAfter(input.bottledAt, wait, zone),
    bestUntil: dateAfter(input.bottledAt, Math.max(wait + LEAST_SPAN_DAYS, keepsDays), zone),
  };
}
