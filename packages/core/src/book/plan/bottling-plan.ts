import type { FizzChoice, WayToHold } from '../../finish/bottle/ways-to-hold.js';
import type { RouteId } from './bottling-routes.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { BatchState } from '../state/batch-state.js';
import type { BottlingCheck } from '../state/bottling-check.js';
import type { Worked } from '../../base/worked/worked.js';
import { BOTTLE_KINDS, bottleById } from '../../base/reference/bottle-kinds.js';
import { roomLPerKg } from '../../base/reference/fermentables.js';
import { hottestTaken, makesFizz } from '../../finish/bottle/bottle-safety.js';
import { filledShare, planBottles, type BottlePlan } from '../../finish/bottle/plan-bottles.js';
import { CoreError } from '../../base/errors/core-error.js';
import { freshYeast, type FreshYeast } from '../../finish/bottle/fresh-yeast.js';
import { primingSpread, type UnevenBottle } from '../../finish/bottle/priming-spread.js';
import { abvOf } from '../../matter/liquid/views.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { ClearingMeans } from '../../ferment/clear/clearing-means.js';
import { fizzFromDose, primingSugar, type Priming } from '../../finish/bottle/priming-sugar.js';
import { attempt, type Attempt } from '../../base/errors/attempt.js';
import { fizzIn, gasParts, pressureBand, withPriming, type PressureBand, type SealedGas } from '../../finish/bottle/sealed-gas.js';
import { fizzChoice, waysToHold } from '../../finish/bottle/ways-to-hold.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import type { BottleCount } from '../state/bottle-count.js';
import { byKind, checkBottling } from '../state/bottling-check.js';
import { asIfDry, sealedGasOf } from '../state/sealed-gas-of.js';
import { sealWay } from '../state/sealing.js';

/** The figures a plan is made from. */
export interface BottlingInputs {
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
  /** Room left in bottles that are heated, share of the bottle. */
  readonly headspace: number;
  /** The day it is done, ISO 8601. */
  readonly today: string;
}

/** What comes of it. */
export interface BottlingPlan {
  readonly liquid: Liquid;
  /** The fizz it is primed for, volumes. */
  readonly targetVolumes: number;
  readonly levels: FizzChoice['levels'];
  /** Null where none goes in. */
  readonly priming: Attempt<Worked<Priming>> | null;
  /** What it holds and what is left in it make the fizz asked for. */
  readonly needsNoSugar: boolean;
  /** Whether a plastic one goes with them that tells how they fare. */
  readonly takesTest: boolean;
  /** The fizz in the bottles, by what it holds and all the sugar in it, volumes. */
  readonly comesToVolumes: number;
  readonly run: Attempt<Worked<BottlePlan>>;
  readonly bands: readonly (PressureBand & { readonly name: string })[];
  readonly limits: readonly { readonly id: string; readonly name: string; readonly limitBar: number; readonly chosen: boolean }[];
  readonly check: BottlingCheck;
  /** A little yeast that wants to go in with the sugar; null where its own will do, or nothing is primed. */
  readonly freshYeast: Worked<FreshYeast> | null;
  /** The bottle that gets most where the sugar goes in unevenly; null where nothing is primed. */
  readonly uneven: UnevenBottle | null;
  /** What would make the weakest bottles hold, where they would not. */
  readonly ways: readonly WayToHold[];
}

/** A kind that was chosen is judged before any of it is filled. */
const atLeastOne = ({ kindId, count }: BottleCount): BottleCount => ({ kindId, count: Math.max(1, count) });

const FRIDGE_C = 5;
const SHED_C = 15;
const TEST_BOTTLE = 'plastic-500';

/** What is set aside by the test bottle comes first, so that the rest is counted from what remains. */
function chosenBottles({ bottles, testBottle }: BottlingInputs, takesTest: boolean): BottlingInputs['bottles'] {
  return testBottle && takesTest ? [{ kindId: TEST_BOTTLE, count: 1 }, ...bottles] : bottles;
}

