import type { BatchState, BottlingCheck, FizzChoice, Liquid, RouteId, WayToHold, Worked } from '@trug/core';
import { BOTTLE_KINDS, bottleById } from '@trug/core/bottle/bottle-kinds';
import { hottestTaken } from '@trug/core/bottle/bottle-safety';
import { planBottles, type BottlePlan } from '@trug/core/bottle/plan-bottles';
import { primingSugar, type Priming } from '@trug/core/bottle/priming-sugar';
import { attempt, type Attempt } from '@trug/core/errors/attempt';
import { pressureBand, withPriming, type PressureBand } from '@trug/core/bottle/sealed-gas';
import { fizzChoice, waysToHold } from '@trug/core/bottle/ways-to-hold';
import type { Verdict } from '@trug/core/ferment/verdict';
import { checkBottling } from '@trug/core/log/bottling-check';
import { sealedGasOf } from '@trug/core/log/sealed-gas-of';
import { sealWay } from '@trug/core/log/sealing';

/** The bottle bench as set. */
export interface BottleBenchFields {
  readonly route: string;
  readonly fizz: string;
  readonly sugar: string;
  readonly mode: string;
  readonly warmest: string;
  readonly hottest: string;
  readonly loss: string;
  readonly cap: string;
  /** Chosen kinds of bottle, `kind:count` apart by commas; an empty count fills as many as there is drink for. */
  readonly bottles: string;
  readonly testBottle: string;
}

/** A bench nobody has touched. */
export const NEW_BENCH: BottleBenchFields = {
  route: 'sparkling-dry',
  // As lively as the bottles take, until the maker chooses.
  fizz: '',
  sugar: 'sucrose',
  mode: 'bulk',
  warmest: '',
  hottest: '',
  loss: '0.4 L',
  cap: 'rust',
  bottles: 'crown-500:',
  testBottle: 'yes',
};

/** The figures a plan is made from. */
export interface BottleInputs {
  readonly state: BatchState;
  readonly verdict: Verdict | null;
  readonly route: RouteId;
  /** Fizz wanted, volumes; null for as much as the bottles take. */
  readonly targetVolumes: number | null;
  readonly fermentableId: string;
  readonly mode: 'bulk' | 'per-bottle';
  readonly warmestC: number;
  readonly hottestC: number;
  readonly lossL: number;
  readonly bottles: readonly { readonly kindId: string; readonly count: number | null }[];
  readonly testBottle: boolean;
}

/** What the bench shows. */
export interface BenchPlan {
  readonly liquid: Liquid;
  /** The fizz it is primed for, volumes. */
  readonly targetVolumes: number;
  readonly levels: FizzChoice['levels'];
  readonly priming: Attempt<Worked<Priming>> | null;
  readonly run: Attempt<Worked<BottlePlan>>;
  readonly bands: readonly (PressureBand & { readonly name: string })[];
  readonly limits: readonly { readonly id: string; readonly name: string; readonly limitBar: number; readonly chosen: boolean }[];
  readonly check: BottlingCheck;
  /** What would make the weakest bottles hold, where they would not. */
  readonly ways: readonly WayToHold[];
}

const FRIDGE_C = 5;
const SHED_C = 15;
const TEST_BOTTLE = 'plastic-500';

/** What is set aside by the test bottle comes first, so that the rest is counted from what remains. */
function chosenBottles({ bottles, testBottle, route }: BottleInputs): BottleInputs['bottles'] {
  return testBottle && route === 'sparkling-dry' ? [{ kindId: TEST_BOTTLE, count: 1 }, ...bottles] : bottles;
}

/**
 * Everything the bottle bench shows, from the core.
 *
 * @param input - the batch and what the maker chose
 * @returns priming, the run, pressures, safety and cautions; null when there is nothing to bottle
 */
export function benchPlan(input: BottleInputs): BenchPlan | null {
  const there = sealedGasOf(input.state);
  if (!there) return null;
  const { liquid } = there;
  const gas = { ...there, warmestSinceEndC: input.warmestC };
  const sparkling = input.route === 'sparkling-dry';
  const { fermentableId, hottestC, mode } = input;
  const left = { ...liquid, volumeL: Math.max(0.01, liquid.volumeL - input.lossL) };
  const kinds = chosenBottles(input);
  const asked = { gas, fermentableId, hottestC, bottles: input.bottles.map((b) => bottleById(b.kindId)) };
  const { levels, liveliest } = fizzChoice(asked);
  const targetVolumes = input.targetVolumes ?? liveliest.volumes;
  const bottleMl = bottleById(input.bottles[0]?.kindId ?? 'crown-500').sizeMl;
  // Sugar is stirred into all of it, the last half litre included, so the whole volume is primed.
  const primed = mode === 'bulk' ? liquid : left;
  const priming = sparkling
    ? attempt(() => primingSugar({ liquid: primed, targetVolumes, warmestSinceEndC: input.warmestC, fermentableId, mode, bottleMl }))
    : null;
  const massG = priming?.ok === true ? priming.value.value.massG : 0;
  const sealed = massG > 0 ? withPriming({ ...gas, liquid: primed }, { fermentableId, massG }) : gas;
  const run = attempt(() => planBottles({ volumeL: liquid.volumeL, bottles: kinds, lossL: Math.min(liquid.volumeL, input.lossL) }));
  const counts = new Map(run.ok ? run.value.value.lots.map((lot) => [lot.kindId, lot.count]) : []);
  const bottles = kinds.map(({ kindId }) => ({ kindId, count: Math.max(1, counts.get(kindId) ?? 1) }));
  const check = checkBottling({ way: sealWay(input.state, input.verdict), gas: sealed, bottles, hottestC });
  const [weakest] = check.safety;
  return {
    liquid,
    targetVolumes,
    levels,
    priming,
    run,
    bands: [
      { name: 'fridge', ...pressureBand(sealed, FRIDGE_C) },
      { name: 'shed', ...pressureBand(sealed, SHED_C) },
      { name: 'hot day', ...pressureBand(sealed, hottestTaken(hottestC)) },
    ],
    limits: BOTTLE_KINDS.flatMap(({ id, name, limitBar }) => (limitBar === null ? [] : [{ id, name, limitBar, chosen: kinds.some((k) => k.kindId === id) }])),
    check,
    ways: weakest ? waysToHold({ gas: sealed, bottle: bottleById(weakest.kindId), hottestC, bottleCount: counts.get(weakest.kindId) || 1 }) : [],
  };
}

/**
 * Reads the chosen kinds of bottle.
 *
 * @param text - `kind:count` apart by commas
 * @returns kinds with their counts; null fills as many as there is drink for
 */
export function readBottles(text: string): BottleInputs['bottles'] {
  return text
    .split(',')
    .filter((part) => part !== '')
    .map((part) => {
      const [kindId = '', count = ''] = part.split(':');
      const number = Number(count);
      return { kindId, count: count === '' || !Number.isInteger(number) || number < 0 ? null : number };
    });
}
