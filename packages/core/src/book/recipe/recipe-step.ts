import type { EntryKind, EntryPayloads } from '../entry/entry.js';

/** The kinds of entry that a recipe is made of. */
export const RECIPE_KINDS = [
  'filled',
  'blended',
  'steeped',
  'addition',
  'pitched',
  'strained',
  'racked',
  'clarified',
  'moved',
  'note',
] as const satisfies readonly EntryKind[];

/** One of them. */
export type RecipeKind = (typeof RECIPE_KINDS)[number];

/** Whether a recipe is made of such entries. */
export const isOfRecipes = (kind: EntryKind): kind is RecipeKind => RECIPE_KINDS.some((own) => own === kind);

/** What a batch begins with. */
export const BEGINNINGS: ReadonlySet<EntryKind> = new Set(['filled', 'blended', 'steeped']);

/** One thing to do of one kind, as a recipe keeps it. */
export interface StepOf<K extends RecipeKind> {
  /** Days after the first, 0–730. */
  readonly afterDays: number;
  readonly kind: K;
  /** As an entry of the size the recipe is written for would say it. */
  readonly payload: EntryPayloads[K];
  readonly note: string;
  /** Whether it stays as it is, however much is made. */
  readonly fixed: boolean;
}

/** One thing to do, of whichever kind. */
export type KeptStep = { readonly [K in RecipeKind]: StepOf<K> }[RecipeKind];
