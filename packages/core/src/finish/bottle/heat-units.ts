/** Some minutes at a temperature in the middle of the coldest bottle. */
export interface HeatStep {
  readonly minutes: number;
  readonly coreC: number;
}

/** How much faster a degree more kills. @source the usual beverage figure, ten times for 7 °C */
export const PER_DEGREE = 1.393;
export const BASE_C = 60;
/** Units that keep a sweet cider. @source design rule, for drinks of its acid */
export const ENOUGH_UNITS = 50;

/**
 * Pasteurisation units: minutes at 60 °C that would do as much.
 *
 * @param steps - minutes, ≥ 0, at a temperature of the core, −10–100 °C
 * @source minutes × 1.393^(T − 60); 10 minutes at 65 °C are 52.5
 */
export const pasteurisationUnits = (steps: readonly HeatStep[]): number =>
  steps.reduce((sum, { minutes, coreC }) => sum + minutes * PER_DEGREE ** (coreC - BASE_C), 0);

/**
 * Minutes at a temperature that are still wanting.
 *
 * @param units - what was counted before, ≥ 0
 * @param coreC - of the core from now on, 60–75 °C
 * @returns none where it is enough already
 */
export const minutesWanting = (units: number, coreC: number): number => Math.max(0, ENOUGH_UNITS - units) / pasteurisationUnits([{ minutes: 1, coreC }]);
