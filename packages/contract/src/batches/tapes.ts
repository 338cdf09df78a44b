/** Colours a roll of tape comes in. */
export const TAPES = ['straw', 'leaf', 'clay', 'slate', 'moss', 'rose'] as const;
