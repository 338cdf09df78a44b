import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure, trimmed } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { countText } from '../../matter/quantity/count-text.js';

/** A drink that is to make its fizz in the bottle, as far as its yeast goes. */
export interface TiredDrink {
  readonly volumeL: number;
  /** Days since its yeast went in; null where it was never pitched. */
  readonly daysSinceYeast: number | null;
  /** Whether finings or a clay took its yeast to the bottom. */
  readonly fined: boolean;
  /** % by volume. */
  readonly abv: number;
  readonly freeSo2MgPerL: number;
}

/** A little yeast that goes in with the sugar. */
export interface FreshYeast {
  readonly massG: number;
  /** What speaks for it, each the end of a sentence. */
  readonly why: readonly string[];
}

/** After so long at rest little yeast is left alive. @source usual practice: half a year; a quarter once it was fined, our estimate */
const OLD_DAYS = 180;
const OLD_FINED_DAYS = 60;
/** From here on yeast that has starved does not begin again. @source our estimate, under what the usual kinds stand */
const STRONG_ABV = 10;
/** Free sulfite that keeps tired yeast asleep, mg/L. @source our estimate: half of what a drink is kept with */
const SULFITED_MG_PER_L = 20;
/** @source usual practice: a fifth of a packet of 5 g to 20 L */
const G_PER_L = 0.05;

/**
 * Whether a drink that is primed wants a little fresh yeast, without which it may stay flat for months.
 *
 * @param drink - its volume, how long ago its yeast went in, whether it was fined, its strength and free sulfite
 * @returns how much and why, with the working; null where its own yeast will do it
 * @throws {CoreError} OUT_OF_RANGE
 * @source usual practice of home makers, the limits our estimates
 */
export function freshYeast({ volumeL, daysSinceYeast, fined, abv, freeSo2MgPerL }: TiredDrink): Worked<FreshYeast> | null {
  inRange('volumeL', volumeL, LIMITS.volumeL);
  const days = daysSinceYeast ?? 0;
  const why = [
    ...(days >= OLD_DAYS || (fined && days >= OLD_FINED_DAYS) ? [`its yeast went in ${countText(Math.round(days), 'day')} ago`] : []),
    ...(fined ? ['it was fined'] : []),
    ...(abv >= STRONG_ABV ? [`it has ${figure(abv, 1)} %`] : []),
    ...(freeSo2MgPerL >= SULFITED_MG_PER_L ? [`it has ${figure(freeSo2MgPerL, 0)} mg/L of free sulfite`] : []),
  ];
  // Young yeast is in a drink that was fined last week: it is not seen, and it is enough.
  if (why.length === 0 || (why.length === 1 && fined && days < OLD_FINED_DAYS)) return null;
  const massG = Math.max(0.5, Math.round(volumeL * G_PER_L * 10) / 10);
  return worked({ massG, why }, [
    {
      label: 'Fresh yeast',
      expression: `${figure(volumeL, 1)} L × ${G_PER_L} g/L`,
      result: `${trimmed(massG, 1)} g`,
      source: 'usual practice, a fifth of a packet to 20 L',
    },
  ]);
}
