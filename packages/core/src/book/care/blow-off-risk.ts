import { caution } from '../../base/cautions/catalogue.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { YeastKind } from '../../base/reference/yeast-kinds-data.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** How likely foam is to lift the bung. */
export interface BlowOffRisk {
  readonly risk: 'low' | 'some' | 'high';
  /** Room foam is likely to want, and room there is, as shares of the vessel, 0–1. */
  readonly wantedFraction: number;
  readonly emptyFraction: number;
  readonly text: string;
}

/** Room by the kind's foam at its comfortable warmth, share of the vessel. @source our estimate from a tenth for usual kinds */
const ROOM: Readonly<Record<YeastKind['foam'], number>> = { low: 0.05, medium: 0.09, high: 0.14 };
/** More for every degree above what the kind is comfortable at, less below. @source our estimate */
const PER_DEGREE = 0.008;
const LEAST_ROOM = 0.02;
/** Pulp and cloudy juice foam more than clear. @source our estimate */
const CLOUDY_TIMES = 1.3;

/**
 * Whether a vessel has room for the foam of its first week.
 *
 * @param input - fill and size, L; how warm it stands, °C; the kind of yeast; whether the juice is cloudy
 * @returns the risk, with what it rests on
 * @throws {CoreError} OUT_OF_RANGE
 * @source foam of the kind, its comfortable temperatures, our estimate of the room each wants
 */
export function blowOffRisk(input: {
  readonly volumeL: number;
  readonly capacityL: number;
  readonly tempC: number;
  readonly yeast: Pick<YeastKind, 'foam' | 'tempC' | 'name'>;
  readonly cloudy: boolean;
}): Worked<BlowOffRisk> {
  const capacityL = inRange('capacityL', input.capacityL, LIMITS.capacityL);
  const volumeL = inRange('volumeL', input.volumeL, { min: 0, max: capacityL * 1.05 });
  const tempC = inRange('tempC', input.tempC, LIMITS.tempC);
  const [, , comfortable] = input.yeast.tempC;
  const wanted = Math.max(LEAST_ROOM, (ROOM[input.yeast.foam] + PER_DEGREE * (tempC - comfortable)) * (input.cloudy ? CLOUDY_TIMES : 1));
  const empty = Math.max(0, 1 - volumeL / capacityL);
  const risk = empty >= wanted ? 'low' : empty >= wanted / 2 ? 'some' : 'high';
  const room = `${figure(empty * 100, 0)} % of it is empty, and this yeast at ${celsius(tempC)} may want about ${figure(wanted * 100, 0)} %`;
  const text =
    risk === 'low'
      ? `Room for foam: ${room}.`
      : `${risk === 'high' ? 'Foam will likely' : 'Foam may'} reach the bung: ${room}. ${risk === 'high' ? `Draw off ${figure(Math.max(0.1, (wanted - empty) * capacityL), 1)} L, or fit a blow-off tube.` : 'Stand it in a tray, or fit a blow-off tube.'}`;
  return worked(
    { risk, wantedFraction: wanted, emptyFraction: empty, text },
    [
      {
        label: 'Room for foam',
        expression: `${figure(ROOM[input.yeast.foam] * 100, 0)} % for ${input.yeast.foam} foam ${tempC >= comfortable ? '+' : '−'} ${figure(Math.abs(tempC - comfortable), 0)} °C × ${figure(PER_DEGREE * 100, 1)} %${input.cloudy ? ` × ${CLOUDY_TIMES} for pulp` : ''}`,
        result: `${figure(wanted * 100, 0)} %`,
        source: 'our estimate',
      },
    ],
    risk === 'low' ? [] : [caution('foam-room')],
  );
}
