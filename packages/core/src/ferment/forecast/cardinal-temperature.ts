import type { YeastKind } from '../../base/reference/yeast-kinds-data.js';

/**
 * How far beyond the kind's comfortable range its cardinal temperatures lie. A kind "works at" its least temperature,
 * if slowly, so nothing happens only a little below it; it is fastest somewhat above what is good for flavour.
 *
 * @source our estimate, fitted to the usual durations: ale kinds at 18–20 °C 8–14 days, cool wine kinds at 12 °C 4–6 weeks, wild at 7 °C 3–5 months
 */
const BELOW_LEAST_C = 3;
const ABOVE_MOST_C = 2;
const TOWARDS_MOST = 0.75;

/**
 * Speed of a kind of yeast at a temperature, beside its best.
 *
 * @param tempC - °C
 * @param kind - least, comfortable from, comfortable to and most temperature, °C
 * @returns 0 outside its limits, 1 at its best
 * @source cardinal temperature model with inflection, Rosso et al. 1993
 */
export function cardinalFactor(tempC: number, kind: YeastKind['tempC']): number {
  const [least, , comfortable, most] = kind;
  const min = least - BELOW_LEAST_C;
  const max = most + ABOVE_MOST_C;
  const best = comfortable + TOWARDS_MOST * (most - comfortable);
  if (tempC <= min || tempC >= max) return 0;
  const above = (tempC - max) * (tempC - min) ** 2;
  const below = (best - min) * ((best - min) * (tempC - best) - (best - max) * (best + min - 2 * tempC));
  return Math.min(1, Math.max(0, above / below));
}
