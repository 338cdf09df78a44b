import type { Entry } from '@trug/core';
import { checkEntryAgainst } from '@trug/core/book/log/check-entry';
import { replay } from '@trug/core/book/log/replay';
import { judgeState } from '@trug/core/book/state/judge-state';
import type { BatchView } from '../state/batch-views.selectors';

/**
 * What the batch itself has against entries, one after another.
 *
 * @param view - the batch
 * @param entries - in the order they would be filed
 * @returns why they cannot be filed; null when they can
 */
export function refusalOnBatch(view: BatchView, entries: readonly Entry[]): string | null {
  let { log } = view;
  for (const entry of entries) {
    const state = replay(log, view.state.zone);
    const check = checkEntryAgainst(state, judgeState(state, entry.at)?.value ?? null, entry);
    if (check.refusal !== null) return check.refusal;
    const danger = check.dangers[0];
    if (danger) return `${danger.text} ${danger.whatToDo}`;
    log = [...log, entry];
    const issue = replay(log).issues.find((i) => i.entryId === entry.id);
    if (issue) return `That does not add up: ${issue.text}.`;
  }
  return null;
}
