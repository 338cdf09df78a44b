import { caution } from '../../base/cautions/catalogue.js';
import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { ATM_BAR, co2Solubility, FREEZING_K, gasPerAtm } from './co2-solubility.js';
import { BASE_C, ENOUGH_UNITS, minutesWanting, PER_DEGREE } from './heat-units.js';
import { TRAPPED_AIR_BAR } from './sealed-gas.js';

/** More fizz than this is never heated, and less room than this is never left. @source design rule */
const MOST_HEATED_VOLUMES = 2.5;
export const LEAST_HEADSPACE = LIMITS.heatedRoom.min;
const HOLD_C = { min: 60, max: 75 } as const;
const WARMEST_SURE_C = 60;
/** What a drink swells by from cellar cool, share for each degree. @source water with some alcohol: 1.9 % from 10 to 65 °C, so 4 % of room become 2.2 % */
const SWELLS_PER_C = 0.00034;
const FILLED_C = 12;
/** Air shut in at the filling, bar, of which the oxygen goes: the middle of what `bottleSafety` takes. */
const AIR_BAR = (TRAPPED_AIR_BAR.least + TRAPPED_AIR_BAR.most) / 2;

/** Volumes that a drink this hot holds for each atmosphere: past the end of the tables drawn on as steeply as it falls before it. */
function hotSolubility(coreC: number, abv?: number): number {
  const falls = co2Solubility(WARMEST_SURE_C, abv) / co2Solubility(WARMEST_SURE_C - 10, abv);
  return co2Solubility(WARMEST_SURE_C, abv) * falls ** ((coreC - WARMEST_SURE_C) / 10);
}

/**
 * Pressure of the carbon dioxide alone in a hot bottle.
 *
 * @param input - fizz, volumes; room left while hot, 0–1; core, 60–75 °C; strength, % by volume
 * @returns bar absolute
 * @source Henry's law; 2.0, 2.5 and 3.0 volumes at 65 °C with 2.2 % of room are 6.2, 7.8 and 9.3 bar
 */
export function heatedCo2Bar(input: { readonly co2Volumes: number; readonly hotHeadspace: number; readonly coreC: number; readonly abv?: number }): number {
  const { co2Volumes, hotHeadspace, coreC, abv } = input;
  return (co2Volumes / (hotSolubility(coreC, abv) + gasPerAtm(hotHeadspace, coreC))) * ATM_BAR;
}

/** What heating does to bottles. */
export interface HeatedBottles {
  /** How long the core of the coldest bottle must stay at that temperature, minutes. */
  readonly minutes: number;
  /** Of carbon dioxide alone, bar absolute. */
  readonly co2Bar: number;
  /** On the glass, with the air shut in, bar gauge. */
  readonly gaugeBar: number;
  /** Room left once the drink has swollen, 0–1. */
  readonly hotHeadspace: number;
}

/**
 * How long bottles are held hot, and what presses on them meanwhile.
 *
 * @param input - fizz, volumes, 0–2.5; room at the filling, 0.05–0.2; temperature of the core, 60–75 °C; strength, % by volume
 * @returns the minutes and the pressure, with the working
 * @throws {CoreError} OUT_OF_RANGE for a core too cool or too hot; NOT_ALLOWED for more fizz or less room than heat may meet
 * @source units and limits by the design; Henry's law with the solubility drawn on from 60 °C; room shrunk by the drink's own swelling
 */
export function heatBottles(input: {
  readonly co2Volumes: number;
  readonly headspace: number;
  readonly coreC: number;
  readonly abv?: number;
}): Worked<HeatedBottles> {
  const { co2Volumes, headspace, abv } = input;
  const coreC = inRange('coreC', input.coreC, HOLD_C);
  inRange('co2Volumes', co2Volumes, LIMITS.co2Volumes);
  inRange('headspaceFraction', headspace, { min: 0, max: LIMITS.heatedRoom.max });
  if (co2Volumes > MOST_HEATED_VOLUMES) {
    throw new CoreError('NOT_ALLOWED', `bottles with more than ${MOST_HEATED_VOLUMES} volumes are never heated: glass does not hold it`, { co2Volumes });
  }
  if (headspace < LEAST_HEADSPACE) {
    throw new CoreError('NOT_ALLOWED', `leave ${LEAST_HEADSPACE * 100} % of the bottle empty: the drink swells and would burst it by itself`, { headspace });
  }
  const hotHeadspace = headspace - SWELLS_PER_C * (coreC - FILLED_C) * (1 - headspace);
  const co2Bar = heatedCo2Bar({ co2Volumes, hotHeadspace, coreC, ...(abv === undefined ? {} : { abv }) });
  const airBar = AIR_BAR * (headspace / hotHeadspace) * ((FREEZING_K + coreC) / (FREEZING_K + FILLED_C));
  const minutes = minutesWanting(0, coreC);
  return worked(
    { minutes, co2Bar, gaugeBar: Math.max(0, co2Bar + airBar - ATM_BAR), hotHeadspace },
    [
      {
        label: 'Held for',
        expression: `${ENOUGH_UNITS} ÷ ${PER_DEGREE}^(${figure(coreC, 0)} − ${BASE_C})`,
        result: `${figure(minutes, 1)} minutes`,
        source: 'pasteurisation units',
      },
      {
        label: 'Room while hot',
        expression: `${figure(headspace * 100, 1)} % less what the drink swells by`,
        result: `${figure(hotHeadspace * 100, 1)} %`,
        source: 'our estimate of its swelling',
      },
      {
        label: 'Carbon dioxide',
        expression: `${figure(co2Volumes, 1)} volumes in ${figure(hotSolubility(coreC, abv), 3)} and that room`,
        result: `${figure(co2Bar, 1)} bar`,
        source: 'Henry’s law',
      },
    ],
    [caution('hot-bottles')],
  );
}
