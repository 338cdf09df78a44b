import { blindOrder, trianglesFor, type Triangle } from './blind-order.js';
import type { TrialWay } from './trial-substance.js';

/** A glass as it stands before a taster: what is written on it, and which drink is in it. */
export interface ServedGlass {
  readonly code: number;
  readonly drink: number;
}

/** A blind tasting while it is on: nobody is told anything before everybody has judged. */
export interface BlindSession {
  /** For each taster, the glasses in the order they are tasted. */
  readonly served: readonly (readonly ServedGlass[])[];
  readonly triangles: readonly Triangle[];
}

/** What a session is made of. */
export interface SessionAsked {
  readonly way: TrialWay;
  /** Drinks that differ, 2–4; two for a triangle. */
  readonly drinks: number;
  readonly tasters: number;
  readonly seed: number;
}

/**
 * What is poured for whom, told again from the seed it began with.
 *
 * @param asked - how it is judged, how many drinks and tasters, and the seed
 * @source {@link blindOrder}, {@link trianglesFor}
 */
export function blindSession({ way, drinks, tasters, seed }: SessionAsked): BlindSession {
  if (way === 'triangle') {
    const triangles = trianglesFor({ tasters, seed });
    return { triangles, served: triangles.map((each) => each.codes.map((code, i) => ({ code, drink: each.drinks[i] ?? 0 }))) };
  }
  const { codes, served } = blindOrder({ glasses: drinks, tasters, seed });
  return { triangles: [], served: served.map((order) => order.map((glass) => ({ code: codes[glass] ?? 0, drink: glass }))) };
}

/** How many glasses a taster has named in the end: all of a ranking, whose last follows by itself, the odd one of a triangle. */
export const pressesOf = (way: TrialWay, drinks: number): number => (way === 'triangle' ? 1 : drinks);

/**
 * What a taster has named once one more glass is pressed: the last of a ranking is what is left.
 *
 * @param way - how it is judged
 * @param glasses - how many stand before the taster
 * @param named - positions named so far, best first
 * @param position - the one pressed now
 */
export function namedWith(way: TrialWay, glasses: number, named: readonly number[], position: number): readonly number[] {
  const own = [...named, position];
  const left = Array.from({ length: glasses }, (_none, i) => i).filter((i) => !own.includes(i));
  return way === 'rank' && left.length === 1 ? [...own, ...left] : own;
}

/**
 * What each taster said of the drinks.
 *
 * @param session - the tasting
 * @param pressed - what each pressed, positions in the order served
 * @param way - how it is judged
 * @returns drinks from best to worst, or whether the odd one was found
 */
export function saidOf({ served, triangles }: BlindSession, pressed: readonly (readonly number[])[], way: TrialWay): readonly (readonly number[])[] {
  return pressed.map((order, taster) =>
    way === 'triangle' ? [order[0] === triangles[taster]?.odd ? 1 : 0] : order.map((position) => served[taster]?.[position]?.drink ?? 0),
  );
}

/**
 * What is poured of one drink for all tasters, L.
 *
 * @param session - the tasting
 * @param drink - by number
 * @param glassMl - in a glass, mL
 */
export const pouredL = ({ served }: BlindSession, drink: number, glassMl: number): number =>
  (served.flat().filter((glass) => glass.drink === drink).length * glassMl) / 1000;
