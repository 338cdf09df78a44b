import { CoreError } from '../errors/core-error.js';
import { inRange } from '../errors/guards.js';
import type { Fermentable } from './fermentables-data.js';

/** A sweet thing of the maker's own, by what its packet says. */
export interface OwnFermentable {
  readonly name: string;
  /** g of carbohydrate in 100 g, 1–100. */
  readonly carbohydrateG: number;
  /** g of it that no yeast ferments, such as polyols, fibre or dextrin, 0 to all of it. */
  readonly lastingG: number;
  /** Whether it leaves the drink hazy, as sweets with starch or gelatine do. */
  readonly hazy: boolean;
}

/** Longest name, so that the id that holds it fits wherever ids are kept. */
export const LONGEST_OWN_NAME = 32;
/** g of carbohydrate in 100 g of anything. */
export const OWN_CARBOHYDRATE_G = { min: 1, max: 100 } as const;
/** g in 100 g that no yeast ferments; as much as there is of it all. */
export const OWN_LASTING_G = { min: 0, max: 100 } as const;

const PREFIX = 'own';
const ID = /^own:(\d+(?:\.\d+)?):(\d+(?:\.\d+)?):(clear|hazy):(.+)$/;
/** Volume that carbohydrate adds, and that the rest adds as water, L/kg. @source as sucrose in the library of fermentables */
const CARBOHYDRATE_L_PER_KG = 0.618;
const WATER_L_PER_KG = 1.0018;
/** g of carbon dioxide from a gram of sucrose. @source stoichiometry, as in the library of fermentables */
const CO2_G_PER_G = 0.514;

const tenth = (g: number): number => Math.round(g * 10) / 10;

/**
 * The id of a sweet thing of one's own. It holds all that the packet says, so that a log that names it needs no list beside it.
 *
 * @param own - name, 1–32 characters, and grams in 100 g
 * @returns such as `own:95:10:hazy:Boiled sweets`
 * @throws {CoreError} OUT_OF_RANGE where more of it lasts than there is; NOT_ALLOWED without a name
 */
export function ownFermentableId({ name, carbohydrateG, lastingG, hazy }: OwnFermentable): string {
  const plain = name.replace(/\s+/g, ' ').trim();
  if (plain === '' || plain.length > LONGEST_OWN_NAME) throw new CoreError('NOT_ALLOWED', 'it needs a short name', { field: 'name' });
  const carbohydrate = inRange('carbohydrateG', tenth(carbohydrateG), OWN_CARBOHYDRATE_G);
  const lasting = inRange('lastingG', tenth(lastingG), { min: 0, max: carbohydrate });
  return `${PREFIX}:${carbohydrate}:${lasting}:${hazy ? 'hazy' : 'clear'}:${plain}`;
}

/** Whether an id is that of a sweet thing of one's own. */
export const isOwnFermentable = (id: string): boolean => id.startsWith(`${PREFIX}:`);

/**
 * What an id of {@link ownFermentableId} says, as the library of fermentables has it.
 *
 * @param id - of a sweet thing of one's own
 * @returns counted as sucrose as far as it ferments, which is the most gas and alcohol it can make
 * @throws {CoreError} UNKNOWN_ID for an id that cannot be read, or whose figures cannot be
 * @source the packet's own figures; what is not said to last is taken to ferment
 */
export function ownFermentable(id: string): Fermentable {
  const [, carbohydrate = '', lasting = '', look = '', name = ''] = ID.exec(id) ?? [];
  const [carbohydrateG, lastingG] = [Number(carbohydrate), Number(lasting)];
  if (name === '' || carbohydrateG < OWN_CARBOHYDRATE_G.min || carbohydrateG > OWN_CARBOHYDRATE_G.max || lastingG > carbohydrateG) {
    throw new CoreError('UNKNOWN_ID', `there is no fermentable called "${id}"`, { what: 'fermentable', given: id });
  }
  const extractFraction = carbohydrateG / 100;
  const fermentableFraction = (carbohydrateG - lastingG) / 100;
  const volumeLPerKg = extractFraction * CARBOHYDRATE_L_PER_KG + (1 - extractFraction) * WATER_L_PER_KG;
  return {
    id,
    name,
    kind: 'fermentable',
    extractFraction,
    fermentableFraction,
    pointsLPerKg: 1000 * (WATER_L_PER_KG - volumeLPerKg),
    co2GPerG: fermentableFraction * CO2_G_PER_G,
    sweetnessVsSucrose: extractFraction,
    volumeLPerKg,
    caution: look === 'hazy' ? 'It leaves the drink hazy.' : null,
    note: 'Your own, by what its packet says.',
  };
}
