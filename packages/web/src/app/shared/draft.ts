import { effect, inject, signal, type WritableSignal } from '@angular/core';
import { ActivatedRoute } from '@angular/router';

/** A form's fields as typed. */
export type DraftFields = object;

/** A draft that survives a reload. */
export interface Draft<T extends DraftFields> {
  readonly fields: WritableSignal<T>;
  /** Changes one field. */
  readonly set: (field: Extract<keyof T, string>, value: string) => void;
  /** Forgets the draft once it is filed. */
  readonly forget: () => void;
}

function restored<T extends DraftFields>(key: string, initial: T): T {
  const text = localStorage.getItem(key);
  if (text === null) return initial;
  const stored: unknown = JSON.parse(text);
  if (typeof stored !== 'object' || stored === null) return initial;
  const known = Object.entries(stored).filter(([field, value]) => field in initial && typeof value === 'string');
  return { ...initial, ...Object.fromEntries(known) };
}

/** The draft that carries a yeast chosen when the batch was begun to the day it is pitched. */
export const PITCH_DRAFT = 'pitch';

/** Where a draft of a name is kept in this browser. */
const storageKeyOf = (key: string): string => `trug.draft.${key}`;

/**
 * Leaves fields for a form that will be opened later.
 *
 * @param key - the draft's name
 * @param fields - what its form should begin with
 */
export function leaveDraft(key: string, fields: DraftFields): void {
  localStorage.setItem(storageKeyOf(key), JSON.stringify(fields));
}

/**
 * A form's draft, kept in this browser at every keystroke until it is filed.
 *
 * @param key - the draft's name, unique to the form and what it is about
 * @param initial - what the fields hold at first
 * @returns the draft; call within an injection context
 */
export function createDraft<T extends DraftFields>(key: string, initial: T): Draft<T> {
  const storageKey = storageKeyOf(key);
  const fields = signal(restored(storageKey, initial));
  let kept = true;
  effect(() => {
    const now = fields();
    if (kept) leaveDraft(key, now);
  });
  return {
    fields,
    set: (field, value) => fields.update((now) => ({ ...now, [field]: value })),
    forget: () => {
      kept = false;
      localStorage.removeItem(storageKey);
    },
  };
}

/** The name of a form's draft about one batch, so that one batch's draft never shows in another's form. */
export const batchDraftKey = (form: string, batchId: string): string => `${form}:${batchId}`;

/**
 * The draft of a form about the batch in the page's address.
 *
 * @param form - the form's name
 * @param initial - what the fields hold at first
 * @returns the draft; call within an injection context
 */
export function createBatchDraft<T extends DraftFields>(form: string, initial: T): Draft<T> {
  const batchId = inject(ActivatedRoute).snapshot.paramMap.get('id');
  return createDraft(batchId === null ? form : batchDraftKey(form, batchId), initial);
}
