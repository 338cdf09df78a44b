import type { Fruit } from '@trug/core';
import { fizzWord } from '@trug/core/finish/bottle/fizz-levels';
import type { BatchView } from '../../state/batch-views.selectors';
import { strengthText } from '../../units/strength-text';
import type { Units } from '../../units/units';

/** A keg as the cellar shows it. */
export interface CellarKeg {
  readonly batchId: string;
  readonly name: string;
  readonly tape: string;
  readonly fruit: Fruit;
  readonly left: string;
  readonly of: string;
  /** How full it is of what went in, 0–1. */
  readonly share: number;
  readonly about: string;
  readonly since: string;
}

/**
 * The kegs that hold something, the newest first.
 *
 * @param views - every batch
 * @param units - the maker's units
 * @returns what to show of each
 */
export function cellarKegs(views: readonly BatchView[], units: Units): readonly CellarKeg[] {
  return views
    .flatMap(({ batch, state }) => (state.keg && state.liquid ? [{ batch, state, keg: state.keg, liquid: state.liquid }] : []))
    .sort((a, b) => (a.keg.at < b.keg.at ? 1 : -1))
    .map(({ batch, state, keg, liquid }) => ({
      batchId: batch.id,
      name: batch.name,
      tape: batch.tape,
      fruit: liquid.fruit,
      left: units.volume(liquid.volumeL),
      of: units.volume(keg.volumeL),
      share: Math.min(1, liquid.volumeL / keg.volumeL),
      about: [
        strengthText(units, liquid, state.must),
        `${fizzWord(keg.targetVolumes)}, ${keg.targetVolumes.toFixed(1)} volumes`,
        `kept at ${units.temperature(keg.storeC)}`,
      ].join(' · '),
      since: `Sealed on ${units.day(keg.at)}${keg.letOff ? `, let off on ${units.day(keg.letOff.at)}` : ''}`,
    }));
}
