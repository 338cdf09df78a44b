import type { Liquid } from '../../matter/liquid/liquid.js';
import { CO2_PER_HEXOSE, dryGravityOf, fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { median } from '../../base/numeric/median.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { EMPTY_TRACK, indexAt, type Track } from './track.js';

/** The first hours on the scale tell what it weighed before. */
const FIRST_MS = DAY_MS / 4;

/**
 * Gravity from what a vessel on a scale has lost: the gas that left. Water that goes with the gas is left out, so it
 * reads a point or two low towards the end.
 *
 * @param weight - vessel and drink together, g, in rising order of time, begun as the yeast went in
 * @param must - the must as pitched
 * @returns gravity by time; nothing when the must has no sugar
 * @source mass balance of fermentation, straight between must and dry
 */
export function gravityByWeight(weight: Track, must: Liquid): Track {
  const sugarG = fermentableGPerL(must) * must.volumeL;
  const firstMs = weight.atMs[0];
  if (firstMs === undefined || sugarG <= 0) return EMPTY_TRACK;
  const beforeG = median(weight.values.slice(0, Math.max(1, indexAt(weight, firstMs + FIRST_MS))));
  const startSg = gravityOf(must);
  const sgPerG = (startSg - dryGravityOf(must)) / (CO2_PER_HEXOSE * sugarG);
  return { atMs: weight.atMs, values: weight.values.map((g) => startSg - sgPerG * (beforeG - g)) };
}
