/** A word for what a cider smells or tastes of. */
export interface TasteWord {
  readonly id: string;
  readonly name: string;
  /** The fault it may be a sign of, by its id among the faults; absent where it is none. */
  readonly faultId?: string;
}

/** Words of one kind, side by side on the wheel. */
export interface TasteFamily {
  readonly id: string;
  readonly name: string;
  readonly words: readonly TasteWord[];
}

const words = (...names: readonly string[]): readonly TasteWord[] => names.map((name) => ({ id: name.replaceAll(' ', '-'), name }));
const off = (name: string, faultId: string): TasteWord => ({ id: name.replaceAll(' ', '-'), name, faultId });

/**
 * The words of the wheel, family by family, once round.
 *
 * @source our own choice of plain words for what apple and pear drinks smell of; what a word may be a sign of is as the fault finder has it
 */
export const TASTE_FAMILIES: readonly TasteFamily[] = [
  { id: 'fruit', name: 'fruit', words: words('green apple', 'ripe apple', 'baked apple', 'pear', 'lemon peel', 'dried fruit') },
  { id: 'flower', name: 'flower', words: words('blossom', 'honey', 'rose', 'elder') },
  { id: 'leaf', name: 'leaf', words: words('cut grass', 'hay', 'mint', 'black tea') },
  { id: 'spice', name: 'spice', words: words('clove', 'pepper', 'cinnamon', 'aniseed') },
  { id: 'wood', name: 'wood', words: words('oak', 'vanilla', 'toast', 'smoke') },
  { id: 'larder', name: 'larder', words: words('bread crust', 'nuts', 'butter', 'caramel') },
  { id: 'farm', name: 'farm', words: words('leather', 'stable', 'mushroom', 'wet stone') },
  {
    id: 'off',
    name: 'off',
    words: [
      off('vinegar', 'vinegar'),
      off('nail varnish', 'solvent'),
      off('bad eggs', 'egg'),
      off('mouse', 'mouse'),
      off('crushed geranium', 'geranium'),
      off('stale sherry', 'oxidised'),
      off('old broth', 'autolysis'),
    ],
  },
];

const ALL = TASTE_FAMILIES.flatMap((family) => family.words);

/** Every word of the wheel. */
export const TASTE_WORD_IDS: readonly string[] = ALL.map((word) => word.id);

/** A word of the wheel; null for one that it no longer has. */
export const tasteWordById = (id: string): TasteWord | null => ALL.find((word) => word.id === id) ?? null;
