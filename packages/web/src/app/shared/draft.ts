import { effect, signal, type WritableSignal } from '@angular/core';

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

/**
 * A form's draft, kept in this browser at every keystroke until it is filed.
 *
 * @param key - the draft's name, unique to the form and what it is about
 * @param initial - what the fields hold at first
 * @returns the draft; call within an injection context
 */
export function createDraft<T extends DraftFields>(key: string, initial: T): Draft<T> {
  const storageKey = `trug.draft.${key}`;
  const fields = signal(restored(storageKey, initial));
  let kept = true;
  effect(() => {
    const now = fields();
    if (kept) localStorage.setItem(storageKey, JSON.stringify(now));
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
