import { tasteWordById } from '../../finish/taste/taste-words.js';
import { sweetnessWord } from '../../finish/sweeten/sweetness.js';
import { sweetnessGPerL } from '../../matter/liquid/views.js';
import { dayIn } from '../../matter/quantity/zone.js';
import type { Crate } from '../state/batch-state.js';
import type { Tasting } from './tastings.js';

/** What crates are looked for by; empty asks for nothing. */
export interface CrateWish {
  /** Words of its name, its place, what was said of it at a tasting, in any order. */
  readonly find: string;
  readonly fizz: '' | 'still' | 'sparkling';
  /** A word for its sweetness, such as `off dry`. */
  readonly sweetness: string;
  /** The year it was bottled, as four figures. */
  readonly year: string;
  readonly place: string;
}

/** Asks for nothing. */
export const ANY_CRATE: CrateWish = { find: '', fizz: '', sweetness: '', year: '', place: '' };

/** A crate with the batch it is of. */
export interface FoundCrate {
  readonly crate: Crate;
  readonly batchName: string;
  readonly tastings: readonly Tasting[];
  readonly zone: string;
}

/** How sweet what is in a crate is, in a word. */
export const crateSweetness = ({ drink }: Crate): string => sweetnessWord(sweetnessGPerL(drink.liquid));

/** The year a crate was bottled. */
export const crateYear = ({ bottledAt }: Crate, zone: string): string => dayIn(bottledAt, zone).slice(0, 4);

const saidOf = (crate: Crate, tastings: readonly Tasting[]): string =>
  tastings
    .filter((tasting) => tasting.crateId === null || tasting.crateId === crate.id)
    .map(({ text, sheet }) => `${text} ${(sheet?.words ?? []).map((id) => tasteWordById(id)?.name ?? '').join(' ')}`)
    .join(' ');

/**
 * Whether a crate is one of those looked for.
 *
 * @param found - the crate, its batch and what was said of it
 * @param wish - what is looked for; every part of it must fit
 */
export function crateFits({ crate, batchName, tastings, zone }: FoundCrate, wish: CrateWish): boolean {
  if (wish.fizz !== '' && (wish.fizz === 'sparkling') !== crate.sparkling) return false;
  if (wish.sweetness !== '' && wish.sweetness !== crateSweetness(crate)) return false;
  if (wish.year !== '' && wish.year !== crateYear(crate, zone)) return false;
  if (wish.place !== '' && wish.place !== (crate.place ?? '')) return false;
  const said = `${crate.name} ${batchName} ${crate.place ?? ''} ${crate.capColour} ${saidOf(crate, tastings)}`.toLowerCase();
  return wish.find
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
}
