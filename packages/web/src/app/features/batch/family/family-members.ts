import { drinkOf } from '@trug/core/book/state/drink-of';
import { STATUS_WORDS } from '@trug/core/ferment/verdict/verdict';
import { phOf, taOf } from '@trug/core/matter/liquid/acid-chemistry';
import { dryAbvOf } from '@trug/core/matter/liquid/views';
import type { StrengthSchool } from '@trug/core';
import { strengthOf } from '@trug/core/matter/measure/strength-of';
import { dayText } from '@trug/core/matter/quantity/days';
import { yeastById } from '@trug/core/base/reference/yeast-kinds';
import { figure } from '@trug/core/base/worked/figures';
import type { BatchView } from '../../../state/batch-views.selectors';

/** Where a batch came from, or what came from it. */
export interface Relative {
  readonly id: string | null;
  readonly name: string;
  readonly litres: number;
}

/** A batch of one juice, beside its siblings. */
export interface Sibling {
  readonly id: string;
  readonly name: string;
  readonly own: boolean;
  readonly yeast: string;
  readonly started: string;
  /** As last read; null before the first reading. */
  readonly sg: number | null;
  readonly strength: string;
  readonly acid: string;
  readonly ph: string;
  readonly says: string;
}

/** A batch's family. */
export interface FamilyMembers {
  readonly from: readonly Relative[];
  readonly into: readonly Relative[];
  /** The batch with those that share a juice with it; empty when it stands alone. */
  readonly siblings: readonly Sibling[];
}

/**
 * Where a batch's juice came from, where it went, and which batches began with the same juice.
 *
 * @param view - the batch
 * @param all - every batch
 * @param school - how the maker reckons strength
 * @returns its family
 */
export function familyOf(view: BatchView, all: readonly BatchView[], school: StrengthSchool = 'mass-balance'): FamilyMembers {
  const { from } = view.summary;
  const into = view.summary.into.map((s) => ({ id: s.batchId, name: s.name, litres: s.volumeL }));
  const parents = new Set(from.filter((p) => p.from === 'batch').map((p) => p.id));
  const related = all.filter((other) => {
    if (other.batch.id === view.batch.id || parents.has(other.batch.id)) return true;
    const sources = other.summary.from.filter((p) => p.from === 'batch');
    return sources.some((p) => p.id === view.batch.id || parents.has(p.id));
  });
  return {
    from: from.map((p) => ({ id: p.from === 'batch' ? p.id : null, name: p.name, litres: p.litres })),
    into,
    siblings: related.length > 1 ? related.map((r) => siblingOf(r, r.batch.id === view.batch.id, school)) : [],
  };
}

function siblingOf({ batch, state, verdict }: BatchView, own: boolean, school: StrengthSchool): Sibling {
  const drink = drinkOf(state);
  const liquid = drink?.liquid;
  const last = state.readings.at(-1);
  return {
    id: batch.id,
    name: batch.name,
    own,
    yeast: state.yeastId === null ? 'none yet' : yeastById(state.yeastId).name,
    started: dayText(batch.startedAt, false, state.zone),
    sg: last?.sg ?? null,
    strength: liquid ? (state.pitchedAt ? `${figure(strengthOf(liquid, drink.must, school), 1)} %` : `${figure(dryAbvOf(liquid), 1)} % if dry`) : '–',
    acid: liquid ? `${figure(taOf(liquid), 1)} g/L` : '–',
    ph: liquid ? figure(phOf(liquid), 2) : '–',
    says: verdict ? STATUS_WORDS[verdict.value.status] : state.crates.length > 0 ? 'in bottle' : state.liquid || !state.pitchedAt ? 'waits for yeast' : 'gone',
  };
}
