import type { GuessedFigure, Liquid } from '@trug/core';
import { figure } from '@trug/core/base/worked/figures';
import { sweetnessBalance, sweetnessWord } from '@trug/core/finish/sweeten/sweetness';
import { phOf, taOf } from '@trug/core/matter/liquid/acid-chemistry';
import { abvOf, dryAbvOf, fermentableGPerL, gravityOf, sweetnessGPerL } from '@trug/core/matter/liquid/views';
import { about } from '../../units/about';
import type { Units } from '../../units/units';
import type { FigureRow } from './before-after';

interface Shown {
  readonly name: string;
  readonly unit: string;
  readonly of: (liquid: Liquid, units: Units) => string;
  /** What it rests on that may not have been measured. */
  readonly by?: GuessedFigure;
}

/** The figures of a drink that an act may change. */
const FIGURES = {
  volume: { name: 'Volume', unit: '', of: (l, units) => units.volume(Math.round(l.volumeL * 100) / 100) },
  gravity: { name: 'Gravity', unit: '', of: (l, units) => units.fineGravity(gravityOf(l)) },
  sugarLeft: { name: 'Sugar left', unit: 'g/L', of: (l) => figure(fermentableGPerL(l), 1) },
  strength: { name: 'Strength', unit: '%', of: (l) => figure(abvOf(l), 1) },
  dryStrength: { name: 'Strength if dry', unit: '%', of: (l) => figure(dryAbvOf(l), 1) },
  acid: { name: 'Acid', unit: 'g/L as malic', of: (l) => figure(taOf(l), 1), by: 'taGPerL' },
  ph: { name: 'pH', unit: '', of: (l) => figure(phOf(l), 2), by: 'ph' },
  tannin: { name: 'Tannin', unit: 'g/L', of: (l) => figure(l.tanninGPerL, 1), by: 'tanninGPerL' },
  sulfite: { name: 'Sulfite in all', unit: 'mg/L', of: (l) => figure(l.totalSo2MgPerL, 0) },
  sorbate: { name: 'Sorbic acid', unit: 'mg/L', of: (l) => figure(l.sorbateMgPerL, 0) },
  sweetness: { name: 'Sweetness', unit: 'g/L as sugar', of: (l) => figure(sweetnessGPerL(l), 0) },
  taste: { name: 'It tastes', unit: '', of: (l) => `${sweetnessWord(sweetnessGPerL(l))}, ${sweetnessBalance(l).word}` },
} as const satisfies Readonly<Record<string, Shown>>;

/** One of them. */
export type FigureId = keyof typeof FIGURES;

/**
 * Figures of a drink before an act and after it, in the maker's units.
 *
 * @param units - how the maker writes
 * @param before - the drink as it is
 * @param after - as the act would make it; null while none is worked out
 * @param which - the figures to show, in order
 * @param guessed - what nobody measured of it
 */
export const liquidRows = (
  units: Units,
  before: Liquid,
  after: Liquid | null,
  which: readonly FigureId[],
  guessed: readonly GuessedFigure[] = [],
): readonly FigureRow[] =>
  which.map((id) => {
    const shown: Shown = FIGURES[id];
    const told = (liquid: Liquid): string => about(shown.of(liquid, units), shown.by !== undefined && guessed.includes(shown.by));
    return { name: shown.name, unit: shown.unit, before: told(before), after: after && told(after) };
  });
