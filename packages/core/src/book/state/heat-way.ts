import { caution } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import { asSentence } from '../../base/worked/sentence.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import { tryHotLot, USUAL_BATH_C, type HotLot } from '../../finish/bottle/hot-lot.js';
import { volumesFromHexose } from '../../finish/bottle/gas-of-sugar.js';
import { gasParts, HEXOSE_G_PER_L_PER_POINT, type SealedGas } from '../../finish/bottle/sealed-gas.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import { abvOf, fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import type { BatchState, Crate } from './batch-state.js';
import type { BottleCount } from './bottle-count.js';
import { hasFruitIn } from './fruit-out.js';
import { justWoken, sealWay } from './sealing.js';

/** Bottles filled to be heated: sugar in them, and yeast that is not dead before the bath. */
export interface ToHeat {
  /** Room left at the filling, share of the bottle, 0.05–0.2. */
  readonly headspace: number;
}

/** Less sugar than this nobody heats bottles for, g/L. @source our estimate: a tongue's least */
const WORTH_KEEPING_G_PER_L = 5;

/** Why bottles of a drink cannot be filled to be heated. */
export const NOT_TO_HEAT =
  'Bottles are heated on the day sugar went into a drink whose end was proven, or where it was proven to have ended sweet. Anything else makes gas that nobody can tell.';

/**
 * Whether bottles of a drink may be filled to be heated: its gas is known, since its end was proven and sugar came in within the
 * day, or proven with sugar left, or held by the whole dose.
 *
 * @param state - the batch
 * @param verdict - its verdict
 * @param at - when, ISO 8601
 */
export function mayHeat(state: BatchState, verdict: Verdict | null, at: string): boolean {
  if (state.liquid === null || hasFruitIn(state) || state.malolactic?.done === false) return false;
  const way = sealWay(state, verdict);
  if (way === 'proven') return fermentableGPerL(state.liquid) >= WORTH_KEEPING_G_PER_L;
  return way === 'ended-high' || way === 'stabilised' || (way === 'unproven' && justWoken(state, at));
}

/** What a lot of bottles comes to in the bath that is planned for it; no bath where it is refused. */
export interface ToHeatCheck {
  readonly refusal: string | null;
  readonly cautions: readonly Caution[];
  readonly hot: HotLot | null;
}

/**
 * What stands against filling bottles to be heated.
 *
 * @param gas - the drink with all its sugar
 * @param bottles - what is filled, one of each kind at least
 * @param toHeat - the room left
 * @returns a refusal, or the dangers and what presses on them in the bath
 */
export function checkToHeat(gas: SealedGas, bottles: readonly BottleCount[], { headspace }: ToHeat): ToHeatCheck {
  const kindIds = bottles.map((b) => b.kindId);
  const lot = tryHotLot({ heldVolumes: gasParts(gas).residual, headspace, coreC: USUAL_BATH_C, abv: abvOf(gas.liquid), kindIds });
  const cautions = [caution('heat-due'), caution('hot-bottles')];
  return lot.ok ? { refusal: null, cautions, hot: lot.value } : { refusal: asSentence(lot.error.message), cautions, hot: null };
}

/**
 * Gas that was made in bottles between filling and bath, volumes.
 *
 * @param crate - the crate
 * @param openedSg - gravity of a bottle opened cold and shaken out, as it is
 * @returns by the fall of the gravity and a point more, which a stem may be out by
 * @source 2.24 g/L of sugar behind a point
 */
export function madeSince(crate: Crate, openedSg: number): number {
  const points = Math.max(0, (gravityOf(crate.drink.liquid) - openedSg) * 1000) + 1;
  return volumesFromHexose(points * HEXOSE_G_PER_L_PER_POINT);
}

/** How cold a bottle is that was chilled to be opened, °C. @source a kitchen’s refrigerator */
const CHILLED_C = 5;

/**
 * The gravity of a bottle that was opened, as {@link madeSince} takes it.
 *
 * @param read - as read of a cold bottle, shaken out
 * @returns SG; a sample that nobody measured counts as cold as the bottle was: cold drink reads heavy, and hides a point of gas
 * @throws {CoreError} OUT_OF_RANGE
 */
export const openedGravity = (read: RawGravity): number => correctGravity({ ...read, sampleC: read.sampleC ?? CHILLED_C }, null).sg;

/** Kinds of bottle of a crate that are still there. */
export const kindsLeft = (crate: Crate): readonly string[] => crate.lots.filter((lot) => lot.left > 0).map((lot) => lot.kindId);

/** Bottles of a crate as they go into the bath, each with what was made since, where a reading tells. */
export const lotOf = (crate: Crate, coreC: number, openedSg: number | null): Parameters<typeof tryHotLot>[0] => ({
  heldVolumes: crate.co2Volumes,
  madeVolumes: openedSg === null ? undefined : madeSince(crate, openedSg),
  headspace: crate.heat?.headspace ?? 0,
  coreC,
  abv: crate.abv,
  kindIds: kindsLeft(crate),
});
