import { computed, inject, Injector, runInInjectionContext, untracked, type Signal } from '@angular/core';
import { createDraft, type Draft, type DraftFields } from './draft';

/**
 * The draft of a form that is for something new or for a record put right: each record has a draft of its own, so that none is
 * overwritten by opening another.
 *
 * @param form - the form's name
 * @param record - the record put right; null for something new
 * @param fieldsOf - what the fields hold at first
 * @returns the draft of what the form is open for; call within an injection context
 */
export function createRecordDraft<T extends DraftFields, R extends { readonly id: string }>(
  form: string,
  record: () => R | null,
  fieldsOf: (record: R | null) => T,
): Signal<Draft<T>> {
  const injector = inject(Injector);
  return computed(() => {
    const own = record();
    const fields = fieldsOf(own);
    return untracked(() => runInInjectionContext(injector, () => createDraft(own ? `${form}:${own.id}` : form, fields)));
  });
}
