/** How clear it stands in the glass. */
export const CLARITIES = ['bright', 'hazy', 'cloudy'] as const;
export type Clarity = (typeof CLARITIES)[number];

/** What colour it has against white paper, palest first. */
export const TASTE_COLOURS = ['water', 'straw', 'gold', 'amber', 'rust'] as const;
export type TasteColour = (typeof TASTE_COLOURS)[number];

/** What is judged by steps, in the order in which it is met, with a word for each step from nothing to too much. */
export const TASTE_SCALES = {
  nose: ['shut', 'faint', 'clear', 'open', 'loud'],
  sweetness: ['bone dry', 'dry', 'medium', 'sweet', 'very sweet'],
  acid: ['flat', 'soft', 'fresh', 'sharp', 'biting'],
  tannin: ['none', 'light', 'some grip', 'firm', 'rough'],
  body: ['watery', 'thin', 'medium', 'round', 'thick'],
  length: ['gone at once', 'short', 'fair', 'long', 'very long'],
} as const satisfies Record<string, readonly [string, string, string, string, string]>;
export type TasteScale = keyof typeof TASTE_SCALES;
export const TASTE_SCALE_IDS = Object.keys(TASTE_SCALES).filter((id): id is TasteScale => id in TASTE_SCALES);

/** What was found in one glass; null or empty for what was not judged. */
export interface TasteSheet {
  /** The `bottled` entry of the crate it was opened from. */
  readonly crateId: string | null;
  readonly clarity: Clarity | null;
  readonly colour: TasteColour | null;
  /** Steps from 0 to 4. */
  readonly scales: Readonly<Record<TasteScale, number | null>>;
  /** Of the wheel, by id. */
  readonly words: readonly string[];
  /** 1 to 10. */
  readonly score: number | null;
  /** What its maker would do otherwise. */
  readonly next: string;
}

/** Nothing judged yet. */
export const BLANK_SHEET: TasteSheet = {
  crateId: null,
  clarity: null,
  colour: null,
  scales: { nose: null, sweetness: null, acid: null, tannin: null, body: null, length: null },
  words: [],
  score: null,
  next: '',
};
