import type { BatchState, BottlingCheck, FizzChoice, Liquid, RouteId, WayToHold, Worked } from '@trug/core';
import { BOTTLE_KINDS, bottleById } from '@trug/core/bottle/bottle-kinds';
import { hottestTaken } from '@trug/core/bottle/bottle-safety';
import { planBottles, type BottlePlan } from '@trug/core/bottle/plan-bottles';
import { CoreError } from '@trug/core/errors/core-error';
import { fizzFromDose, primingSugar, type Priming } from '@trug/core/bottle/priming-sugar';
import { attempt, type Attempt } from '@trug/core/errors/attempt';
import { pressureBand, withPriming, type PressureBand } from '@trug/core/bottle/sealed-gas';
import { fizzChoice, waysToHold } from '@trug/core/bottle/ways-to-hold';
import type { Verdict } from '@trug/core/ferment/verdict';
import { checkBottling } from '@trug/core/log/bottling-check';
import { asIfDry, sealedGasOf } from '@trug/core/log/sealed-gas-of';
import { sealWay } from '@trug/core/log/sealing';

/** The bottle bench as set. */
export interface BottleBenchFields {
  readonly route: string;
  readonly fizz: string;
  readonly sugar: string;
  readonly mode: string;
  /** The sugar the maker gives by habit, in all or in each bottle; empty for what Trug works out. */
  readonly dose: string;
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
  dose: '',
  warmest: '',
  hottest: '',
  // The usual loss, until the maker says.
  loss: '',
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
  /** The maker's own dose, g: of all of it in bulk, of each bottle otherwise; null for what is worked out. */
  readonly doseG: number | null;
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

/** The fizz a batch that nobody read is primed for. @source our estimate: a prickle, with room for what may be left */
const UNREAD_VOLUMES = 1.5;
/** More than this is no fizz that any bottle of the bench holds, volumes. */
const MOST_VOLUMES = 6;

/** The fizz of the dose a maker gives by habit. */
function fizzOfHabit({ mode, bottles, fermentableId, warmestC }: BottleInputs, doseG: number, liquid: Liquid, bottleMl: number): number {
  if (mode === 'per-bottle' && new Set(bottles.map((b) => bottleById(b.kindId).sizeMl)).size > 1) {
    throw new CoreError(
      'NOT_ALLOWED',
      'One dose makes more fizz in a small bottle than in a large one: choose bottles of one size, or let it go in by the litre',
    );
  }
  const massG = mode === 'bulk' ? doseG : (doseG / (bottleMl / 1000)) * liquid.volumeL;
  const volumes = fizzFromDose({ liquid, massG, fermentableId, warmestSinceEndC: warmestC });
  if (volumes > MOST_VOLUMES) {
    throw new CoreError('NOT_ALLOWED', `That dose makes ${volumes.toFixed(1)} volumes, more than any bottle here stands`);
  }
  return volumes;
}

/**
 * Everything the bottle bench shows, from the core.
 *
 * @param input - the batch and what the maker chose
 * @returns priming, the run, pressures, safety and cautions; null when there is nothing to bottle
 */
export function benchPlan(input: BottleInputs): BenchPlan | null {
  const found = sealedGasOf(input.state);
  if (!found) return null;
  const way = sealWay(input.state, input.verdict);
  // What nobody could read is primed as if it were dry: the check says what that is worth.
  const there = way === 'unread' ? asIfDry(found) : found;
  const { liquid } = there;
  const gas = { ...there, warmestSinceEndC: input.warmestC };
  const sparkling = input.route === 'sparkling-dry';
  const { fermentableId, hottestC, mode } = input;
  const left = { ...liquid, volumeL: Math.max(0.01, liquid.volumeL - input.lossL) };
  const kinds = chosenBottles(input);
  const asked = { gas, fermentableId, hottestC, bottles: input.bottles.map((b) => bottleById(b.kindId)) };
  const { levels, liveliest } = fizzChoice(asked);
  // Sugar is stirred into all of it, the last half litre included, so the whole volume is primed.
  const primed = mode === 'bulk' ? liquid : left;
  const bottleMl = bottleById(input.bottles[0]?.kindId ?? 'crown-500').sizeMl;
  const dosed = input.doseG === null ? null : attempt(() => fizzOfHabit(input, input.doseG ?? 0, primed, bottleMl));
  const targetVolumes = dosed?.ok === true ? dosed.value : (input.targetVolumes ?? (way === 'unread' ? UNREAD_VOLUMES : liveliest.volumes));
  const priming = sparkling
    ? dosed?.ok === false
      ? dosed
      : attempt(() => primingSugar({ liquid: primed, targetVolumes, warmestSinceEndC: input.warmestC, fermentableId, mode, bottleMl }))
    : null;
  const massG = priming?.ok === true ? priming.value.value.massG : 0;
  const sealed = massG > 0 ? withPriming({ ...gas, liquid: primed }, { fermentableId, massG }) : gas;
  const run = attempt(() => planBottles({ volumeL: liquid.volumeL, bottles: kinds, lossL: Math.min(liquid.volumeL, input.lossL) }));
  const counts = new Map(run.ok ? run.value.value.lots.map((lot) => [lot.kindId, lot.count]) : []);
  const bottles = kinds.map(({ kindId }) => ({ kindId, count: Math.max(1, counts.get(kindId) ?? 1) }));
  const check = checkBottling({ way, gas: sealed, bottles, hottestC });
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
