import { DestroyRef, effect, inject, signal, untracked, type WritableSignal } from '@angular/core';
import { NonNullableFormBuilder, type AbstractControl } from '@angular/forms';
import { ActivatedRoute } from '@angular/router';
import { firstUnusable } from '../shared/field/controlled';
import { DraftOffers } from './draft-offers';
import { readStored, removeStored, storedKeys, writeStored } from '../browser/stored';
import { openWindows, windowId } from '../browser/window-id';

/** A form's fields as typed. */
export type DraftFields = object;

const formOf = <T extends DraftFields>(builder: NonNullableFormBuilder, fields: T) => builder.group(fields);

/** The controls of a draft's fields, by name. */
export type DraftForm<T extends DraftFields> = ReturnType<typeof formOf<T>>;

/** A form as whoever files it needs it. */
export interface Filled {
  /** Why the first of its fields that are shown cannot be used, in words; null when all can. */
  readonly wrong: () => string | null;
  /** Forgets the draft once it is filed. */
  readonly forget: () => void;
}

/** A draft that survives a reload. */
export interface Draft<T extends DraftFields> extends Filled {
  readonly fields: WritableSignal<T>;
  /** The same fields for the kit's controls: each follows the other. */
  readonly form: DraftForm<T>;
  /** Changes one field. */
  readonly set: (field: Extract<keyof T, string>, value: string) => void;
  /**
   * Fills the form from what is stored, for as long as nothing was typed into it: what was typed stays, whatever changes
   * elsewhere.
   */
  readonly fill: (stored: T) => void;
  /** Empties the form of what was filed, for the next of its kind: what was typed while it was on its way stays. */
  readonly clear: (filed: T, next: T) => void;
}

/** A draft as this browser keeps it: whose window's, since when, and what was typed. */
interface StoredDraft {
  readonly by: string;
  readonly atMs: number;
  readonly fields: object;
}

/** A draft that belongs to no window: it waits for a form to be opened. */
const NOBODY = 'nobody';
const PREFIX = 'trug.draft.';
const storageKeyOf = (key: string, by: string): string => `${PREFIX}${key}@${by}`;

function storedDraft(storageKey: string): StoredDraft | null {
  const stored = readStored(storageKey);
  if (typeof stored !== 'object' || stored === null || !('fields' in stored) || typeof stored.fields !== 'object' || stored.fields === null) return null;
  const by = 'by' in stored && typeof stored.by === 'string' ? stored.by : NOBODY;
  return { by, atMs: 'atMs' in stored && typeof stored.atMs === 'number' ? stored.atMs : 0, fields: stored.fields };
}

/** The known fields of a draft over what a form begins with; anything else in it is left out. */
function restored<T extends DraftFields>(initial: T, stored: StoredDraft | null): T {
  if (!stored) return initial;
  const known = Object.entries(stored.fields).filter(([field, value]) => field in initial && typeof value === 'string');
  return { ...initial, ...Object.fromEntries(known) };
}

/** Each field as it begins anew, where it still holds what was filed. */
function withoutFiled<T extends DraftFields>(now: T, filed: T, next: T): T {
  const sent = new Map<string, unknown>(Object.entries(filed));
  const typedSince = Object.entries(now).filter(([field, value]) => value !== sent.get(field));
  return { ...next, ...Object.fromEntries(typedSince) };
}

const isSame = (one: DraftFields, other: DraftFields): boolean => {
  const values = new Map<string, unknown>(Object.entries(other));
  return one === other || Object.entries(one).every(([field, value]) => value === values.get(field));
};

/** Puts into a form what a field holds, without telling of it. */
function put(form: AbstractControl, name: string, value: unknown): void {
  const control = form.get([name]);
  if (control && control.value !== value) control.setValue(value, { emitEvent: false });
}

/** A form that follows a draft's fields, and they it. */
function followed<T extends DraftFields>(fields: WritableSignal<T>): DraftForm<T> {
  const form = formOf(inject(NonNullableFormBuilder), untracked(fields));
  form.valueChanges.subscribe(() => fields.update((now) => ({ ...now, ...form.getRawValue() })));
  effect(() => {
    const now: readonly (readonly [string, unknown])[] = Object.entries(fields());
    untracked(() => {
      for (const [name, value] of now) put(form, name, value);
    });
  });
  return form;
}

/** Drafts of a form that are not this window's, newest first. */
function othersOf(key: string): readonly StoredDraft[] {
  return storedKeys(storageKeyOf(key, ''))
    .filter((storageKey) => storageKey !== storageKeyOf(key, windowId()))
    .flatMap((storageKey) => storedDraft(storageKey) ?? [])
    .sort((a, b) => b.atMs - a.atMs);
}

/** A draft typed in since then is what the maker is at, and needs no word, ms. */
const JUST_NOW_MS = 10 * 60_000;

