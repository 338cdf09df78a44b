import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** Where something is left to cool. */
export type CoolingWay = 'air' | 'water';

/** Hours in which 20 L come by two thirds of the way to what is around them. @source our estimate by heat transfer: 0.4 m² at 9 W/m²K in still air, 0.3 m² at about 80 in a bath that is stirred now and then */
const TWO_THIRDS_H: Readonly<Record<CoolingWay, number>> = { air: 6.5, water: 1 };
/** A vessel of another size keeps its heat by its depth. */
const OF_L = 20;
/** Lids, shapes, draughts and how often it is stirred: so much either way. @source our estimate */
const EITHER_WAY = 1.5;

/** How long something cools. */
export interface CoolDown {
  /** h, the shortest and the longest. */
  readonly hours: readonly [number, number];
}

/**
 * How long a vessel cools to a warmth, in still air or in a bath of cold water that is changed or stirred.
 *
 * @param input - L; °C of it, of what is wanted, and of what is around it; where it stands
 * @returns a span of hours
 * @throws {CoreError} OUT_OF_RANGE; UNREACHABLE when it is as cool already, or what is around it is no cooler than what is wanted
 * @source Newton's law of cooling; the time constant grows with the cube root of the volume; our estimate
 */
export function coolDown(input: {
  readonly volumeL: number;
  readonly isC: number;
  readonly wantedC: number;
  readonly aroundC: number;
  readonly way: CoolingWay;
}): Worked<CoolDown> {
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.pourL);
  const [isC, wantedC] = [inRange('tempC', input.isC, LIMITS.sampleC), inRange('tempC', input.wantedC, LIMITS.sampleC)];
  const aroundC = inRange('tempC', input.aroundC, LIMITS.tempC);
  if (wantedC >= isC) throw new CoreError('UNREACHABLE', `it is at ${celsius(isC)} already`, { isC, wantedC });
  if (aroundC >= wantedC) throw new CoreError('UNREACHABLE', `it comes no cooler than the ${celsius(aroundC)} around it`, { aroundC, wantedC });
  const constantH = TWO_THIRDS_H[input.way] * Math.cbrt(volumeL / OF_L);
  const hours = constantH * Math.log((isC - aroundC) / (wantedC - aroundC));
  const span = [hours / EITHER_WAY, hours * EITHER_WAY] as const;
  return worked({ hours: span }, [
    {
      label: 'Cooling',
      expression: `${figure(constantH, 1)} h × ln((${celsius(isC)} − ${celsius(aroundC)}) ÷ (${celsius(wantedC)} − ${celsius(aroundC)}))`,
      result: `${figure(span[0], 1)} to ${figure(span[1], 1)} h`,
      source: 'Newton’s law of cooling; its hours are our estimate, half as much either way',
    },
  ]);
}

/** A span of hours as people say it: in minutes where it is short. */
export const coolingText = ([from, to]: CoolDown['hours']): string =>
  to < 1.5 ? `${figure(from * 60, 0)} to ${figure(to * 60, 0)} minutes` : `${figure(from, to < 10 ? 1 : 0)} to ${figure(to, to < 10 ? 1 : 0)} hours`;
