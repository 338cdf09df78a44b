import type { Entry } from '@trug/core';
import { checkEntryAgainst } from '@trug/core/book/log/check-entry';
import { judgeState } from '@trug/core/book/state/judge-state';
import { replay } from '@trug/core/book/log/replay';
import type { BatchView } from '../state/batch-views.selectors';
import type { Named, ResourceName } from '../state/resources.actions';
import { NO_ANSWER } from '../state/trug-api';
import { loadContract } from './contract';
import { refusalsText } from './refusal-text';

const DTO_OF = { juices: 'JuiceDto', supplies: 'SupplyDto', places: 'PlaceDto', instruments: 'InstrumentDto' } as const satisfies Record<ResourceName, string>;

/**
 * What the contract has against entries.
 *
 * @param entries - as they would be sent
 * @returns why they cannot be filed; null when they can
 */
export async function refusalByContract(entries: readonly Entry[]): Promise<string | null> {
  const rules = await loadContract();
  if (rules === null) return NO_ANSWER;
  for (const entry of entries) {
    const check = rules.checkEntry(entry);
    if (!check.ok) return refusalsText(check.fields);
  }
  return null;
}

/**
 * What the contract has against a juice, a supply, a place or an instrument.
 *
 * @param named - as it would be sent
 * @returns why it cannot be kept; null when it can
 */
export async function refusalOfResource({ of, resource }: Named): Promise<string | null> {
  const rules = await loadContract();
  if (rules === null) return NO_ANSWER;
  const check = rules.checkDto<object>(rules[DTO_OF[of]], resource);
  return check.ok ? null : refusalsText(check.fields);
}

/**
 * What the batch itself has against entries, one after another.
 *
 * @param view - the batch
 * @param entries - in the order they would be filed
 * @returns why they cannot be filed; null when they can
 */
export function refusalByCore(view: BatchView, entries: readonly Entry[]): string | null {
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
