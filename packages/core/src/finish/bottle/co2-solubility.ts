import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { interpolateLogLinear, type TablePoint } from '../../base/numeric/interpolate.js';

/** Bunsen coefficient of CO₂ in water, L of gas at 0 °C and 1 atm per L per atm. @source handbook tables for water */
const BUNSEN_WATER: readonly TablePoint[] = [
  { x: 0, y: 1.713 },
  { x: 5, y: 1.424 },
  { x: 10, y: 1.194 },
  { x: 15, y: 1.019 },
  { x: 20, y: 0.878 },
  { x: 25, y: 0.759 },
  { x: 30, y: 0.665 },
  { x: 35, y: 0.592 },
  { x: 40, y: 0.53 },
  { x: 45, y: 0.479 },
  { x: 50, y: 0.436 },
  { x: 60, y: 0.359 },
];

/** What alcohol takes off the solubility, share for each % by volume. @source our estimate: a 5 % cider holds 0.95 of what water does */
const LESS_PER_ABV = 0.01;
/** Strength taken where nobody says, % by volume: a usual cider. */
const USUAL_ABV = 5;

/** One atmosphere, bar. @source exact by definition */
export const ATM_BAR = 1.01325;

/**
 * Carbon dioxide that cider holds under one atmosphere of it.
 *
 * @param tempC - temperature, °C, 0–60
 * @param abv - strength, % by volume, 0–25; a usual cider when not given
 * @returns volumes per atm
 * @throws {CoreError} OUT_OF_RANGE
 * @source (1 − 0.01 abv) × the Bunsen coefficient of water, log-linear between table points
 */
export function co2Solubility(tempC: number, abv = USUAL_ABV): number {
  inRange('tempC', tempC, LIMITS.hottestC);
  inRange('abv', abv, LIMITS.abv);
  return (1 - LESS_PER_ABV * abv) * interpolateLogLinear(BUNSEN_WATER, tempC);
}

/**
 * Carbon dioxide left in a drink that has stood open to the air since it stopped, at most: what its warmest day allowed.
 * A drink that was stirred, racked or long at rest holds less, {@link RESIDUAL_SHARE} of it.
 *
 * @param input - the warmest it has been since the ferment ended, °C, 0–60, and its strength, % by volume
 * @returns volumes
 * @source {@link co2Solubility} at 1 atm
 */
export function residualCo2(input: { readonly warmestSinceEndC: number; readonly abv?: number }): number {
  return co2Solubility(input.warmestSinceEndC, input.abv);
}

/** Share of {@link residualCo2} that is really still there. @source estimate: a drink stirred or racked twice has lost up to two fifths */
export const RESIDUAL_SHARE = { least: 0.6, most: 1 } as const;

/** What a sealed bottle's pressure depends on. */
export interface BottleGas {
  /** All the carbon dioxide in the bottle, per litre of drink. */
  readonly co2Volumes: number;
  readonly tempC: number;
  /** Gas space as a share of the drink's volume, 0–0.5; default none. */
  readonly headspaceFraction?: number;
  /** Strength, % by volume; a usual cider when not given. */
  readonly abv?: number | undefined;
}

/** Freezing point of water, K. @source exact by definition */
export const FREEZING_K = 273.15;

/** Volumes that the gas space itself holds for each atmosphere. @source ideal gas, its volume told at 0 °C */
export const gasPerAtm = (headspaceFraction: number, tempC: number): number => (headspaceFraction * FREEZING_K) / (FREEZING_K + tempC);

/** Volumes held for each atmosphere of CO₂, in the drink and in the gas space together. */
function volumesPerAtm(tempC: number, headspaceFraction: number, abv?: number): number {
  return co2Solubility(tempC, abv) + gasPerAtm(headspaceFraction, tempC);
}

/**
 * Gauge pressure in a sealed bottle, its carbon dioxide shared between drink and headspace. Air shut in with it is
 * not counted here; `bottleSafety` adds it.
 *
 * @param input - carbon dioxide 0–20 volumes, temperature 0–60 °C, headspace
 * @returns bar gauge
 * @throws {CoreError} OUT_OF_RANGE
 * @source Henry's law with {@link co2Solubility}, ideal gas in the headspace
 */
export function bottlePressure(input: BottleGas): number {
  const { tempC, headspaceFraction = 0 } = input;
  inRange('co2Volumes', input.co2Volumes, LIMITS.co2Volumes);
  inRange('headspaceFraction', headspaceFraction, LIMITS.headspaceFraction);
  return (input.co2Volumes / volumesPerAtm(tempC, headspaceFraction, input.abv)) * ATM_BAR - ATM_BAR;
}

/**
 * Carbon dioxide that makes a pressure: {@link bottlePressure} undone.
 *
 * @param input - gauge bar from −1.0 to 20, temperature and headspace
 * @returns volumes
 */
export function volumesAt(input: { readonly bar: number; readonly tempC: number; readonly headspaceFraction?: number; readonly abv?: number }): number {
  const { tempC, headspaceFraction = 0 } = input;
  inRange('bar', input.bar, { min: -1.01325, max: 20 });
  inRange('headspaceFraction', headspaceFraction, LIMITS.headspaceFraction);
  return ((input.bar + ATM_BAR) / ATM_BAR) * volumesPerAtm(tempC, headspaceFraction, input.abv);
}

/** How much less the air weighs on a gauge for each kilometre of height, bar. @source barometric formula near sea level */
const BAR_PER_KM = 0.12;

/**
 * Regulator setting that brings a keg to a level of fizz.
 *
 * @param input - volumes wanted, the keg's temperature, °C, strength, % by volume, and height above the sea, m
 * @returns bar gauge, never below nothing
 * @source Henry's law with {@link co2Solubility}; a gauge shows the pressure above the air around it
 */
export function kegPressure(input: { readonly targetVolumes: number; readonly tempC: number; readonly abv?: number; readonly altitudeM?: number }): number {
  const altitudeM = inRange('altitudeM', input.altitudeM ?? 0, LIMITS.altitudeM);
  const gauge = bottlePressure({ co2Volumes: input.targetVolumes, tempC: input.tempC, abv: input.abv });
  return Math.max(0, gauge + (BAR_PER_KM * altitudeM) / 1000);
}
