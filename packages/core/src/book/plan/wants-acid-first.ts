import { HIGH_PH } from '../../base/cautions/ph-cautions.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import type { BatchState } from '../state/batch-state.js';

/**
 * The pH of a must in which spoilage takes hold easily, so that acid or sharp juice goes in before its yeast.
 *
 * @param state - a batch as replayed
 * @returns its pH where that was measured and lies above 3.8; null where it does not, is only guessed, or yeast is in
 */
export function wantsAcidFirst({ liquid, pitchedAt, guessed }: BatchState): number | null {
  if (!liquid || pitchedAt !== null || guessed.includes('ph')) return null;
  const ph = phOf(liquid);
  return ph > HIGH_PH ? ph : null;
}
