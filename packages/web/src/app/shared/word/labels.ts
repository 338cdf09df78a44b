/** The words that the glossary explains, each with what else it is called on Trug's pages, in the order of the alphabet. */
export const LABELS = {
  Acid: ['Acid, as malic', 'Acidity', 'TA', 'To an acidity of, g/L as malic', 'Acid, g/L as malic'],
  Airlock: ['Vent'],
  Bentonite: [],
  Dry: ['Strength if dry', 'Where it should end'],
  Enzyme: ['Pectic enzyme'],
  Finings: [],
  Fizz: ['Volumes', 'Fizz it makes'],
  Gravity: ['Gravity now', 'Original gravity', 'SG', 'Gravity of the juice', 'Gravity, first → last'],
  Headspace: ['Room for foam', 'Air in the neck'],
  Lees: ['Sediment', 'Left on the lees'],
  'Malic acid': ['Malic acid in it'],
  'Malolactic change': ['Malolactic'],
  Must: [],
  Nutrient: ['Food', 'YAN', 'Nitrogen for yeast'],
  pH: ['or to a pH of'],
  Pitch: [],
  Points: [],
  Priming: ['Sugar, in all', 'Priming sugar'],
  Racking: ['Rack'],
  Sorbate: ['Potassium sorbate'],
  Strength: ['Strength now', 'Strength so far', 'Adds strength'],
  Stuck: [],
  'Sugar left': ['Sweetness', 'Sweetness, as sugar'],
  Sulfite: [
    'Sulfite in all',
    'Sulfite, in all',
    'Free sulfite',
    'Potassium metabisulfite',
    'Total sulfite',
    'Sulfite, total',
    'Sulfite, free about',
    'Sulfite, free',
  ],
  Tannin: ['Up to a tannin of, g/L', 'Tannin, g/L'],
  Tolerance: ['Stands'],
} as const satisfies Readonly<Record<string, readonly string[]>>;

/** One of them. */
export type CraftWord = keyof typeof LABELS;

const isWord = (word: string): word is CraftWord => word in LABELS;

/** All of them. */
export const CRAFT_WORDS: readonly CraftWord[] = Object.keys(LABELS).filter(isWord);

const BY_LABEL: ReadonlyMap<string, CraftWord> = new Map(
  CRAFT_WORDS.flatMap((word) => [word, ...LABELS[word]].map((label): [string, CraftWord] => [label.toLowerCase(), word])),
);

/**
 * The word a label is about.
 *
 * @param label - as it stands on a page
 * @returns the glossary's word; null when it needs no explaining
 */
export const wordOf = (label: string): CraftWord | null => BY_LABEL.get(label.toLowerCase()) ?? null;
