import { blindOrder, trianglesFor, type Triangle } from '@trug/core/finish/trial/blind-order';
import { LITRES_PER } from '@trug/core/matter/quantity/units';
import type { Units } from '../../units/units';
import type { TrialDoses } from '@trug/core/finish/trial/trial-doses';
import type { TrialWay } from '@trug/core/finish/trial/trial-substance';

/** Who tastes, in the order in which the phone goes round. */
const MOST_NAMES = 12;
const LONGEST_NAME = 40;

/** The names written in a line, each once. */
export const namesIn = (text: string): readonly string[] =>
  [
    ...new Set(
      text
        .split(/[,;\n]|\band\b/)
        .map((name) => name.trim().slice(0, LONGEST_NAME))
        .filter((name) => name !== ''),
    ),
  ].slice(0, MOST_NAMES);

/** A glass as it stands before a taster: what is written on it, and which drink is in it. */
export interface ServedGlass {
  readonly code: number;
  readonly drink: number;
}

/** A trial while it is on: nobody is told anything before everybody has judged. */
export interface TrialSession {
  /** For each taster, the glasses in the order they are tasted. */
  readonly served: readonly (readonly ServedGlass[])[];
  readonly triangles: readonly Triangle[];
}

/** What is poured for whom, told again from the seed it began with. */
export function sessionOf({
  way,
  glasses,
  tasters,
  seed,
}: {
  readonly way: TrialWay;
  readonly glasses: number;
  readonly tasters: number;
  readonly seed: number;
}): TrialSession {
  if (way === 'triangle') {
    const triangles = trianglesFor({ tasters, seed });
    return { triangles, served: triangles.map(({ codes, drinks }) => codes.map((code, i) => ({ code, drink: drinks[i] ?? 0 }))) };
  }
  const { codes, served } = blindOrder({ glasses, tasters, seed });
  return { triangles: [], served: served.map((order) => order.map((glass) => ({ code: codes[glass] ?? 0, drink: glass }))) };
}

/** What each taster pressed so far, as it is kept in the form: positions in the order served. */
export const pressedOf = (text: string): readonly (readonly number[])[] =>
  text === '' ? [] : text.split(';').map((taster) => (taster === '' ? [] : taster.split('>').map(Number)));

/** The same as it is kept. */
export const keptOf = (pressed: readonly (readonly number[])[]): string => pressed.map((taster) => taster.join('>')).join(';');

/** How many glasses a taster has named in the end: all of a ranking, whose last follows by itself, the odd one of a triangle. */
export const pressesOf = (way: TrialWay, glasses: number): number => (way === 'triangle' ? 1 : glasses);

/**
 * What each taster said of the drinks.
 *
 * @param session - the trial
 * @param pressed - what each pressed, in order
 * @param way - how it is judged
 * @returns drinks from best to worst, or whether the odd one was found
 */
export function saidOf({ served, triangles }: TrialSession, pressed: readonly (readonly number[])[], way: TrialWay): readonly (readonly number[])[] {
  return pressed.map((order, taster) =>
    way === 'triangle' ? [order[0] === triangles[taster]?.odd ? 1 : 0] : order.map((position) => served[taster]?.[position]?.drink ?? 0),
  );
}

/** @source exact: six to the US fluid ounce */
const US_TEASPOON_L = LITRES_PER['us-fl-oz'] / 6;

/** A few millilitres as a syringe shows them; in US measures its other scale is in teaspoons. */
const dropOf = (units: Units, ml: number): string =>
  units.preferences().volume === 'us-gal' ? `${(ml / 1000 / US_TEASPOON_L).toFixed(2)} tsp` : `${ml.toFixed(1)} mL`;

/** What goes into a glass, as whoever pours reads it. */
export function intoGlass(plan: TrialDoses, glass: number, units: Units): string {
  const amount = plan.glasses[glass]?.amount ?? 0;
  if (amount === 0) return 'nothing';
  if (plan.isDry) return `${amount.toFixed(2)} g`;
  return plan.stockGPer100Ml === null ? units.volume(amount / 1000) : `${dropOf(units, amount)} of stock`;
}
