import type { EntryPayloads } from '../entry/entry.js';
import { scribbleLines } from '../scribble/scribble-lines.js';
import type { Said, ScribbleLine } from '../scribble/scribble-types.js';
import { methodById } from '../plan/method.js';
import { inOrder, logOfSteps, momentOfDay, stepOf } from './kept-recipe.js';
import { isOfRecipes, type KeptStep, type RecipeKind } from './recipe-step.js';

/** A part of a line as the recipe would keep it, or why it does not. */
export type StepLine = { readonly is: 'step'; readonly step: KeptStep } | { readonly is: 'unread'; readonly text: string; readonly why: string };

function lineOf(line: ScribbleLine, afterDays: number): StepLine {
  if (line.is === 'unread') return { is: 'unread', text: line.text, why: line.why };
  // What asks for a page of its own, or is read or tasted, is kept as it was said: something to do on that day.
  if (line.is === 'page') return { is: 'step', step: stepOf(afterDays, 'note', { text: line.text }) };
  const { kind, payload, note = '' } = line.act;
  if (!isOfRecipes(kind)) return { is: 'step', step: stepOf(afterDays, 'note', { text: note }) };
  // Kind and payload belong together: they are of one act.
  return { is: 'step', step: stepOf(afterDays, kind, payload as EntryPayloads[RecipeKind], note) as KeptStep };
}

/**
 * What a line adds to a recipe: amounts for the size it is written for, and all else as words.
 *
 * @param steps - the recipe as it is
 * @param methodId - its manner
 * @param said - what the line says
 * @param afterDays - on which day it is done, days after the first
 * @returns each part as a step, or why it is none
 */
export function scribbledSteps(steps: readonly KeptStep[], methodId: string, said: readonly Said[], afterDays: number): readonly StepLine[] {
  const before = inOrder(steps).filter((step) => step.afterDays <= afterDays);
  const at = momentOfDay(afterDays + 1);
  const words = said.map(
    (each): Said => (each.is === 'addition' || each.is === 'pitch' || each.is === 'moved' || each.is === 'unread' ? each : { is: 'words', text: each.text }),
  );
  // Each thing said for itself: in a log words go together, in a recipe they are one step after another.
  return words.flatMap((each) =>
    scribbleLines([each], {
      batchId: '',
      log: logOfSteps(before),
      zone: 'UTC',
      method: methodById(methodId),
      school: 'mass-balance',
      at,
      gauges: [],
      supplies: [],
      places: [],
    }).map((line) => lineOf(line, afterDays)),
  );
}
