import { byId } from '../errors/by-id.js';
import { FERMENTABLES, type Fermentable } from './fermentables-data.js';
import { isOwnFermentable, ownFermentable } from './own-fermentable.js';

const ofLibrary = byId('fermentable', FERMENTABLES);

/** The fermentable or sweetener of an id, of the library or the maker's own; throws UNKNOWN_ID for any other. */
export const fermentableById = (id: string): Fermentable => (isOwnFermentable(id) ? ownFermentable(id) : ofLibrary(id));

/** What is poured rather than weighed. */
const POURED: ReadonlySet<string> = new Set([
  'apple-juice',
  'white-grape-juice',
  'apple-concentrate',
  'pear-concentrate',
  'grape-concentrate',
  'invert-syrup',
  'maple-syrup',
]);

/** Whether a sweet thing is measured by its volume: juices, concentrates and thin syrups. */
export const isPoured = (id: string): boolean => POURED.has(id);

/**
 * What a litre of a sweet thing weighs, g.
 *
 * @param id - as {@link fermentableById} takes it
 * @source the volume it takes up in a drink, within a hundredth of its own density
 */
export const gramsPerLitre = (id: string): number => 1000 / fermentableById(id).volumeLPerKg;

/** The litres of a weight of what is poured, g; null for what is weighed. */
export const litresPoured = (id: string, massG: number): number | null => (isPoured(id) ? massG / gramsPerLitre(id) : null);

/**
 * Room that a sweet thing takes up in the drink and wants fizz for as well, L/kg: of what is poured. Of a sugar it is a two-hundredth
 * of the drink, which priming leaves out as it always has.
 */
export const roomLPerKg = (id: string): number => (isPoured(id) ? fermentableById(id).volumeLPerKg : 0);

/** Of a juice or a packet by its label, of what a hive or a boiler made, and of what is crystalline, as a share of its sugar. @source the law lets a label be a fifth off, taken as two standard deviations; for syrups our estimate */
const SUGAR_SD = { label: 0.1, syrup: 0.05, crystals: 0 } as const;
const SYRUPS: ReadonlySet<string> = new Set([
  'honey',
  'maple-syrup',
  'refiners-syrup',
  'invert-syrup',
  'apple-concentrate',
  'pear-concentrate',
  'grape-concentrate',
]);
const JUICES: ReadonlySet<string> = new Set(['apple-juice', 'white-grape-juice', 'raisins-sultanas']);

/** Whether a sweet thing is thick and heavy by the spoon. */
export const isSyrup = (id: string): boolean => SYRUPS.has(id);

/**
 * How well the sugar of a sweet thing is known, beside the scales.
 *
 * @param id - as {@link fermentableById} takes it
 * @returns one standard deviation, as a share of its sugar
 */
export function sugarSdShare(id: string): number {
  if (isOwnFermentable(id) || JUICES.has(id)) return SUGAR_SD.label;
  return isSyrup(id) ? SUGAR_SD.syrup : SUGAR_SD.crystals;
}

/** What can be stirred into a drink for its fizz: whatever ferments and leaves no pieces that go on giving. */
export const PRIMING_SUGARS: readonly Fermentable[] = FERMENTABLES.filter((f) => f.kind === 'fermentable' && f.co2GPerG > 0 && f.id !== 'raisins-sultanas');

/**
 * The plain name of a fermentable, as it stands in a sentence.
 *
 * @param id - as {@link fermentableById} takes it
 * @returns such as `white sugar`, without what stands in brackets or after a comma
 */
export const fermentableWord = (id: string): string =>
  fermentableById(id)
    .name.replace(/\s*[(,].*$/, '')
    .toLowerCase();
