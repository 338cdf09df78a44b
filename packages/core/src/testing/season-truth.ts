import type { Random } from '../base/numeric/random.js';
import type { Entry } from '../book/entry/entry.js';

/**
 * The bookkeeping of this test alone: masses in kilograms and litres, and what yeast and bacteria do to them, by constants
 * of its own. Nothing of it comes from the core, which is what is on trial.
 */
export interface Truth {
  litres: number;
  /** Sugar that can still ferment, g as hexose. */
  sugarG: number;
  malicG: number;
  alcoholG: number;
  /** Everything else dissolved, g. */
  otherG: number;
  /** Warmest since anything last fermented, °C. */
  warmestC: number;
  tempC: number;
  day: number;
  /** Where the yeast gives up, % by volume. */
  limitAbv: number;
  yeast: boolean;
  /** Share of the sugar a day that ferments at 18 °C. */
  pace: number;
  /** Sugar below which this yeast stops although it could go on, g/L. */
  lazyG: number;
  stuck: boolean;
  /** Whether bacteria can turn the malic acid: sulfite after the end holds them, until yeast works again. */
  bacteria: boolean;
  /** Sulfite put in since yeast last worked, mg/L. */
  so2MgPerL: number;
  /** How far the maker's stem is off, SG. */
  stemOffSg: number;
  /** Fruit that steeps in it: what it still holds of sugar and malic acid, g. */
  fruit: { sugarG: number; malicG: number };
  /** Sugar in the juice it is primed with, beside what the label says. */
  juice: number;
  /** Share of that which comes out of it in a quarter of a day: whole fruit gives it up slowly. */
  leaching: number;
}

export const pick = <T>(random: Random, list: readonly [T, ...T[]]): T => list[Math.floor(random.uniform() * list.length)] ?? list[0];
export const abvOf = (t: Truth): number => t.alcoholG / t.litres / 7.89;
/** Specific gravity from solids and alcohol, by handbook slopes: 0.386 points a g/L of sugar, and alcohol's own curve. */
export function gravityOf(t: Truth): number {
  const solids = (t.sugarG + t.otherG) / t.litres;
  const abv = abvOf(t);
  return 1 + solids * (0.0003869 - 0.0000000141 * solids) - abv * (0.001488 - 0.00001343 * abv);
}

export function ferment(t: Truth, sugarG: number): void {
  if (sugarG / t.litres > 0.5) {
    t.bacteria = true;
    t.so2MgPerL = 0;
  }
  t.sugarG -= sugarG;
  t.alcoholG += sugarG * 0.469;
  t.otherG += sugarG * 0.04;
}

/** Sugar and malic acid in a gram of fruit, by food tables; citric acid makes no gas. */
export const FRUIT = { raspberry: [0.044, 0.004], cherry: [0.128, 0.008], plum: [0.099, 0.01] } as const;

/** A share of what is left in the fruit comes out of it. */
export function leach(t: Truth, share: number): void {
  for (const key of ['sugarG', 'malicG'] as const) {
    t[key] += t.fruit[key] * share;
    t.fruit[key] *= 1 - share;
  }
}

/** Lets days pass: yeast works by warmth, sleeps in the cold and stops at its limit; bacteria wait. */
export function pass(t: Truth, days: number): void {
  for (let d = 0; d < days; d += 0.25) {
    leach(t, t.leaching);
    const awake = t.yeast && !t.stuck && t.tempC >= 8 && abvOf(t) < t.limitAbv && t.sugarG / t.litres > t.lazyG;
    if (awake) {
      ferment(t, Math.min(t.sugarG, (t.pace * (t.tempC - 5) * 0.25 * (t.sugarG + 4 * t.litres)) / 13));
      t.sugarG = Math.max(0, t.sugarG);
      t.warmestC = t.tempC;
    }
    t.warmestC = Math.max(t.warmestC, t.tempC);
  }
  t.day += days;
}

