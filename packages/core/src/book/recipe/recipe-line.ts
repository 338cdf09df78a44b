import { sulfiteAmount } from '../../juice/adjust/sulfite-given.js';
import { NUTRIENTS } from '../../juice/adjust/nutrient-plan.js';
import type { AdditionPayload } from '../../juice/adjust/addition-payload.js';
import { INGREDIENTS } from '../scribble/scribble-ingredients.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { isOwnFermentable } from '../../base/reference/own-fermentable.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { figure } from '../../base/worked/figures.js';
import { dateAfter } from '../../matter/quantity/days.js';
import type { Say } from '../kinds/kind.js';
import type { Recipe } from './recipe-of.js';

/** What the form that begins it asks for itself, and is not written on the line. */
export interface AskedByForm {
  readonly sugar: boolean;
  readonly yeast: boolean;
  readonly sulfite: boolean;
}

const written = (refId: string): string =>
  INGREDIENTS.find((i) => i.refId === refId)?.written ?? (isOwnFermentable(refId) ? fermentableById(refId).name : refId);

/** An addition as it may be scribbled; nothing for what has no measure of its own. */
function additionText(payload: AdditionPayload, say: Say, volumeL: number): string {
  switch (payload.what) {
    case 'fermentable':
      return `${say.mass(payload.massG)} ${written(payload.fermentableId)}`;
    case 'water':
      return `${say.volume(payload.volumeL)} water`;
    case 'acid':
      return `${say.mass(payload.massG)} ${payload.acid} acid`;
    case 'carbonate':
      return `${say.mass(payload.massG)} ${written(payload.carbonate)}`;
    case 'tannin':
      return `${say.mass(payload.massG)} tannin`;
    case 'sulfite':
      return `${figure(sulfiteAmount('potassium-metabisulfite', payload.so2MgPerL, volumeL), 1)} g potassium metabisulfite`;
    case 'nutrient':
      return `${say.mass(payload.massG)} ${written(NUTRIENTS.find((n) => n.name === payload.name)?.id ?? 'organic')}`;
    case 'enzyme':
    case 'bentonite':
      return `${say.mass(payload.massG)} ${written(payload.what)}`;
    case 'finings':
      return '';
  }
}

const isAsked = (payload: AdditionPayload, form: AskedByForm): boolean =>
  (payload.what === 'fermentable' && form.sugar) || (payload.what === 'sulfite' && form.sulfite);

/**
 * What goes into a must until its yeast is in, as one line that Trug can read again.
 *
 * @param recipe - at the size it is made
 * @param form - what the form that begins it files itself
 * @param say - how the maker writes amounts
 * @returns such as `3 g pectic enzyme, 2 g organic nutrient`; empty when nothing is left to write
 */
export function recipeLine(recipe: Recipe, form: AskedByForm, say: Say): string {
  const pitchAt = recipe.steps.find(({ entry }) => entry.kind === 'pitched')?.entry.at;
  const until = pitchAt ?? dateAfter(recipe.steps[0]?.entry.at ?? '', 1);
  return recipe.steps
    .flatMap(({ entry }) => {
      if (entry.at > until) return [];
      if (entry.kind === 'addition') return isAsked(entry.payload, form) ? [] : [additionText(entry.payload, say, recipe.volumeL)];
      const isYeast = entry.kind === 'pitched' && entry.payload.massG > 0 && !form.yeast;
      return isYeast ? [`${say.mass(entry.payload.massG)} ${yeastById(entry.payload.yeastId).name} yeast`] : [];
    })
    .filter((text) => text !== '')
    .join(', ');
}
