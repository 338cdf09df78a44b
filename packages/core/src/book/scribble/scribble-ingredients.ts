import type { AdditionId } from '../../juice/adjust/addition-types.js';

/** An ingredient by the words makers have for it. */
export interface NamedIngredient {
  readonly what: AdditionId;
  /** Which of its kind, as the sums call it. */
  readonly refId: string;
  /** As Trug writes it, so that it reads it again. */
  readonly written: string;
  readonly words: RegExp;
  /** The words do not say which of its kind; this is the usual one. */
  readonly usual?: true;
}

/** Whole words, in one or more. */
const any = (...words: readonly string[]): RegExp => new RegExp(String.raw`(?<![\p{L}])(?:${words.join('|')})(?![\p{L}])`, 'iu');

/** What may be scribbled as an addition; longer names stand before shorter ones that they hold. */
export const INGREDIENTS: readonly NamedIngredient[] = [
  { what: 'nutrient', refId: 'boiled-yeast', written: 'boiled yeast', words: any(String.raw`boiled (?:baking |bread(?:'s)? )?yeast`) },
  {
    what: 'nutrient',
    refId: 'mineral',
    written: 'mineral nutrient',
    words: any(String.raw`mineral (?:yeast )?(?:nutrient|food)`, 'dap', 'diammonium phosphate'),
  },
  { what: 'nutrient', refId: 'organic', written: 'organic nutrient', words: any(String.raw`organic (?:yeast )?(?:nutrients?|food)`) },
  { what: 'nutrient', refId: 'organic', written: 'organic nutrient', usual: true, words: any(String.raw`(?:yeast )?nutrients?`, 'yeast food') },
  { what: 'enzyme', refId: 'enzyme', written: 'pectic enzyme', words: any(String.raw`(?:pectic )?enzymes?`, 'pectinase') },
  { what: 'bentonite', refId: 'bentonite', written: 'bentonite', words: any('bentonite') },
  {
    what: 'sulfite',
    refId: 'tablet',
    written: 'sulfite tablets',
    words: any(String.raw`sul(?:f|ph)ite tab(?:let)?s?`, String.raw`tab(?:let)?s? (?:of )?sul(?:f|ph)ite`),
  },
  { what: 'sulfite', refId: 'sodium-metabisulfite', written: 'sodium metabisulfite', words: any(String.raw`sodium meta(?:bisul(?:f|ph)ite)?`) },
  { what: 'sulfite', refId: 'potassium-metabisulfite', written: 'potassium metabisulfite', words: any(String.raw`potassium meta(?:bisul(?:f|ph)ite)?`) },
  {
    what: 'sulfite',
    refId: 'potassium-metabisulfite',
    written: 'potassium metabisulfite',
    usual: true,
    words: any(String.raw`metabisul(?:f|ph)ite`, String.raw`sul(?:f|ph)ite(?: powder)?`),
  },
  { what: 'tannin', refId: 'tannin', written: 'tannin', words: any(String.raw`(?:grape |wine )?tannin(?: powder)?`) },
  { what: 'tannin', refId: 'tea', written: 'tea bags', words: any(String.raw`tea ?bags?(?: of (?:black )?tea)?`) },
  { what: 'acid', refId: 'lemon', written: 'lemon juice', words: any('lemon juice') },
  { what: 'acid', refId: 'citric', written: 'citric acid', words: any('citric acid', 'citric', 'lemons?') },
  { what: 'acid', refId: 'malic', written: 'malic acid', words: any('malic acid', 'malic') },
  { what: 'acid', refId: 'tartaric', written: 'tartaric acid', words: any('tartaric acid', 'tartaric') },
  { what: 'carbonate', refId: 'potassium-bicarbonate', written: 'potassium bicarbonate', words: any('potassium bicarbonate') },
  { what: 'carbonate', refId: 'potassium-carbonate', written: 'potassium carbonate', words: any('potassium carbonate') },
  { what: 'carbonate', refId: 'calcium-carbonate', written: 'calcium carbonate', words: any('calcium carbonate', 'chalk') },
  { what: 'sugar', refId: 'brown-sugar-dark', written: 'dark brown sugar', words: any(String.raw`dark (?:brown )?sugar`) },
  { what: 'sugar', refId: 'brown-sugar-light', written: 'light brown sugar', words: any('light brown sugar') },
  { what: 'sugar', refId: 'brown-sugar-light', written: 'light brown sugar', usual: true, words: any('brown sugar') },
  { what: 'sugar', refId: 'dextrose-anhydrous', written: 'anhydrous dextrose', words: any('anhydrous (?:dextrose|glucose)') },
  { what: 'sugar', refId: 'dextrose-monohydrate', written: 'dextrose', usual: true, words: any('dextrose', 'glucose') },
  { what: 'sugar', refId: 'fructose', written: 'fructose', words: any('fructose', 'fruit sugar') },
  { what: 'sugar', refId: 'invert-syrup', written: 'invert syrup', words: any('invert(?:ed)? (?:sugar )?(?:syrup)?') },
  { what: 'sugar', refId: 'maple-syrup', written: 'maple syrup', words: any('maple syrup') },
  { what: 'sugar', refId: 'refiners-syrup', written: 'refiner’s syrup', words: any("(?:refiner['’]?s|golden) syrup") },
  { what: 'sugar', refId: 'honey', written: 'honey', words: any('honey') },
  { what: 'sugar', refId: 'apple-concentrate', written: 'apple juice concentrate', words: any('apple (?:juice )?concentrate') },
  { what: 'sugar', refId: 'pear-concentrate', written: 'pear juice concentrate', words: any('pear (?:juice )?concentrate') },
  { what: 'sugar', refId: 'grape-concentrate', written: 'white grape concentrate', words: any('(?:white )?grape (?:juice )?concentrate') },
  { what: 'sugar', refId: 'raisins-sultanas', written: 'raisins', words: any('raisins?', 'sultanas?') },
  { what: 'sugar', refId: 'lactose', written: 'lactose', words: any('lactose', 'milk sugar') },
  { what: 'sugar', refId: 'erythritol', written: 'erythritol', words: any('erythritol') },
  { what: 'sugar', refId: 'sucrose', written: 'white sugar', words: any('(?:white|table|cane|beet|granulated|caster) sugar', 'sucrose') },
  { what: 'sugar', refId: 'sucrose', written: 'white sugar', usual: true, words: any('sugar') },
  { what: 'water', refId: 'water', written: 'water', words: any('(?:boiled |tap |cold |warm |cooled )*water') },
];

