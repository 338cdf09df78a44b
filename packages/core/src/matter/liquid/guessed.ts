/** Figures of a juice that are taken as usual for its kind where nobody measured them. */
export const GUESSED_FIGURES = ['sg', 'taGPerL', 'ph', 'tanninGPerL'] as const;

/** One of them. */
export type GuessedFigure = (typeof GUESSED_FIGURES)[number];

/** How far the pH of a juice may lie from what is usual for its kind, ±. @source spread between the cultivars of the fruit library */
export const GUESSED_PH_DOUBT = 0.25;

/**
 * What is still guessed once some of it was measured.
 *
 * @param guessed - what was guessed so far
 * @param measured - each figure with what was measured; null where nothing was
 */
export const stillGuessed = (guessed: readonly GuessedFigure[], measured: { readonly [F in GuessedFigure]?: unknown }): readonly GuessedFigure[] =>
  guessed.filter((figure) => (measured[figure] ?? null) === null);
