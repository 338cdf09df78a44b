import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { caution } from '../../base/cautions/catalogue.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** Room above the liquid and whether it suits the stage. */
export interface Headspace {
  /** Share of the vessel that is empty, 0–1; below zero when it will not fit. */
  readonly emptyFraction: number;
  readonly emptyL: number;
  readonly verdict: 'will-not-fit' | 'too-full-for-foam' | 'good' | 'too-much-air';
}

/** Least empty share while it foams. @source our estimate from bench practice: a tenth */
export const FOAM_ROOM_FRACTION = 0.08;
/** Most empty share once it is done. @source our estimate: a twentieth, the neck of a jar */
export const AIR_ROOM_FRACTION = 0.08;
/** A full vessel keeps this share of air: the neck. @source our estimate */
export const NECK_FRACTION = 0.02;

/**
 * Whether a vessel leaves the right room: enough for foam while it works, little air once it is done.
 *
 * @param input - what goes in, what the vessel holds to the brim, and the stage
 * @returns the room with a verdict and its caution
 * @throws {CoreError} OUT_OF_RANGE
 * @source shares of the vessel, our estimates
 */
export function headspaceCheck(input: { readonly volumeL: number; readonly capacityL: number; readonly stage: 'working' | 'resting' }): Worked<Headspace> {
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.volumeL);
  const capacityL = inRange('capacityL', input.capacityL, LIMITS.capacityL);
  const emptyL = capacityL - volumeL;
  const emptyFraction = emptyL / capacityL;
  const verdict = verdictOf(emptyFraction, input.stage);
  return worked(
    { emptyFraction, emptyL, verdict },
    [
      {
        label: 'Room',
        expression: `${figure(capacityL, 1)} L − ${figure(volumeL, 1)} L`,
        result: `${figure(emptyL, 1)} L, ${figure(emptyFraction * 100, 0)} %`,
        source: 'our estimate of what foam needs',
      },
    ],
    verdict === 'too-full-for-foam' ? [caution('foam-room')] : verdict === 'too-much-air' ? [caution('air-space')] : [],
  );
}

function verdictOf(emptyFraction: number, stage: 'working' | 'resting'): Headspace['verdict'] {
  if (emptyFraction < -1e-9) return 'will-not-fit';
  if (stage === 'working') return emptyFraction < FOAM_ROOM_FRACTION ? 'too-full-for-foam' : 'good';
  return emptyFraction > AIR_ROOM_FRACTION ? 'too-much-air' : 'good';
}