/** A sweet thing of the maker's own. */
export interface OwnSweet {
  readonly id: string;
  readonly name: string;
}

const ofOwn = ({ id, name }: OwnSweet): NamedIngredient => ({
  what: 'sugar',
  refId: id,
  written: name,
  words: any(name.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)),
});

/** An ingredient in a part of a line. */
export interface FoundIngredient {
  readonly ingredient: NamedIngredient;
  /** The part without its name. */
  readonly rest: string;
}

/**
 * The ingredients that a part of a line names, each once, the most exact name first.
 *
 * @param part - in plain writing
 * @param sweets - sweet things of the maker's own, which go before all others
 * @returns none, one, or several that a line should part by a comma
 */
export function ingredientsIn(part: string, sweets: readonly OwnSweet[] = []): readonly FoundIngredient[] {
  const found: FoundIngredient[] = [];
  let left = part;
  for (const ingredient of [...sweets.map(ofOwn), ...INGREDIENTS]) {
    const match = ingredient.words.exec(left);
    if (!match) continue;
    left = `${left.slice(0, match.index)} ${left.slice(match.index + match[0].length)}`;
    // A lemon and a tea bag are counted as what they are.
    const kept = /lemons?$|tea ?bags?/i.exec(match[0])?.[0] ?? (/\btab(?:let)?s?\b/i.test(match[0]) ? 'tablets' : '');
    found.push({ ingredient, rest: part.replace(match[0], ` ${kept} `).replace(/\s+/g, ' ').trim() });
  }
  return found;
}