/** What each kind stands, the maker's own beside the usual ones where they are chosen. */
const limitsOf = (chosen: readonly string[]): BottlingPlan['limits'] =>
  [...new Set([...BOTTLE_KINDS.map((k) => k.id), ...chosen])]
    .map(bottleById)
    .flatMap(({ id, name, limitBar }) => (limitBar === null ? [] : [{ id, name, limitBar, chosen: chosen.includes(id) }]));

/** A drink in which nothing lives: its gas is what it holds. */
const asleep = (gas: SealedGas): SealedGas => ({
  ...gas,
  liquid: { ...gas.liquid, sucroseGPerL: 0, hexoseGPerL: 0 },
  weighedGPerL: 0,
  weighedSdGPerL: 0,
  sugarSdGPerL: 0,
  malolactic: 'over',
});

/** The fizz a batch that nobody read is primed for. @source our estimate: a prickle, with room for what may be left */
const UNREAD_VOLUMES = 1.5;
/** Means that take yeast down with the haze. */
const FINED_BY: readonly ClearingMeans[] = ['finings', 'bentonite'];
/** More than this is no fizz that any bottle of the bench holds, volumes. */
const MOST_VOLUMES = 6;
/** Less fizz than this is not worth a syrup, volumes. @source our estimate: half of what a level is told to */
const TRACE_VOLUMES = 0.05;

/** What a dose in each bottle comes to in all: it takes up room in the bottle, which so much less drink fills. */
function inAll(
  doseG: number,
  { fermentableId, bottleMl, volumeL }: { readonly fermentableId: string; readonly bottleMl: number; readonly volumeL: number },
): number {
  const drinkL = (bottleMl - doseG * roomLPerKg(fermentableId)) / 1000;
  if (drinkL <= 0) throw new CoreError('NOT_ALLOWED', 'That is more than goes into the bottle');
  return (doseG / drinkL) * volumeL;
}

/** The fizz of the dose a maker gives by habit. */
function fizzOfHabit({ mode, bottles, fermentableId, warmestC }: BottlingInputs, doseG: number, liquid: Liquid, bottleMl: number): number {
  if (mode === 'per-bottle' && new Set(bottles.map((b) => bottleById(b.kindId).sizeMl)).size > 1) {
    throw new CoreError(
      'NOT_ALLOWED',
      'One dose makes more fizz in a small bottle than in a large one: choose bottles of one size, or let it go in with all of the drink, as a syrup',
    );
  }
  const massG = mode === 'bulk' ? doseG : inAll(doseG, { fermentableId, bottleMl, volumeL: liquid.volumeL });
  const volumes = fizzFromDose({ liquid, massG, fermentableId, warmestSinceEndC: warmestC });
  if (volumes > MOST_VOLUMES) {
    throw new CoreError('NOT_ALLOWED', `That dose makes ${volumes.toFixed(1)} volumes, more than any bottle here stands`);
  }
  return volumes;
}

/**
 * A run of bottles as chosen: what sugar primes it, what it fills, which pressures come of it and whether they are safe.
 *
 * @param input - the batch and what the maker chose
 * @returns priming, the run, pressures, safety and cautions; null when there is nothing to bottle
 * @source `primingSugar`, `planBottles`, `pressureBand`, `checkBottling`
 */
