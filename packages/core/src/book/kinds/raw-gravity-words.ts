import { figure, gravityText } from '../../base/worked/figures.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import type { BatchState } from '../state/batch-state.js';
import type { Say } from './kind.js';

/** What an original gravity rests on, by what it was read with. */
export const originalBy = ({ instrument }: RawGravity): BatchState['originalBy'] => (instrument === 'carton' ? 'carton' : 'glass');

/** A gravity as it was taken; what a refractometer shows is no gravity yet, and stays on its scale. */
export function figureText({ instrument, reading }: RawGravity, say: Say): string {
  if (instrument === 'refractometer') return `${figure(reading, 1)} °Bx`;
  const said = say.gravity(reading);
  // Half a point was read between two lines of the stem: it is told as it was read, where it is told as SG.
  const isHalf = instrument === 'hydrometer' && said === gravityText(reading) && Number(said) !== reading;
  return isHalf ? gravityText(reading, 4) : said;
}

/** The same with how warm the sample was and what it was read with. */
export function rawText(raw: RawGravity, say: Say): string {
  const heat = raw.sampleC === null ? '' : ` at ${say.temperature(raw.sampleC)}`;
  return `${figureText(raw, say)}${heat}, ${raw.instrument === 'carton' ? 'from the carton' : raw.instrument}`;
}
