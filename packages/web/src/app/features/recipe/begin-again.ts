import type { Recipe } from '@trug/core/book/recipe/recipe-of';
import type { AskedByForm } from '@trug/core/book/recipe/recipe-line';
import type { Units } from '../../units/units';

/** Where a batch is begun again, and what its form begins with. */
export interface BeginAgain {
  readonly path: string;
  readonly verb: string;
  /** The draft that is left for the form; null where its page asks everything. */
  readonly draft: { readonly key: string; readonly fields: Readonly<Record<string, string>> } | null;
  readonly asks: AskedByForm;
}

const NOTHING: AskedByForm = { sugar: false, yeast: false, sulfite: false };

/**
 * The form that begins a batch by a recipe.
 *
 * @param recipe - at the size it is made
 * @param name - what the batch is to be called
 * @param methodId - its manner
 * @param units - how the maker writes amounts
 */
export function beginAgain(recipe: Recipe, name: string, methodId: string, units: Units): BeginAgain {
  const [first] = recipe.steps;
  const volume = units.volumeAbout(recipe.volumeL);
  if (first?.entry.kind === 'steeped') {
    const { fruitKg, fruitId, hot, loose, days, teaCups, driedFruitG, sugars, acidG } = first.entry.payload;
    const own = sugars.find((sugar) => sugar.fermentableId !== 'sucrose');
    const fields = {
      name,
      volume,
      fruit: units.mass(fruitKg * 1000),
      fruitId: fruitId ?? '',
      manner: hot ? 'hot' : 'cold',
      held: loose ? 'loose' : 'bag',
      days: String(days),
      tea: String(Math.round(teaCups * 10) / 10),
      ...(driedFruitG > 0 ? { dried: units.mass(driedFruitG) } : {}),
      ...(own ? { sugarKind: own.fermentableId, sugar: units.mass(own.massG) } : {}),
      ...(acidG > 0 ? { acid: units.mass(acidG), ta: '' } : {}),
    };
    return { path: '/juice/steep', verb: 'Put it on the pulp', draft: { key: 'steep', fields }, asks: NOTHING };
  }
  if (first?.entry.kind === 'filled') {
    const { fruit, gravity } = first.entry.payload;
    const pitched = recipe.steps.flatMap(({ entry }) => (entry.kind === 'pitched' ? [entry] : []))[0];
    const additions = recipe.steps.flatMap(({ entry }) => (entry.kind === 'addition' && entry.at <= (pitched?.at ?? entry.at) ? [entry.payload] : []));
    const sugar = additions.find((a) => a.what === 'fermentable');
    const sulfited = additions.some((a) => a.what === 'sulfite');
    const waited = additions.some((a) => a.what !== 'fermentable' && a.what !== 'sulfite');
    const fields = {
      name,
      fruit,
      volume,
      sg: gravity.reading.toFixed(3),
      method: methodId,
      // What went in before the yeast goes in before it again.
      clean: sulfited ? 'sulfite' : waited ? 'later' : 'none',
      ...(sugar?.what === 'fermentable' ? { sugar: sugar.fermentableId, abv: (recipe.came.dryAbv ?? 0).toFixed(2) } : {}),
      ...(pitched ? { yeast: pitched.payload.yeastId } : {}),
    };
    return { path: '/new', verb: 'Begin it so', draft: { key: 'new-batch', fields }, asks: { sugar: true, yeast: true, sulfite: true } };
  }
  return { path: '/juice/blend', verb: 'To the blend bench', draft: null, asks: NOTHING };
}
