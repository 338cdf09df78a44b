import { judgeFermentation } from '../../ferment/verdict/judge-fermentation.js';
import { warmings } from '../../ferment/verdict/help.js';
import { heldVerdict } from '../../ferment/verdict/held-verdict.js';
import { provesFinished, type Verdict } from '../../ferment/verdict/verdict.js';
import type { JudgeInput } from '../../ferment/verdict/judge-facts.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import type { Worked } from '../../base/worked/worked.js';
import type { BatchState } from './batch-state.js';
import { holdsDose } from './sealing.js';

/** What the words and days of a verdict follow, beside the log. */
export type JudgedBy = Pick<JudgeInput, 'school' | 'waits'>;

/**
 * The verdict on a replayed batch.
 *
 * @param state - the batch
 * @param today - ISO 8601
 * @param by - the maker's school of strength and the waits of the method, for words and days
 * @returns the judgement; null before yeast and after bottling
 */
export function judgeState(state: BatchState, today: string, { school, waits }: JudgedBy = {}): Worked<Verdict> | null {
  if (!state.pitchedAt || !state.must || !state.yeastId || !state.liquid || state.keg) return null;
  const found = judgeFermentation({
    readings: state.readings,
    liquid: state.must,
    yeast: yeastById(state.yeastId),
    temps: state.temps,
    today,
    entries: state.judged,
    hints: state.hints,
    helped: [
      ...(state.rousedAt === null ? [] : [{ at: state.rousedAt, how: 'roused' as const }]),
      ...state.feeds.map(({ at }) => ({ at, how: 'fed' as const })),
      ...warmings(state.temps),
    ],
    zone: state.zone,
    ...(school === undefined ? {} : { school }),
    ...(waits === undefined ? {} : { waits }),
  });
  if (state.stabilisedAt === null || !holdsDose(state) || provesFinished(found.value.status)) return found;
  const held = { stabilisedAt: state.stabilisedAt, sugarGPerL: fermentableGPerL(state.liquid), today, zone: state.zone };
  return { ...found, value: heldVerdict(found.value, held) };
}
