import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { PLAIN_STEM, rawGravityBy } from '../../matter/measure/gauge.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import type { Entry, EntryPayloads, Replacement } from '../entry/entry.js';
import { recipeOf, type Recipe } from './recipe-of.js';
import { BEGINNINGS, isOfRecipes, type KeptStep, type RecipeKind, type StepOf } from './recipe-step.js';

/** A recipe is a log that never happened: it needs a first day, which is said nowhere. */
const FIRST_DAY = Date.parse('2001-01-01T12:00:00.000Z');
const MINUTE_MS = 60_000;

/** The steps, in the order in which they are done, as the log of a batch that was made so. */
export const logOfSteps = (steps: readonly KeptStep[]): readonly Entry[] =>
  steps.map((step, i): Entry => {
    const at = new Date(Date.parse(momentOfDay(step.afterDays)) + i * MINUTE_MS).toISOString();
    // Kind and payload belong together: they are of one step.
    return { id: String(i), batchId: '', kind: step.kind, at, writtenAt: at, note: step.note, payload: step.payload } as Entry;
  });

/** The moment at which the steps of a day are done, ISO 8601. */
export const momentOfDay = (afterDays: number): string => new Date(FIRST_DAY + afterDays * DAY_MS).toISOString();

/**
 * A step of a recipe.
 *
 * @param afterDays - days after the first
 * @param kind - what is done
 * @param payload - as an entry of that kind would say it
 * @param note - what is to be minded
 */
export const stepOf = <K extends RecipeKind>(afterDays: number, kind: K, payload: EntryPayloads[K], note = ''): StepOf<K> => ({
  ...{ afterDays, kind, payload, note },
  fixed: false,
});

/** Steps in the order in which they are done. */
export const inOrder = (steps: readonly KeptStep[]): readonly KeptStep[] => [...steps].sort((a, b) => a.afterDays - b.afterDays);

/**
 * What a batch's way becomes when it is kept as a recipe.
 *
 * @param recipe - of the batch, at the size it was made
 */
export const stepsOf = (recipe: Recipe): readonly KeptStep[] =>
  recipe.steps.flatMap(({ afterDays, entry: { kind, payload, note } }) => {
    // What sulfite says besides is reckoned anew for each size.
    const kept = kind === 'addition' && payload.what === 'sulfite' ? '' : note;
    // Kind and payload belong together: they are of one entry.
    return isOfRecipes(kind) ? [stepOf(afterDays, kind, payload as EntryPayloads[RecipeKind], kept) as KeptStep] : [];
  });

/**
 * Checks that steps are a recipe: that they begin with what there is to make, and only once.
 *
 * @throws {CoreError} NOT_ALLOWED; OUT_OF_RANGE for more steps than a recipe has, or a day too late
 */
export function checkSteps(steps: readonly KeptStep[]): void {
  inRange('steps', steps.length, LIMITS.recipeSteps);
  for (const { afterDays } of steps) inRange('afterDays', afterDays, LIMITS.recipeDays);
  const [first, ...later] = inOrder(steps);
  if (!first || !BEGINNINGS.has(first.kind)) throw new CoreError('NOT_ALLOWED', 'a recipe begins with what there is to make', { field: 'steps' });
  if (later.some(({ kind }) => BEGINNINGS.has(kind))) throw new CoreError('NOT_ALLOWED', 'a recipe begins once', { field: 'steps' });
}

/**
 * A kept recipe at the size it is to be made.
 *
 * @param steps - as kept
 * @param volumeL - how much to begin with, L; as it is written when left out
 * @returns the recipe, its steps numbered by the place of each in {@link inOrder}
 * @throws {CoreError} as {@link checkSteps}; OUT_OF_RANGE for a volume that is none
 * @source mass balance; see {@link recipeOf}
 */
export function keptRecipeAt(steps: readonly KeptStep[], volumeL?: number): Recipe {
  checkSteps(steps);
  const ordered = inOrder(steps);
  const fixed = new Set(ordered.flatMap((step, i) => (step.fixed ? [String(i)] : [])));
  return recipeOf(logOfSteps(ordered), 'UTC', volumeL, { fixed, notes: true });
}

/** A step as something that may be put right, as an entry of a log is. */
export const asEntry = ({ kind, payload, note }: KeptStep): Replacement => ({ kind, payload, note, at: momentOfDay(0) }) as Replacement;

/**
 * A step with what it says put right.
 *
 * @param step - as it was
 * @param amended - of {@link asEntry}, with other amounts or another note
 */
export const withContent = (step: KeptStep, { payload, note }: Replacement): KeptStep => ({ ...step, payload, note }) as KeptStep;

/** What a recipe that is written from nothing begins with. */
export interface BlankRecipe {
  /** How much juice it is written for, L. */
  readonly volumeL: number;
  readonly fruit: 'apple' | 'pear';
  /** SG that its juice is taken to have. */
  readonly sg: number;
}

/**
 * The first step of a recipe written from nothing: its juice.
 *
 * @param blank - how much of which juice
 * @returns a recipe that says no more
 * @throws {CoreError} OUT_OF_RANGE for a volume or a gravity that is none
 */
export function blankSteps({ volumeL, fruit, sg }: BlankRecipe): readonly KeptStep[] {
  const payload = {
    source: `${fruit} juice`,
    fruit,
    volumeL: inRange('volumeL', volumeL, LIMITS.pourL),
    gravity: rawGravityBy(PLAIN_STEM, inRange('sg', sg, LIMITS.juiceSg), null),
    ph: null,
    taGPerL: null,
    tanninGPerL: null,
    yanMgPerL: null,
    vessels: [],
    tempC: null,
  };
  return [stepOf(0, 'filled', payload)];
}