/** The gauge pressure once everything that could has fermented and turned, a year later at 25 °C. */
export function pressureAfterAYear(t: Truth): number {
  // 44.01 g of gas from 134.09 g of malic acid and 88.02 from 180.16 g of hexose; a litre of gas weighs 1.9768 g.
  const made = (((t.bacteria ? t.malicG : 0) * 44.01) / 134.09 + (t.sugarG * 88.02) / 180.16) / t.litres / 1.9768;
  const abvEnd = abvOf(t) + t.sugarG / t.litres / 16.83;
  // Henry's constant of CO2 in water, 0.034 mol/(L atm) at 25 °C with 2400 K, less a hundredth for each % of alcohol.
  const heldPerAtm = (tempC: number, abv: number): number => 22.414 * 0.034 * Math.exp(2400 * (1 / (273.15 + tempC) - 1 / 298.15)) * (1 - 0.01 * abv);
  const still = 0.85 * heldPerAtm(t.warmestC, abvOf(t));
  const room = heldPerAtm(25, abvEnd) + 0.04 * (273.15 / 298.15);
  return ((still + made) / room) * 1.01325 - 1.01325 + 0.75;
}

/** Juice by food tables, g in a gram; the law lets its label be a fifth off. */
export const JUICE = { sugar: 0.108, malic: 0.006, other: 0.012 } as const;

/** What an accepted act did in truth. */
export function happen(t: Truth, entry: Entry): void {
  if (entry.kind === 'primed' && entry.payload.fermentableId === 'apple-juice') {
    const { massG } = entry.payload;
    t.sugarG += massG * JUICE.sugar * t.juice;
    t.malicG += massG * JUICE.malic;
    t.otherG += massG * JUICE.other;
    t.litres += (massG / 1000) * 0.954;
  } else if (entry.kind === 'sweetened' || entry.kind === 'primed' || (entry.kind === 'addition' && entry.payload.what === 'fermentable')) {
    const isSucrose = entry.kind !== 'addition';
    const { massG } = entry.payload as { massG: number };
    t.sugarG += massG * (isSucrose ? 360.31 / 342.3 : 1);
    t.litres += (massG / 1000) * 0.62;
  } else if (entry.kind === 'addition' && entry.payload.what === 'water') t.litres += entry.payload.volumeL;
  else if (entry.kind === 'blended') {
    for (const { liquid } of entry.payload.parts) {
      t.litres += liquid.volumeL;
      t.sugarG += (liquid.hexoseGPerL + (liquid.sucroseGPerL * 360.31) / 342.3) * liquid.volumeL;
      t.otherG += liquid.otherSolidsGPerL * liquid.volumeL;
      t.malicG += liquid.malicGPerL * liquid.volumeL;
    }
  } else if (entry.kind === 'stabilised' || (entry.kind === 'addition' && entry.payload.what === 'sulfite')) {
    // At pH 3.5 half a milligram of molecular sulfite takes 25 mg/L free; half of what goes in stays free.
    if (abvOf(t) > 2) t.so2MgPerL += (entry.payload as { so2MgPerL: number }).so2MgPerL;
    if (t.so2MgPerL >= 50) t.bacteria = false;
  } else if (entry.kind === 'infused') {
    const [sugar, malic] = FRUIT[entry.payload.infusionId as keyof typeof FRUIT];
    t.fruit.sugarG += entry.payload.massG * sugar;
    t.fruit.malicG += entry.payload.massG * malic;
    // Squeezed as it comes out, it leaves all it had.
  } else if (entry.kind === 'lifted') leach(t, 1);
  else if (entry.kind === 'moved') t.tempC = entry.payload.tempC;
  else if (entry.kind === 'pitched') {
    t.yeast = true;
    t.lazyG = 0;
  } else if (entry.kind === 'malolactic' && entry.payload.done) t.malicG = 0;
  else if (entry.kind === 'racked') {
    leach(t, 1);
    const litres = entry.payload.vessels.reduce((sum, v) => sum + v.volumeL, 0);
    const share = litres / t.litres;
    for (const key of ['sugarG', 'malicG', 'alcoholG', 'otherG'] as const) t[key] *= share;
    t.litres = litres;
  }
}
