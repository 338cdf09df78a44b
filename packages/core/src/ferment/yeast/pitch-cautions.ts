import { WAIT_BEFORE_YEAST_H } from '../../juice/adjust/sulfite-dose.js';
import { caution } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import { HIGH_PH } from '../../base/cautions/ph-cautions.js';
import { dryAbvOf } from '../../matter/liquid/views.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import { daysBetween } from '../../matter/quantity/days.js';
import { WILD_YEAST_ID, yeastById } from '../../base/reference/yeast-kinds.js';

/**
 * What to mind before yeast goes in.
 *
 * @param input - the must, the kind of yeast, the juice's temperature (null when unknown), when it was sulfited and now
 * @returns cautions, dangers first
 * @throws {CoreError} UNKNOWN_ID
 */
export function pitchCautions(input: {
  readonly liquid: Liquid;
  readonly yeastId: string;
  readonly juiceC: number | null;
  readonly sulfitedAt: string | null;
  readonly at: string;
  /** Whether the juice was heated, as what comes from a shop is. */
  readonly heated?: boolean;
}): readonly Caution[] {
  const yeast = yeastById(input.yeastId);
  const out: Caution[] = [];
  if (input.sulfitedAt !== null && daysBetween(input.sulfitedAt, input.at) * 24 < WAIT_BEFORE_YEAST_H - 0.5 && yeast.id !== WILD_YEAST_ID) {
    out.push(caution('sulfite-and-yeast'));
  }
  if (input.heated === true && yeast.id === WILD_YEAST_ID) out.push(caution('wild-in-heated'));
  if (input.juiceC !== null && input.juiceC > yeast.tempC[3]) out.push(caution('hot-pitch'));
  if (dryAbvOf(input.liquid) > yeast.toleranceAbv[0]) out.push(caution('over-tolerance'));
  if (phOf(input.liquid) > HIGH_PH) out.push(caution('ph-high'));
  return out;
}
