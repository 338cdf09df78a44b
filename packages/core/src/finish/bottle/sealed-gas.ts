import { addFermentable } from '../../matter/liquid/additions.js';
import { sugarByScales, weighedWith } from '../../matter/liquid/sugar-by-scales.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, dryAbvOf, fermentableGPerL } from '../../matter/liquid/views.js';
import { normalCdf, normalPdf } from '../../base/numeric/normal.js';
import { bottlePressure, RESIDUAL_SHARE, residualCo2, volumesAt } from './co2-solubility.js';
import { volumesFromHexose } from './gas-of-sugar.js';

/** CO₂ of a g/L of malic acid that turns to lactic, volumes. @source molar masses, 44.01 / 134.09 ÷ 1.9768 */
export const VOLUMES_PER_MALIC_G_PER_L = 0.166;
/** Sugar behind a point of gravity, g/L as hexose. @source mass balance */
export const HEXOSE_G_PER_L_PER_POINT = 2.24;
/** How well a test for sugar tells what is left, one standard deviation, g/L as hexose. @source estimate: the steps of a test's colours */
export const SUGAR_TEST_SD_G_PER_L = 1;
/** Gas space of a filled bottle as a share of the drink. @source estimate: 30 mm in the neck of a 500 mL bottle */
export const BOTTLE_HEADSPACE_FRACTION = 0.04;
/** Pressure of the air shut in at filling, less what its oxygen is taken up, bar. @source estimate: nitrogen of a headspace filled in air */
export const TRAPPED_AIR_BAR = { least: 0.6, most: 0.9 } as const;

/** How far it is known whether bacteria can still turn malic acid in the closed bottle. */
export type MalolacticGas = 'over' | 'possible' | 'under-way';

/** Everything that makes gas in a sealed drink, and how well it is known. Each sd is one standard deviation. */
export interface SealedGas {
  /** The drink as it goes in, with all its sugar: every gram of it counts. */
  readonly liquid: Liquid;
  /** Of the sugar in it, what was weighed in since the last reading, g/L as hexose: known by the scales, not by the hydrometer. */
  readonly weighedGPerL: number;
  /** How well that is known beside the scales, where a label or a hive says how sweet it was, g/L as hexose; absent for plain sugar. */
  readonly weighedSdGPerL?: number | undefined;
  /** How well the rest of the sugar is known, g/L as hexose. */
  readonly sugarSdGPerL: number;
  readonly malolactic: MalolacticGas;
  readonly warmestSinceEndC: number;
  /** Gas known to be in it beyond what it would hold in the open, volumes, as out of a keg. */
  readonly heldVolumes?: number | undefined;
}

/** Of the scales and the evenness of mixing, as a share of the sugar. @source estimate: a kitchen scale and a stirred bucket */
const WEIGHING_SD = 0.05;
/** Of one bottle against the next, as a share of the weighed sugar, and of the gas it keeps, volumes. @source estimate */
const BOTTLE_SD = 0.03;
const BOTTLE_SD_VOLUMES = 0.02;
/** Of the warmest temperature since the end, volumes. @source estimate: a shed thermometer, 2 °C */
const WARMTH_SD_VOLUMES = 0.05;

/** The parts of the gas, volumes. */
export interface GasParts {
  /** Still dissolved, at most. */
  readonly residual: number;
  readonly weighed: number;
  readonly weighedSd: number;
  /** From sugar that the sums still find. */
  readonly leftover: number;
  readonly leftoverSd: number;
  /** From malic acid, were all of it to turn. */
  readonly malic: number;
}

/** The fizz of what it holds and all the sugar in it, volumes. */
export const fizzIn = ({ residual, weighed, leftover }: Pick<GasParts, 'residual' | 'weighed' | 'leftover'>): number => residual + weighed + leftover;

/** What of a sealed drink makes how much gas. */
export function gasParts(gas: SealedGas): GasParts {
  const sugar = fermentableGPerL(gas.liquid);
  const weighedGPerL = Math.min(sugar, Math.max(0, gas.weighedGPerL));
  return {
    residual: Math.max(gas.heldVolumes ?? 0, residualCo2({ warmestSinceEndC: gas.warmestSinceEndC, abv: Math.min(25, abvOf(gas.liquid)) })),
    weighed: volumesFromHexose(weighedGPerL),
    weighedSd: Math.hypot(WEIGHING_SD * volumesFromHexose(weighedGPerL), volumesFromHexose(gas.weighedSdGPerL ?? 0)),
    leftover: volumesFromHexose(sugar - weighedGPerL),
    leftoverSd: volumesFromHexose(gas.sugarSdGPerL),
    malic: gas.malolactic === 'over' ? 0 : gas.liquid.malicGPerL * VOLUMES_PER_MALIC_G_PER_L,
  };
}

/**
 * The same with a priming sugar weighed in.
 *
 * @param gas - before it
 * @param priming - which sugar, and how much for the whole, g
 */
export function withPriming(gas: SealedGas, priming: { readonly fermentableId: string; readonly massG: number }): SealedGas {
  const liquid = addFermentable(gas.liquid, priming);
  return { ...gas, liquid, ...weighedWith({ ...gas, volumeL: gas.liquid.volumeL }, sugarByScales(priming), liquid.volumeL) };
}

