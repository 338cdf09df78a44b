import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { countText } from '../../matter/quantity/count-text.js';

/** A vessel that could be filled. */
export interface VesselSize {
  readonly id: string;
  readonly name: string;
  readonly capacityL: number;
}

/** Which vessels to fill, how far, and what is over. */
export interface VesselFit {
  readonly fills: readonly { readonly vesselId: string; readonly volumeL: number }[];
  readonly leftOverL: number;
  /** Air in the filled vessels together, L. */
  readonly airL: number;
}

/** Most vessels searched exactly: 2^16 choices take some milliseconds. */
const MOST_VESSELS = 16;

/**
 * Which of the maker's vessels hold a volume best: every choice is tried, and the one that leaves least over,
 * then least air, then fewest vessels wins. A vessel may keep at most the named share of air.
 *
 * @param input - the volume, up to 16 empty vessels, the most air a vessel may hold (share, default 0.05) and whether it must stay in one
 * @returns fills, what is over and the air left, with the working
 * @throws {CoreError} OUT_OF_RANGE
 * @source exhaustive search; exact
 */
export function fitVessels(input: {
  readonly volumeL: number;
  readonly vessels: readonly VesselSize[];
  readonly maxHeadspaceFraction?: number;
  readonly keepWhole?: boolean;
}): Worked<VesselFit> {
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.volumeL);
  const maxAir = inRange('maxHeadspaceFraction', input.maxHeadspaceFraction ?? 0.05, LIMITS.fraction);
  inRange('vessels.length', input.vessels.length, { min: 0, max: MOST_VESSELS });
  let best: VesselFit = { fills: [], leftOverL: volumeL, airL: 0 };
  for (let mask = 1; mask < 1 << input.vessels.length; mask += 1) {
    const chosen = input.vessels.filter((_, i) => (mask & (1 << i)) !== 0);
    if (input.keepWhole === true && chosen.length > 1) continue;
    const capacityL = chosen.reduce((sum, v) => sum + v.capacityL, 0);
    const filledL = Math.min(volumeL, capacityL);
    if (filledL < capacityL * (1 - maxAir) - 1e-9) continue;
    const fit: VesselFit = {
      fills: chosen.map((v) => ({ vesselId: v.id, volumeL: (filledL * v.capacityL) / capacityL })),
      leftOverL: volumeL - filledL,
      airL: capacityL - filledL,
    };
    if (isBetter(fit, best)) best = fit;
  }
  return worked(best, [
    {
      label: 'Best fit',
      expression: `${figure(volumeL, 1)} L over ${countText(input.vessels.length, 'vessel')}, at most ${figure(maxAir * 100, 0)} % air`,
      result: `${best.fills.length} filled, ${figure(best.leftOverL, 1)} L over, ${figure(best.airL, 1)} L air`,
      source: 'every choice tried',
    },
  ]);
}

function isBetter(a: VesselFit, b: VesselFit): boolean {
  if (Math.abs(a.leftOverL - b.leftOverL) > 1e-9) return a.leftOverL < b.leftOverL;
  if (Math.abs(a.airL - b.airL) > 1e-9) return a.airL < b.airL;
  return a.fills.length < b.fills.length;
}