/** The draft that carries a yeast chosen when the batch was begun to the day it is pitched. */
export const PITCH_DRAFT = 'pitch';

/**
 * Leaves fields for a form that will be opened later.
 *
 * @param key - the draft's name
 * @param fields - what its form should begin with
 */
export function leaveDraft(key: string, fields: DraftFields): void {
  writeStored(storageKeyOf(key, NOBODY), { by: NOBODY, atMs: Date.now(), fields } satisfies StoredDraft);
}

/**
 * A form's draft, kept in this browser at every keystroke until it is filed. It belongs to its window: what another
 * window has begun is offered and never mixed in; what a window that is closed has begun is taken up.
 *
 * @param key - the draft's name, unique to the form and what it is about
 * @param initial - what the fields hold at first
 * @returns the draft; call within an injection context
 */
export function createDraft<T extends DraftFields>(key: string, initial: T): Draft<T> {
  const offers = inject(DraftOffers);
  const own = storageKeyOf(key, windowId());
  const left = storageKeyOf(key, NOBODY);
  const ownDraft = storedDraft(own);
  const begun = restored(initial, ownDraft ?? storedDraft(left));
  const fields = signal(begun);
  /** What the form holds while nothing was typed. */
  let untouched = initial;
  /** What is stored already. */
  let stored: T | null = ownDraft ? begun : null;
  let kept = true;
  const keep = (now: T): void => {
    // Only what was typed is kept, so that opening a form leaves nothing behind.
    if (!kept || now === stored) return;
    if (isSame(now, untouched)) {
      // Emptied again, as after it was filed: nothing is left to offer.
      if (stored !== null) removeStored(own);
      stored = null;
      return;
    }
    stored = now;
    writeStored(own, { by: windowId(), atMs: Date.now(), fields: now } satisfies StoredDraft);
  };
  effect(() => keep(fields()));
  const throwAway = (): void => {
    stored = untouched;
    fields.set(untouched);
    removeStored(own);
    removeStored(left);
  };
  const offerOwn = ({ atMs }: StoredDraft): void => {
    if (Date.now() - atMs > JUST_NOW_MS) offers.make({ key, from: 'before', atMs, takeUp: () => undefined, leave: throwAway });
  };
  const takeUp = (other: StoredDraft): void => {
    fields.set(restored(initial, other));
    removeStored(storageKeyOf(key, other.by));
  };
  if (ownDraft && begun !== initial) offerOwn(ownDraft);
  if (begun === initial) {
    void lookAround(key, () => untracked(fields) === untouched).then((found) => {
      if (!found) return;
      if (found.open) offers.make({ key, from: 'window', atMs: found.draft.atMs, takeUp: () => takeUp(found.draft), leave: () => undefined });
      else {
        takeUp(found.draft);
        offerOwn(found.draft);
      }
    });
  }
  inject(DestroyRef).onDestroy(() => {
    // A form that goes in the moment it was emptied is seen by no effect any more.
    keep(untracked(fields));
    offers.withdraw(key);
  });
  const form = followed(fields);
  // A window that is closed in the very moment of a press or a key runs no effect any more.
  form.valueChanges.subscribe(() => keep(untracked(fields)));
  return {
    fields,
    form,
    set: (field, value) => {
      fields.update((now) => ({ ...now, [field]: value }));
      put(form, field, value);
      keep(untracked(fields));
    },
    fill: (filled) => {
      const isUntouched = untracked(fields) === untouched;
      untouched = filled;
      if (isUntouched) fields.set(filled);
    },
    wrong: () => firstUnusable(form),
    clear: (filed, next) => fields.update((now) => withoutFiled(now, filed, next)),
    forget: () => {
      kept = false;
      removeStored(own);
      removeStored(left);
      offers.withdraw(key);
    },
  };
}

/** The newest draft of another window, and whether that window is open; null when there is none or the form was typed in by now. */
async function lookAround(key: string, untouched: () => boolean): Promise<{ readonly draft: StoredDraft; readonly open: boolean } | null> {
  const [draft] = othersOf(key);
  if (!draft) return null;
  const open = await openWindows();
  return untouched() ? { draft, open: open.has(draft.by) } : null;
}

/** The name of a form's draft about one batch, so that one batch's draft never shows in another's form. */
export const batchDraftKey = (form: string, batchId: string): string => `${form}:${batchId}`;

/**
 * The draft of a form about what the page's address names: a batch, an entry of it, or a card. A form for something
 * new has a draft of its own.
 *
 * @param form - the form's name
 * @param initial - what the fields hold at first
 * @returns the draft; call within an injection context
 */
export function createBatchDraft<T extends DraftFields>(form: string, initial: T): Draft<T> {
  const { paramMap } = inject(ActivatedRoute).snapshot;
  return createDraft([form, paramMap.get('id'), paramMap.get('entryId')].filter((part) => part !== null).join(':'), initial);
}