export function bottlingPlan(input: BottlingInputs): BottlingPlan | null {
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
  // What was meant to be still makes gas of the sugar that the sums find, until a test finds none.
  const takesTest = sparkling || (input.route === 'still' && way !== 'stabilised' && way !== 'unproven' && makesFizz(gasParts(gas)));
  const kinds = chosenBottles(input, takesTest);
  const toHeat = input.route === 'heated' ? { headspace: input.headspace } : undefined;
  const runOf = (volumeL: number): BottlingPlan['run'] =>
    attempt(() =>
      planBottles({
        volumeL,
        bottles: kinds,
        lossL: Math.min(volumeL, input.lossL),
        ...(toHeat ? { headspace: filledShare(toHeat.headspace) } : {}),
      }),
    );
  const filledBy = (run: BottlingPlan['run']): readonly BottleCount[] =>
    byKind(kinds.map(({ kindId }, i) => ({ kindId, count: (run.ok ? run.value.value.lots[i]?.count : null) ?? 0 }))).map(atLeastOne);
  const { levels, liveliest } = fizzChoice({
    gas,
    fermentableId,
    hottestC,
    bottles: filledBy(runOf(liquid.volumeL)).map(({ kindId, count }) => ({ bottle: bottleById(kindId), count })),
  });
  // Sugar is stirred into all of it, the last half litre included, so the whole volume is primed.
  const primed = mode === 'bulk' ? liquid : left;
  const bottleMl = bottleById(input.bottles[0]?.kindId ?? 'crown-500').sizeMl;
  const dosed = input.doseG === null ? null : attempt(() => fizzOfHabit(input, input.doseG ?? 0, primed, bottleMl));
  const targetVolumes = dosed?.ok === true ? dosed.value : (input.targetVolumes ?? (way === 'unread' ? UNREAD_VOLUMES : liveliest.volumes));
  const asked = sparkling
    ? dosed?.ok === false
      ? dosed
      : attempt(() => primingSugar({ liquid: primed, targetVolumes, warmestSinceEndC: input.warmestC, fermentableId, mode, bottleMl }))
    : null;
  // What a maker really gives is counted, however little.
  const needsNoSugar = asked?.ok === true && dosed === null && asked.value.value.fromPrimingVolumes < TRACE_VOLUMES;
  const priming = needsNoSugar ? null : asked;
  const massG = priming?.ok === true ? priming.value.value.massG : 0;
  const primedGas = massG > 0 ? withPriming({ ...gas, liquid: primed }, { fermentableId, massG }) : gas;
  const volumeL = liquid.volumeL + (massG > 0 ? primedGas.liquid.volumeL - primed.volumeL : 0);
  // Once its yeast is dead a sweet drink makes no more gas.
  const sealed = toHeat ? asleep(gas) : primedGas;
  const run = runOf(volumeL);
  const bottles = filledBy(run);
  const check = checkBottling({ way, gas: toHeat ? gas : sealed, bottles, hottestC, toHeat });
  const [weakest] = check.safety;
  const { pitchedAt, clarified } = input.state;
  const tired = {
    volumeL: liquid.volumeL,
    daysSinceYeast: pitchedAt === null ? null : daysBetween(pitchedAt, input.today),
    fined: clarified !== null && FINED_BY.includes(clarified.means),
    abv: abvOf(liquid),
    freeSo2MgPerL: liquid.freeSo2MgPerL,
  };
  return {
    liquid,
    targetVolumes,
    levels,
    priming,
    needsNoSugar,
    takesTest,
    comesToVolumes: fizzIn(gasParts(sealed)),
    run,
    bands: [
      { name: 'fridge', ...pressureBand(sealed, FRIDGE_C) },
      { name: 'shed', ...pressureBand(sealed, SHED_C) },
      { name: 'hot day', ...pressureBand(sealed, hottestTaken(hottestC)) },
    ],
    limits: limitsOf(kinds.map((k) => k.kindId)),
    check,
    freshYeast: massG > 0 ? freshYeast(tired) : null,
    uneven: primingSpread({
      gas: { ...gas, liquid: primed },
      fermentableId,
      massG,
      mode,
      bottles: bottles.map((b) => bottleById(b.kindId)),
      hottestC: hottestTaken(hottestC),
    }),
    ways: weakest
      ? waysToHold({ gas: sealed, bottle: bottleById(weakest.kindId), hottestC, bottleCount: bottles.find((b) => b.kindId === weakest.kindId)?.count ?? 1 })
      : [],
  };
}