/** Strength once everything has fermented, as the solubility takes it. */
const abvAtEnd = (gas: SealedGas): number => Math.min(25, dryAbvOf(gas.liquid));

/** Points that stand for a spread known only by its ends, each as likely. */
const spreadOver = ({ least, most }: { readonly least: number; readonly most: number }, points: number): readonly number[] =>
  Array.from({ length: points }, (_none, i) => least + ((most - least) * (i + 0.5)) / points);

/** Fine enough that a chance near one in a hundred moves by less than a twentieth of itself. */
const SD_SPAN = 4.5;
const LEFTOVER_STEPS = 60;
const OTHER_STEPS = 8;

/**
 * The chance that any bottle of a lot passes a pressure at a temperature. What the lot shares (the reading, the scales,
 * the gas still in it, the air of its necks) is averaged over; what differs from bottle to bottle can be wrong in each.
 *
 * @param gas - what makes gas, and how well it is known
 * @param limit - bar gauge, the temperature, °C, and how many bottles
 * @returns 0–1
 * @source Henry's law; independent normal errors, leftover sugar cut at none; residual gas and air known by their ends
 */
export function chanceOverPressure(gas: SealedGas, limit: { readonly bar: number; readonly tempC: number; readonly bottleCount: number }): number {
  const parts = gasParts(gas);
  const sharedSd = Math.hypot(parts.weighedSd, WARMTH_SD_VOLUMES);
  const bottleSd = Math.hypot(BOTTLE_SD * parts.weighed, BOTTLE_SD_VOLUMES);
  const residuals = spreadOver({ least: RESIDUAL_SHARE.least * parts.residual, most: RESIDUAL_SHARE.most * parts.residual }, 4);
  const rooms = spreadOver(TRAPPED_AIR_BAR, 3).map((airBar) =>
    volumesAt({ bar: limit.bar - airBar, tempC: limit.tempC, headspaceFraction: BOTTLE_HEADSPACE_FRACTION, abv: abvAtEnd(gas) }),
  );
  const dz = (2 * SD_SPAN) / LEFTOVER_STEPS;
  const dw = (2 * SD_SPAN) / OTHER_STEPS;
  let total = 0;
  let weights = 0;
  for (let i = 0; i <= LEFTOVER_STEPS; i += 1) {
    const z = -SD_SPAN + dz * i;
    const leftover = Math.max(0, parts.leftover + z * parts.leftoverSd);
    for (let j = 0; j <= OTHER_STEPS; j += 1) {
      const w = -SD_SPAN + dw * j;
      const weight = normalPdf(z) * normalPdf(w);
      const made = leftover + parts.weighed + parts.malic + w * sharedSd;
      let over = 0;
      for (const residual of residuals) {
        for (const room of rooms) over += 1 - normalCdf((room - made - residual) / bottleSd) ** limit.bottleCount;
      }
      total += (weight * over) / (residuals.length * rooms.length);
      weights += weight;
    }
  }
  return Math.min(1, Math.max(0, total / weights));
}

/** A pressure with its honest range. */
export interface PressureBand {
  readonly tempC: number;
  readonly lowBar: number;
  readonly likelyBar: number;
  readonly highBar: number;
}

/** Standard deviations that leave five in a hundred beyond. @source normal distribution */
const FIVE_PERCENT_Z = 1.645;
const MOST_VOLUMES = 20;

/**
 * The pressure in a filled bottle at a temperature once everything in it has fermented, as a band from 5 % to 95 %. Malic
 * acid that can still turn is in the upper half of it.
 *
 * @param gas - what makes gas
 * @param tempC - 0–60 °C
 * @returns the band, bar gauge
 */
export function pressureBand(gas: SealedGas, tempC: number): PressureBand {
  const parts = gasParts(gas);
  const sd = FIVE_PERCENT_Z * Math.hypot(parts.weighedSd, WARMTH_SD_VOLUMES, parts.leftoverSd);
  // Sugar that is not there cannot be less: downwards, leftover sugar can only be missing as far as there is any.
  const down = Math.hypot(FIVE_PERCENT_Z * Math.hypot(parts.weighedSd, WARMTH_SD_VOLUMES), Math.min(FIVE_PERCENT_Z * parts.leftoverSd, parts.leftover));
  const sugar = parts.weighed + parts.leftover;
  const at = (co2Volumes: number, airBar: number): number =>
    Math.max(
      0,
      bottlePressure({
        co2Volumes: Math.min(MOST_VOLUMES, Math.max(0, co2Volumes)),
        tempC,
        headspaceFraction: BOTTLE_HEADSPACE_FRACTION,
        abv: abvAtEnd(gas),
      }) + airBar,
    );
  const { least, most } = RESIDUAL_SHARE;
  return {
    tempC,
    lowBar: at(least * parts.residual + sugar - down, TRAPPED_AIR_BAR.least),
    likelyBar: at(((least + most) / 2) * parts.residual + sugar, (TRAPPED_AIR_BAR.least + TRAPPED_AIR_BAR.most) / 2),
    highBar: at(most * parts.residual + sugar + sd + parts.malic, TRAPPED_AIR_BAR.most),
  };
}
