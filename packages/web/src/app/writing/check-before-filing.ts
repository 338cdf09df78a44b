import type { Entry } from '@trug/core';
import type { BatchView } from '../state/batch-views.selectors';
import type { Named, ResourceName } from '../state/resources.actions';
import { NO_ANSWER } from '../state/trug-api';
import { loadContract } from './contract';
import { refusalsText } from './refusal-text';

const DTO_OF = {
  juices: 'JuiceDto',
  supplies: 'SupplyDto',
  places: 'PlaceDto',
  instruments: 'InstrumentDto',
  recipes: 'RecipeDto',
} as const satisfies Record<ResourceName, string>;

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
 * What the contract has against a juice, a supply, a place, an instrument or a recipe.
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
 * What the batch itself has against entries, one after another. What folds a log is here since the batch was opened; what checks comes with it.
 *
 * @param view - the batch
 * @param entries - in the order they would be filed
 * @returns why they cannot be filed; null when they can
 */
export async function refusalByCore(view: BatchView, entries: readonly Entry[]): Promise<string | null> {
  const core = await import('./check-by-core').catch(() => null);
  return core === null ? NO_ANSWER : core.refusalOnBatch(view, entries);
}
