import { inRange, LIMITS } from '../errors/guards.js';
import { interpolateLogLinear, type TablePoint } from '../numeric/interpolate.js';

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

/** Cider holds a little less than water. @source estimate for 5–8 % alcohol and a few g/L of solids */
const CIDER_TO_WATER = 0.95;

/** One atmosphere, bar. @source exact by definition */
export const ATM_BAR = 1.01325;

/**
 * Carbon dioxide that cider holds under one atmosphere of it.
 *
 * @param tempC - temperature, °C, 0–60
 * @returns volumes per atm
 * @throws {CoreError} OUT_OF_RANGE
 * @source 0.95 × the Bunsen coefficient of water, log-linear between table points
 */
export function co2Solubility(tempC: number): number {
  inRange('tempC', tempC, { min: 0, max: 60 });
  return CIDER_TO_WATER * interpolateLogLinear(BUNSEN_WATER, tempC);
}

/**
 * Carbon dioxide left in a drink that has stood open to the air since it stopped: what its warmest day allowed.
 *
 * @param input - the warmest it has been since the ferment ended, °C, 0–60
 * @returns volumes
 * @source {@link co2Solubility} at 1 atm
 */
export function residualCo2(input: { readonly warmestSinceEndC: number }): number {
  return co2Solubility(input.warmestSinceEndC);
}

/** What a sealed bottle's pressure depends on. */
export interface BottleGas {
  /** All the carbon dioxide in the bottle, per litre of drink. */
  readonly co2Volumes: number;
  readonly tempC: number;
  /** Gas space as a share of the drink's volume, 0–0.5; default none. */
  readonly headspaceFraction?: number;
}

/** Volumes held for each atmosphere of CO₂, in the drink and in the gas space together. */
function volumesPerAtm(tempC: number, headspaceFraction: number): number {
  return co2Solubility(tempC) + (headspaceFraction * 273.15) / (273.15 + tempC);
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
  inRange('headspaceFraction', headspaceFraction, { min: 0, max: 0.5 });
  return (input.co2Volumes / volumesPerAtm(tempC, headspaceFraction)) * ATM_BAR - ATM_BAR;
}

/**
 * Carbon dioxide that makes a pressure: {@link bottlePressure} undone.
 *
 * @param input - gauge bar from −1.0 to 20, temperature and headspace
 * @returns volumes
 */
export function volumesAt(input: { readonly bar: number; readonly tempC: number; readonly headspaceFraction?: number }): number {
  const { tempC, headspaceFraction = 0 } = input;
  inRange('bar', input.bar, { min: -1.01325, max: 20 });
  inRange('headspaceFraction', headspaceFraction, { min: 0, max: 0.5 });
  return ((input.bar + ATM_BAR) / ATM_BAR) * volumesPerAtm(tempC, headspaceFraction);
}

/**
 * Regulator setting that brings a keg to a level of fizz.
 *
 * @param input - volumes wanted and the keg's temperature, °C
 * @returns bar gauge
 */
export function kegPressure(input: { readonly targetVolumes: number; readonly tempC: number }): number {
  return bottlePressure({ co2Volumes: input.targetVolumes, tempC: input.tempC });
}
