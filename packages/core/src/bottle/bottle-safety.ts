import { inRange } from '../errors/guards.js';
import { caution } from '../cautions/catalogue.js';
import type { Caution } from '../cautions/caution.js';
import type { Liquid } from '../liquid/liquid.js';
import { fermentableGPerL } from '../liquid/views.js';
import { normalCdf, normalPdf } from '../numeric/normal.js';
import { figure } from '../worked/figures.js';
import { worked, type Worked } from '../worked/worked.js';
import type { BottleKind } from './bottle-kinds.js';
import { bottlePressure, residualCo2, volumesAt } from './co2-solubility.js';
import { CO2_G_PER_VOLUME, CO2_PER_HEXOSE } from './priming-sugar.js';

/** How well the maker's own instruments are trusted; each is one standard deviation. */
export interface BottlingUncertainty {
  /** Of the last gravity, SG. */
  readonly gravitySg: number;
  /** Of the scales and the evenness of mixing, as a share of the sugar. */
  readonly weighingFraction: number;
  /** Of the warmest temperature since it ended, °C. */
  readonly warmestC: number;
}

/** @source estimate: a kitchen scale, a home stem and a shed thermometer */
export const DEFAULT_BOTTLING_UNCERTAINTY: BottlingUncertainty = Object.freeze({ gravitySg: 0.0005, weighingFraction: 0.05, warmestC: 2 });

/** CO₂ that a point of gravity still to ferment makes, volumes. @source 2.24 g/L hexose a point by mass balance × 0.489 ÷ 1.9768 */
const VOLUMES_PER_POINT = 0.55;
/** Gas space of a filled bottle as a share of the drink. @source estimate: 30 mm in the neck of a 500 mL bottle */
export const BOTTLE_HEADSPACE_FRACTION = 0.04;
/** Pressure of the air shut in at filling, bar. @source estimate: nitrogen of a 4 % headspace partly dissolving into a degassed drink */
const TRAPPED_AIR_BAR = 0.4;
/** Chances at which a verdict changes. @source design rule: above one in a hundred nobody should bottle */
const CAREFUL_CHANCE = 0.001;
const REFUSE_CHANCE = 0.01;
/** Standard deviations that leave five in a hundred beyond. @source normal distribution */
const FIVE_PERCENT_Z = 1.645;

/** What the safety of a bottle depends on. */
export interface BottleSafetyInput {
  readonly liquid: Liquid;
  /** Whether the judgement proved the ferment finished. */
  readonly provenFinished: boolean;
  readonly warmestSinceEndC: number;
  /** CO₂ the priming adds, volumes; 0 for still. */
  readonly primingVolumes: number;
  readonly bottle: BottleKind;
  /** Hottest the bottles will get in store, °C. */
  readonly hottestC: number;
  readonly uncertainty?: BottlingUncertainty;
}

/** A pressure with its honest range. */
export interface PressureBand {
  readonly tempC: number;
  readonly lowBar: number;
  readonly likelyBar: number;
  readonly highBar: number;
}

/** What the bottles will feel and whether they stand it. */
export interface BottleSafety {
  readonly verdict: 'safe' | 'careful' | 'do-not-bottle';
  /** Chance that one bottle passes its limit on the hottest day, 0–1. */
  readonly chanceOverLimit: number;
  readonly co2Volumes: number;
  readonly hottest: PressureBand;
}

interface GasSpread {
  /** Mean and spread of the carbon dioxide that is certain to come, volumes. */
  readonly mean: number;
  readonly sd: number;
  /** Mean and spread of what leftover sugar adds before it is cut at zero, volumes. */
  readonly leftoverMean: number;
  readonly leftoverSd: number;
}

function gasSpread(input: Omit<BottleSafetyInput, 'bottle' | 'hottestC' | 'provenFinished'>): GasSpread {
  const { gravitySg, weighingFraction, warmestC } = input.uncertainty ?? DEFAULT_BOTTLING_UNCERTAINTY;
  const residual = residualCo2(input);
  const cooler = residualCo2({ warmestSinceEndC: Math.max(0, input.warmestSinceEndC - warmestC) });
  return {
    mean: residual + input.primingVolumes,
    sd: Math.hypot(cooler - residual, weighingFraction * input.primingVolumes, 0.02),
    leftoverMean: (fermentableGPerL(input.liquid) * CO2_PER_HEXOSE) / CO2_G_PER_VOLUME,
    leftoverSd: gravitySg * 1000 * VOLUMES_PER_POINT,
  };
}

/** Chance of more carbon dioxide than a limit, by integrating over the leftover sugar, which cannot be less than none. */
function chanceAbove(limitVolumes: number, gas: GasSpread): number {
  const sdSpan = 6;
  const steps = 240;
  let total = 0;
  for (let i = 0; i <= steps; i += 1) {
    const z = -sdSpan + (2 * sdSpan * i) / steps;
    const leftover = Math.max(0, gas.leftoverMean + z * gas.leftoverSd);
    const weight = normalPdf(z) * ((2 * sdSpan) / steps);
    total += weight * (1 - normalCdf((limitVolumes - gas.mean - leftover) / gas.sd));
  }
  return Math.min(1, total);
}

/**
 * The pressure in a filled bottle at a temperature, as a band from 5 % to 95 %, air in the neck included.
 *
 * @param input - the drink, its priming and how well things were measured
 * @param tempC - 0–60 °C
 * @returns the band, bar gauge
 */
