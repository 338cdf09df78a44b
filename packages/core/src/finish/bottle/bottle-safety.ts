import { caution } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { abvOf } from '../../matter/liquid/views.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import type { BottleKind } from '../../base/reference/bottle-kinds.js';
import {
  BOTTLE_HEADSPACE_FRACTION,
  chanceOverPressure,
  fizzIn,
  gasParts,
  pressureBand,
  TRAPPED_AIR_BAR,
  type GasParts,
  type PressureBand,
  type SealedGas,
} from './sealed-gas.js';

/** Chances at which a verdict changes. @source design rule: above one in a hundred nobody should bottle */
const CAREFUL_CHANCE = 0.001;
export const REFUSE_CHANCE = 0.01;
/** The least that the hottest day of a store is taken for, °C. @source our rule: bottles are moved, given away and kept through a power cut, and a room reaches this */
const LEAST_HOTTEST_C = 25;
/** What a bottle not made for pressure stands, bar gauge. @source estimate: a driven cork creeps at about one and a half bar */
const NO_PRESSURE_BAR = 1.5;
/** The hottest day that bottles are judged by. */
export const hottestTaken = (hottestC: number): number => Math.max(LEAST_HOTTEST_C, hottestC);
const limitOf = ({ limitBar }: BottleKind): number => limitBar ?? NO_PRESSURE_BAR;
/** Bottles of a lot where nobody counted them. */
const USUAL_COUNT = 40;

/** What the safety of a bottle depends on. */
export interface BottleSafetyInput {
  readonly gas: SealedGas;
  /** Whether the judgement proved the ferment ended, or it was stabilised in full. */
  readonly provenFinished: boolean;
  readonly bottle: BottleKind;
  /** Bottles of the lot, 1–5000. */
  readonly bottleCount?: number;
  /** Hottest the bottles will get in store, °C; taken for at least {@link LEAST_HOTTEST_C}. */
  readonly hottestC: number;
}

/** What the bottles will feel and whether they stand it. */
export interface BottleSafety {
  readonly verdict: 'safe' | 'careful' | 'do-not-bottle';
  /** Chance that any bottle of the lot passes its limit on the hottest day, 0–1. */
  readonly chanceOverLimit: number;
  readonly co2Volumes: number;
  readonly hottest: PressureBand;
}

/** Less gas than this from the sugar in it is a haze of bubbles at most, volumes. @source our estimate */
const FIZZY_VOLUMES = 0.3;

/** Whether sugar is there to make fizz, weighed in or left. */
export const makesFizz = ({ weighed, leftover }: Pick<GasParts, 'weighed' | 'leftover'>): boolean => weighed + leftover > FIZZY_VOLUMES;

/**
 * The chance that any bottle of a lot passes what its kind stands.
 *
 * @param input - what makes gas, the bottle, the count and the hottest day
 * @returns 0–1
 */
export function lotChance({ gas, bottle, hottestC, bottleCount = USUAL_COUNT }: Omit<BottleSafetyInput, 'provenFinished'>): number {
  inRange('hottestC', hottestC, LIMITS.hottestC);
  inRange('bottleCount', bottleCount, LIMITS.opened);
  return chanceOverPressure(gas, { bar: limitOf(bottle), tempC: hottestTaken(hottestC), bottleCount });
}

/**
 * Whether a kind of bottle stands what it will feel on the hottest day of its store: the chance that any of the lot does
 * not, from how well the gravity, the sugar, the acid and the temperature are known. All sugar counts, whatever a verdict
 * calls it. A ferment not proven finished, or a malolactic change under way, is never to be bottled.
 *
 * @param input - what makes gas, its proof, the bottle, the count and the hottest day
 * @returns verdict, chance and pressure with working and cautions
 * @throws {CoreError} OUT_OF_RANGE
 * @source Henry's law; independent errors, leftover sugar cut at none; limits by our estimate of each kind of bottle
 */
export function bottleSafety(input: BottleSafetyInput): Worked<BottleSafety> {
  const { gas, bottle, provenFinished } = input;
  const chanceOverLimit = lotChance(input);
  const parts = gasParts(gas);
  const hottestC = hottestTaken(input.hottestC);
  const co2Volumes = fizzIn(parts) + parts.malic;
  const hottest = pressureBand(gas, hottestC);
  const fizzy = makesFizz(parts);
  const notForFizz = bottle.limitBar === null && fizzy;
  const turning = gas.malolactic === 'under-way';
  const refused = !provenFinished || turning || notForFizz || chanceOverLimit > REFUSE_CHANCE;
  const verdict = refused ? 'do-not-bottle' : chanceOverLimit > CAREFUL_CHANCE ? 'careful' : 'safe';
  const cautions: Caution[] = [];
  if (!provenFinished) cautions.push(caution('sealed-ferment'));
  if (notForFizz || (bottle.limitBar === null && chanceOverLimit > REFUSE_CHANCE)) cautions.push(caution('wrong-bottle'));
  const overPressure = bottle.limitBar !== null && chanceOverLimit > REFUSE_CHANCE;
  // Where the acid alone makes the difference, it is what is to be seen to.
  const byMalic = overPressure && lotChance({ ...input, gas: { ...gas, malolactic: 'over' } }) <= REFUSE_CHANCE;
  if (overPressure && !byMalic) cautions.push(caution('over-pressure'));
  if (turning || byMalic) cautions.push(caution('malolactic-gas'));
  if (fizzy) cautions.push(caution('burst-glass'));
  return worked(
    { verdict, chanceOverLimit, co2Volumes, hottest },
    [
      {
        label: 'Gas in all, at most',
        expression: `${figure(parts.residual, 2)} still in it + ${figure(parts.weighed, 2)} from sugar weighed in + ${figure(parts.leftover, 2)} from sugar left + ${figure(parts.malic, 2)} if all its malic acid turns`,
        result: `${figure(co2Volumes, 2)} volumes`,
        source: 'mass balance; 0.166 volumes for each g/L of malic acid',
      },
      {
        label: `Pressure on a ${celsius(hottestC)} day`,
        expression: `Henry’s law at ${figure(abvOf(gas.liquid), 1)} %, ${BOTTLE_HEADSPACE_FRACTION * 100} % headspace, ${TRAPPED_AIR_BAR.least}–${TRAPPED_AIR_BAR.most} bar of air shut in; no store is taken to stay under ${LEAST_HOTTEST_C} °C`,
        result: `${figure(hottest.lowBar, 1)}–${figure(hottest.highBar, 1)} bar`,
        source: 'solubility of CO₂ in cider; our estimate for the air',
      },
      {
        label: 'How sure',
        expression: `sugar left ±${figure(gas.sugarSdGPerL, 1)} g/L, weighing ±5 %, 60–100 % of the dissolved gas still there, against ${figure(limitOf(bottle), 1)} bar`,
        result: chanceText(chanceOverLimit),
        source: 'independent errors, for the whole lot; one gravity point left is about 0.55 volumes',
      },
    ],
    cautions,
  );
}

/** Below this chance no number is given: the sums do not know the tails so well. */
const LEAST_SAID = 0.001;

/**
 * A small chance in words.
 *
 * @param chance - 0–1
 * @returns such as `about 1 in 400`
 */
export function chanceText(chance: number): string {
  if (chance < LEAST_SAID) return 'under 1 in 1,000';
  if (chance > 0.5) return 'more likely than not';
  const raw = 1 / chance;
  const scale = 10 ** Math.max(0, Math.floor(Math.log10(raw)) - 1);
  return `about 1 in ${(Math.round(raw / scale) * scale).toLocaleString('en-GB')}`;
}
