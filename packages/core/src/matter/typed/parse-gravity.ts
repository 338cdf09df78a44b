import { CoreError } from '../../base/errors/core-error.js';
import { abvFromGravities } from '../measure/abv-from-gravities.js';
import { brixFromSg, sgFromBrix } from '../density/brix.js';
import { sgFromSolids } from '../density/solids.js';
import { findRoot } from '../../base/numeric/find-root.js';

/** Gravities, in thousandths, that a maker may write without the point: `1047` is 1.047. */
const THOUSANDTHS = { min: 980, max: 1400 } as const;
/** A bare figure below this is no gravity; in the range of Brix it is asked about. */
const LEAST_SG = 0.9;
const MOST_SG = 1.6;
const MOST_BRIX = 75;

/** Gravity at which a stem's scale of potential alcohol shows a strength. @source the strength that a fall to 1.000 gives, by mass balance */
function sgOfPotential(percent: number): number {
  return percent === 0 ? 1 : findRoot({ f: (originalSg) => abvFromGravities({ originalSg, currentSg: 1 }).value - percent, lo: 1, hi: 1.25, tolerance: 1e-7 });
}

/**
 * Gravity of a figure on one of the scales a stem or a lens carries.
 *
 * @param figure - as shown
 * @param unit - the scale
 * @returns specific gravity 20 °C/20 °C
 * @throws {CoreError} OUT_OF_RANGE when no drink shows such a figure
 */
export function sgOnScale(figure: number, unit: 'SG' | 'Bx' | 'g/L' | 'potential' | 'points'): number {
  switch (unit) {
    case 'Bx':
      return sgFromBrix(figure);
    case 'g/L':
      return sgFromSolids(figure);
    case 'potential':
      if (figure > 25) throw new CoreError('OUT_OF_RANGE', `no juice promises ${figure} %`, { field: 'potential', given: figure, min: 0, max: 25 });
      return sgOfPotential(figure);
    case 'points':
      if (figure > 170) throw new CoreError('OUT_OF_RANGE', `no juice has ${figure} points`, { field: 'points', given: figure, min: -15, max: 170 });
      return 1 + figure / 1000;
    case 'SG':
      return figure;
  }
}

/**
 * What a figure without a unit means: `1.047` and `1047` are gravities; `12.4` and `47` may be two things, and are asked about.
 *
 * @param figure - the number written
 * @param text - as typed, for the question
 * @returns specific gravity
 * @throws {CoreError} UNREADABLE with `reason` `which-scale`
 */
export function bareGravity(figure: number, text: string): number {
  if (figure >= LEAST_SG && figure <= MOST_SG) return figure;
  if (Number.isInteger(figure) && figure >= THOUSANDTHS.min && figure <= THOUSANDTHS.max) return figure / 1000;
  throw new CoreError('UNREADABLE', scaleQuestion(figure, text), { given: text, dimension: 'gravity', reason: 'which-scale' });
}

function scaleQuestion(figure: number, text: string): string {
  if (figure > 0.2 && figure < LEAST_SG) return `${(1 + figure / 10).toFixed(3)}? Then write ${(1 + figure / 10).toFixed(3)}.`;
  if (!(figure > 1 && figure <= MOST_BRIX)) return `“${text}” is not a gravity: write it as 1.048 or 12 Bx.`;
  const brix = `${figure} °Bx (${sgFromBrix(figure).toFixed(3)})`;
  const points = Number.isInteger(figure) && figure > 20;
  return points
    ? `${brix}, or 1.0${figure} (${brixFromSg(1 + figure / 1000).toFixed(1)} °Bx)? Write ${figure} Bx or 1.0${figure}.`
    : `${brix}? Then write ${figure} Bx.`;
}
