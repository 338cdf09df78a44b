import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { addFermentable, isIntense } from '../../matter/liquid/additions.js';
import { taOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { sweetnessGPerL } from '../../matter/liquid/views.js';
import { SO2_MG_PER_UNIT } from '../../juice/adjust/sulfite-dose.js';
import { isPoured, type TrialSubstance } from './trial-substance.js';

/** One glass of a trial. */
export interface TrialGlass {
  /** Grams in a litre of what is tasted, or the share of the other liquid, 0–1. */
  readonly dose: number;
  /** Of the stock solution or the other liquid, mL into the glass; grams where it is weighed in dry. */
  readonly amount: number;
}

/** How the glasses of a trial are made. */
export interface TrialDoses {
  /** Grams in 100 mL of stock, made up with the drink itself; null where the other liquid is poured in, or it is weighed in dry. */
  readonly stockGPer100Ml: number | null;
  readonly isDry: boolean;
  readonly glasses: readonly TrialGlass[];
  /** Pairs of neighbours that nobody can tell apart. */
  readonly tooClose: readonly (readonly [number, number])[];
}

/** Neighbours must lie so far apart to be told apart. @source design rule: 15–20 % or more */
const TOLD_APART = 0.15;
/** What is nothing yet is told from a first dose where that is as much as this: g/L of sugar, of acid, of tannin, of sulfur dioxide. @source our estimate of usual thresholds */
const FIRST_TASTED = { sweetener: 3, acid: 0.3, tannin: 0.1, sulfite: 0.02 } as const;
/** Stocks that are easily weighed, g in 100 mL. */
const STOCKS = [0.01, 0.1, 1, 5, 10, 20, 40] as const;
/** The least that a small syringe gives well, mL. */
const LEAST_ML = 0.5;
/** A stock that fills more of the glass than this would be half the drink: it is weighed in instead. */
const MOST_OF_GLASS = 0.25;

/** A share of another liquid beyond which the drink is no drink of this batch any more. */
const SHARE = { min: 0, max: 0.9 } as const;
/** Sulfur dioxide, g/L. @source the total commonly allowed, 200 mg/L */
const SULFITE_DOSE = { min: 0, max: 0.2 } as const;
/** Intense sweeteners are dosed by the milligram, g/L. */
const INTENSE_DOSE = { min: 0, max: 2 } as const;

/** How strongly the drink tastes of what is varied, with so much more of it. */
function levelOf(liquid: Liquid, substance: TrialSubstance, dose: number): number {
  switch (substance.kind) {
    case 'sweetener':
      return dose === 0
        ? sweetnessGPerL(liquid)
        : sweetnessGPerL(addFermentable(liquid, { fermentableId: substance.id, massG: trialMassG({ liquid, substance, dose }) }));
    case 'acid':
      return taOf(liquid) + dose;
    case 'tannin':
      return liquid.tanninGPerL + dose;
    case 'sulfite':
      return liquid.freeSo2MgPerL / 1000 + dose;
    default:
      return 1 - dose;
  }
}

function isTooClose(liquid: Liquid, substance: TrialSubstance, [one, other]: readonly [number, number]): boolean {
  const [a, b] = [levelOf(liquid, substance, one), levelOf(liquid, substance, other)].sort((x, y) => x - y);
  if (a === undefined || b === undefined) return false;
  // Water at a tenth more is as far from the drink as a tenth less of everything in it.
  if (isPoured(substance)) return b - a < TOLD_APART / 2;
  const first = FIRST_TASTED[substance.kind as keyof typeof FIRST_TASTED];
  return b - a < Math.max(first / 2, TOLD_APART * Math.max(a, first));
}

/** What is weighed for a gram of a dose, g: sulfite is dosed by its sulfur dioxide and weighed as potassium metabisulfite. */
const weighedG = ({ kind }: TrialSubstance): number => (kind === 'sulfite' ? 1000 / SO2_MG_PER_UNIT['potassium-metabisulfite'] : 1);

/** Volume a gram takes, L. */
const litresPerG = ({ kind, id }: TrialSubstance): number => (kind === 'sweetener' ? fermentableById(id).volumeLPerKg / 1000 : 0);

/**
 * What of it brings the whole batch to a dose that was tasted, its own volume counted.
 *
 * @param input - the drink, what was varied, and the dose: g in a litre of what was tasted, or the share of the other liquid
 * @returns grams, or litres of the other liquid
 * @throws {CoreError} UNKNOWN_ID; OUT_OF_RANGE
 * @source mass balance: m = V d ÷ (1 − d v), and V p ÷ (1 − p)
 */
export function trialMassG({ liquid, substance, dose }: { readonly liquid: Liquid; readonly substance: TrialSubstance; readonly dose: number }): number {
  if (isPoured(substance)) return (liquid.volumeL * dose) / (1 - inRange('fraction', dose, SHARE));
  return (liquid.volumeL * dose * weighedG(substance)) / (1 - dose * litresPerG(substance));
}

function stockFor(doses: readonly number[], glassMl: number): number | null {
  const given = doses.filter((dose) => dose > 0);
  const [least, most] = [Math.min(...given), Math.max(...given)];
  const mlOf = (dose: number, gPer100Ml: number): number => (glassMl * dose) / (gPer100Ml * 10 - dose);
  const fits = STOCKS.filter((stock) => stock * 10 > most && mlOf(most, stock) <= glassMl * MOST_OF_GLASS);
  return [...fits].reverse().find((stock) => mlOf(least, stock) >= LEAST_ML) ?? fits[0] ?? null;
}

/**
 * How to make the glasses of a trial: what stock, how much of it into each, and which would taste alike.
 *
 * @param input - the drink, what is varied, the doses (g in a litre of what is tasted, or shares 0–0.9), and what is in a glass, 20–500 mL
 * @returns the glasses with the working
 * @throws {CoreError} UNKNOWN_ID; OUT_OF_RANGE
 * @source mass balance: stock V d ÷ (C − d); the stock is made with the drink itself, so that it thins nothing
 */
export function trialDoses(input: {
  readonly liquid: Liquid;
  readonly substance: TrialSubstance;
  readonly doses: readonly number[];
  readonly glassMl: number;
}): Worked<TrialDoses> {
  const { liquid, substance, doses } = input;
  const glassMl = inRange('glassMl', input.glassMl, LIMITS.trialGlassMl);
  const limit = isPoured(substance) ? SHARE : substance.kind === 'sulfite' ? SULFITE_DOSE : isIntense(substance.id) ? INTENSE_DOSE : LIMITS.trialDose;
  for (const dose of doses) inRange('dose', dose, limit);
  if (doses.length < 2 || doses.every((dose) => dose === 0)) throw new CoreError('OUT_OF_RANGE', 'a trial wants two glasses that differ', { field: 'dose' });
  const weighed = doses.map((dose) => dose * weighedG(substance));
  const stock = isPoured(substance) ? null : stockFor(weighed, glassMl);
  const isDry = stock === null && !isPoured(substance);
  const amountOf = (dose: number, massG: number): number => {
    if (isPoured(substance)) return (glassMl * dose) / (1 - dose);
    if (stock === null) return ((glassMl / 1000) * massG) / (1 - massG * litresPerG(substance));
    return (glassMl * massG) / (stock * 10 - massG);
  };
  const sorted = [...doses].sort((a, b) => a - b);
  const neighbours = sorted.slice(1).map((dose, i): readonly [number, number] => [sorted[i] ?? 0, dose]);
  const glasses = doses.map((dose, i) => ({ dose, amount: amountOf(dose, weighed[i] ?? dose) }));
  const most = glasses.reduce((a, b) => (b.amount > a.amount ? b : a));
  const mostG = most.dose * weighedG(substance);
  const expression = isPoured(substance)
    ? `${figure(glassMl, 0)} mL × ${figure(most.dose, 2)} ÷ (1 − ${figure(most.dose, 2)})`
    : stock === null
      ? `${figure(glassMl, 0)} mL × ${figure(most.dose, 1)} g/L, its own volume counted`
      : `${figure(glassMl, 0)} mL × ${figure(mostG, 2)} ÷ (${figure(stock * 10, 1)} − ${figure(mostG, 2)})`;
  return worked(
    {
      stockGPer100Ml: stock,
      isDry,
      glasses,
      tooClose: neighbours.filter((pair) => isTooClose(liquid, substance, pair)),
    },
    [{ label: 'The strongest glass', expression, result: `${figure(most.amount, 2)} ${isDry ? 'g' : 'mL'}`, source: 'mass balance' }],
  );
}
