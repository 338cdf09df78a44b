import type { SupplyKind } from './supply-kinds.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import { calendarDays } from '../../matter/quantity/days.js';
import type { SupplyOffer } from './supply-catalogue.js';
import { shareOfSupply, type SupplyUnit } from '../summary/supplies-left.js';

/** What is wanted of the cupboard. */
export interface Need {
  readonly kind: SupplyOffer['kind'];
  readonly refId: string | null;
  readonly amount: number;
  readonly unit: 'g' | 'mL' | 'tablet';
}

/** A supply in the cupboard with what is left of it. */
export interface SupplyInHand {
  readonly id: string;
  /** `bottles` are filled and not used up; `other` serves no need Trug knows. */
  readonly kind: SupplyKind;
  readonly refId: string | null;
  readonly unit: SupplyUnit;
  readonly packetG: number | null;
  /** What a level teaspoon of it weighs, g, by the maker's own scales; absent where nobody weighed one. */
  readonly teaspoonG?: number | undefined;
  /** What its packet asks for in a litre, g; absent where nobody said. */
  readonly doseGPerL?: number | undefined;
  /** The last day it is good, `2027-05-31`; null when it keeps. */
  readonly bestBefore: string | null;
  readonly left: number;
}

/** What keeps for ever is used last. */
const KEEPS = '9999';

/** Puts what goes off first first, for sorting. */
export const soonestFirst = (a: Pick<SupplyInHand, 'bestBefore'>, b: Pick<SupplyInHand, 'bestBefore'>): number =>
  (a.bestBefore ?? KEEPS).localeCompare(b.bestBefore ?? KEEPS);

const isPastDate = ({ bestBefore }: Pick<SupplyInHand, 'bestBefore'>, today: string): boolean => bestBefore !== null && calendarDays(today, bestBefore) < 0;

/**
 * Supplies in the order in which they are used: of those in date what goes off first, then what is past its date, the freshest first.
 *
 * @param supplies - in any order
 * @param today - ISO 8601
 */
export function inOrderOfUse<S extends Pick<SupplyInHand, 'bestBefore'>>(supplies: readonly S[], today: string): readonly S[] {
  const sorted = [...supplies].sort(soonestFirst);
  const isPast = (s: S): boolean => isPastDate(s, today);
  return [...sorted.filter((s) => !isPast(s)), ...sorted.filter(isPast).reverse()];
}

/** What of the cupboard serves a need. */
export interface SupplyTaken<S> {
  readonly supply: S;
  readonly use: SupplyUse;
  /** Whether its last good day is over: what goes into the drink is gone from the cupboard all the same. */
  readonly isPast: boolean;
}

/**
 * Which supply serves a need, and how much of it: of those in date the one that goes off first; where all are past theirs, the freshest.
 *
 * @param need - what is wanted
 * @param supplies - everything in the cupboard, in any order
 * @param today - ISO 8601
 * @returns null when there is none
 */
export function supplyFor<S extends SupplyInHand>(need: Need, supplies: readonly S[], today: string): SupplyTaken<S> | null {
  for (const supply of inOrderOfUse(supplies, today)) {
    const fits = supply.kind === need.kind && supply.refId === need.refId;
    const amount = fits ? shareOfSupply(need, supply) : null;
    if (amount !== null) return { supply, use: { supplyId: supply.id, amount }, isPast: isPastDate(supply, today) };
  }
  return null;
}

/**
 * How much of a supply was brought in, when what is left of it is put right.
 *
 * @param amount - brought in so far, in its unit
 * @param left - of it by the logs
 * @param found - left of it by what the maker found
 * @returns the amount with which the logs leave what was found
 */
export const broughtIn = (amount: number, left: number, found: number): number => Math.max(0, Math.round((amount - left + found) * 100) / 100);
