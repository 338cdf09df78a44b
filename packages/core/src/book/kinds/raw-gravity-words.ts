import { figure } from '../../base/worked/figures.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import type { BatchState } from '../state/batch-state.js';
import type { Say } from './kind.js';

/** What an original gravity rests on, by what it was read with. */
export const originalBy = ({ instrument }: RawGravity): BatchState['originalBy'] => (instrument === 'carton' ? 'carton' : 'glass');

/** A gravity as it was taken; what a refractometer shows is no gravity yet, and stays on its scale. */
export const figureText = (raw: RawGravity, say: Say): string =>
  raw.instrument === 'refractometer' ? `${figure(raw.reading, 1)} °Bx` : say.gravity(raw.reading);

/** The same with how warm the sample was and what it was read with. */
export function rawText(raw: RawGravity, say: Say): string {
  const heat = raw.sampleC === null ? '' : ` at ${say.temperature(raw.sampleC)}`;
  return `${figureText(raw, say)}${heat}, ${raw.instrument === 'carton' ? 'from the carton' : raw.instrument}`;
}
