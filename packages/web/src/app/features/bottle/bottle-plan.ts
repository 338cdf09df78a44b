import type { BatchState, Caution, Liquid, RouteId, Worked } from '@trug/core';
import { BOTTLE_KINDS, bottleById } from '@trug/core/bottle/bottle-kinds';
import { bottleSafety, pressureBand, type BottleSafety, type PressureBand } from '@trug/core/bottle/bottle-safety';
import { FIZZ_LEVELS } from '@trug/core/bottle/fizz-levels';
import { planBottles, type BottlePlan } from '@trug/core/bottle/plan-bottles';
import { primingSugar, type Priming } from '@trug/core/bottle/priming-sugar';
import { attempt, type Attempt } from '@trug/core/errors/attempt';
import { provesFinished, type Verdict } from '@trug/core/ferment/verdict';
import { liquidToBottle } from '@trug/core/log/judge-state';

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
  fizz: '2.6',
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
  readonly targetVolumes: number;
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
  readonly priming: Attempt<Worked<Priming>> | null;
  readonly run: Attempt<Worked<BottlePlan>>;
  readonly bands: readonly (PressureBand & { readonly name: string })[];
  readonly limits: readonly { readonly id: string; readonly name: string; readonly limitBar: number; readonly chosen: boolean }[];
  readonly safety: readonly { readonly kindId: string; readonly name: string; readonly worked: Worked<BottleSafety> }[];
  readonly cautions: readonly Caution[];
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
  const liquid = liquidToBottle(input.state, input.verdict);
  if (!liquid) return null;
  const sparkling = input.route === 'sparkling-dry';
  const left = { ...liquid, volumeL: Math.max(0.01, liquid.volumeL - input.lossL) };
  const bottleMl = bottleById(input.bottles[0]?.kindId ?? 'crown-500').sizeMl;
  // Sugar is stirred into all of it, the last half litre included, so the whole volume is primed.
  const priming = sparkling
    ? attempt(() =>
        primingSugar({
          liquid: input.mode === 'bulk' ? liquid : left,
          targetVolumes: input.targetVolumes,
          warmestSinceEndC: input.warmestC,
          fermentableId: input.fermentableId,
          mode: input.mode,
          bottleMl,
        }),
      )
    : null;
  const primingVolumes = priming?.ok === true ? priming.value.value.fromPrimingVolumes : 0;
  const gas = { liquid, warmestSinceEndC: input.warmestC, primingVolumes };
  const kinds = chosenBottles(input);
  const provenFinished = input.verdict !== null && (provesFinished(input.verdict.status) || input.state.stabilisedAt !== null);
  const safety = kinds.map(({ kindId }) => {
    const bottle = bottleById(kindId);
    return { kindId, name: bottle.name, worked: bottleSafety({ ...gas, provenFinished, bottle, hottestC: input.hottestC }) };
  });
  const cautions = [...new Map(safety.flatMap((s) => s.worked.cautions).map((c) => [c.id, c])).values()];
  return {
    liquid,
    priming,
    run: attempt(() => planBottles({ volumeL: liquid.volumeL, bottles: kinds, lossL: Math.min(liquid.volumeL, input.lossL) })),
    bands: [
      { name: 'fridge', ...pressureBand(gas, FRIDGE_C) },
      { name: 'shed', ...pressureBand(gas, SHED_C) },
      { name: 'hot day', ...pressureBand(gas, input.hottestC) },
    ],
    limits: BOTTLE_KINDS.flatMap(({ id, name, limitBar }) => (limitBar === null ? [] : [{ id, name, limitBar, chosen: kinds.some((k) => k.kindId === id) }])),
    // The weakest bottle is the one that matters, so it is named first.
    safety: [...safety].sort((a, b) => b.worked.value.chanceOverLimit - a.worked.value.chanceOverLimit),
    cautions: cautions.sort((a, b) => Number(b.severity === 'danger') - Number(a.severity === 'danger')),
  };
}

/** The levels of fizz to choose from. */
export const FIZZ_CHOICES = FIZZ_LEVELS;

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