export function pressureBand(input: Omit<BottleSafetyInput, 'bottle' | 'hottestC' | 'provenFinished'>, tempC: number): PressureBand {
  const gas = gasSpread(input);
  const leftover = Math.max(0, gas.leftoverMean);
  const up = Math.hypot(FIVE_PERCENT_Z * gas.sd, FIVE_PERCENT_Z * gas.leftoverSd);
  // Sugar that is not there cannot be less: downwards, leftover sugar can only be missing as far as there is any.
  const down = Math.hypot(FIVE_PERCENT_Z * gas.sd, Math.min(FIVE_PERCENT_Z * gas.leftoverSd, leftover));
  const at = (co2Volumes: number): number =>
    Math.max(0, bottlePressure({ co2Volumes: Math.min(20, Math.max(0, co2Volumes)), tempC, headspaceFraction: BOTTLE_HEADSPACE_FRACTION }) + TRAPPED_AIR_BAR);
  return { tempC, lowBar: at(gas.mean + leftover - down), likelyBar: at(gas.mean + leftover), highBar: at(gas.mean + leftover + up) };
}

/**
 * Whether a kind of bottle stands what it will feel on the hottest day of its store: a chance, from how well the
 * gravity, the sugar and the temperature are known. A ferment not proven finished is never to be bottled.
 *
 * @param input - the drink, its proof, its priming, the bottle, the hottest day and the uncertainties
 * @returns verdict, chance and pressure with working and cautions
 * @throws {CoreError} OUT_OF_RANGE
 * @source Henry's law; independent normal errors, leftover sugar cut at zero; limits by our estimate of each kind of bottle
 */
export function bottleSafety(input: BottleSafetyInput): Worked<BottleSafety> {
  inRange('hottestC', input.hottestC, { min: 0, max: 60 });
  inRange('primingVolumes', input.primingVolumes, { min: 0, max: 6 });
  const gas = gasSpread(input);
  const co2Volumes = gas.mean + Math.max(0, gas.leftoverMean);
  const hottest = pressureBand(input, input.hottestC);
  const limit = input.bottle.limitBar;
  // A bottle not made for pressure is given what a driven cork or thin glass is known to shrug off: next to nothing.
  const limitBar = limit ?? 0.7;
  const limitVolumes = volumesAt({ bar: limitBar - TRAPPED_AIR_BAR, tempC: input.hottestC, headspaceFraction: BOTTLE_HEADSPACE_FRACTION });
  const chanceOverLimit = chanceAbove(limitVolumes, gas);
  const refused = !input.provenFinished || chanceOverLimit > REFUSE_CHANCE || (limit === null && input.primingVolumes > 0);
  const verdict = refused ? 'do-not-bottle' : chanceOverLimit > CAREFUL_CHANCE ? 'careful' : 'safe';
  const cautions: Caution[] = [];
  if (!input.provenFinished) cautions.push(caution('sealed-ferment'));
  if (limit === null && (input.primingVolumes > 0 || chanceOverLimit > REFUSE_CHANCE)) cautions.push(caution('wrong-bottle'));
  if (limit !== null && chanceOverLimit > REFUSE_CHANCE) cautions.push(caution('over-pressure'));
  if (input.primingVolumes > 0) cautions.push(caution('burst-glass'));
  return worked(
    { verdict, chanceOverLimit, co2Volumes, hottest },
    [
      {
        label: 'Fizz in all',
        expression: `${figure(gas.mean - input.primingVolumes, 2)} still in it + ${figure(input.primingVolumes, 2)} primed + ${figure(Math.max(0, gas.leftoverMean), 2)} from sugar left`,
        result: `${figure(co2Volumes, 2)} volumes`,
        source: 'mass balance',
      },
      {
        label: `Pressure on a ${figure(input.hottestC, 0)} °C day`,
        expression: `Henry’s law with ${BOTTLE_HEADSPACE_FRACTION * 100} % headspace, and ${TRAPPED_AIR_BAR} bar of air shut in`,
        result: `${figure(hottest.lowBar, 1)}–${figure(hottest.highBar, 1)} bar`,
        source: 'solubility of CO₂ in cider; our estimate for the air',
      },
      {
        label: 'How sure',
        expression: `gravity ±${figure((input.uncertainty ?? DEFAULT_BOTTLING_UNCERTAINTY).gravitySg, 4)}, sugar ±${figure((input.uncertainty ?? DEFAULT_BOTTLING_UNCERTAINTY).weighingFraction * 100, 0)} %, against ${figure(limitBar, 1)} bar`,
        result: chanceText(chanceOverLimit),
        source: 'independent errors; one gravity point left is about 0.55 volumes',
      },
    ],
    cautions,
  );
}

/**
 * A small chance in words.
 *
 * @param chance - 0–1
 * @returns such as `1 in 4,000`
 */
export function chanceText(chance: number): string {
  if (chance < 1e-6) return 'under 1 in a million';
  if (chance > 0.5) return 'more likely than not';
  const raw = 1 / chance;
  const scale = 10 ** Math.max(0, Math.floor(Math.log10(raw)) - 1);
  return `about 1 in ${(Math.round(raw / scale) * scale).toLocaleString('en-GB')}`;
}
