import { byId } from '../errors/by-id.js';
import { FERMENTABLES, type Fermentable } from './fermentables-data.js';
import { isOwnFermentable, ownFermentable } from './own-fermentable.js';

const ofLibrary = byId('fermentable', FERMENTABLES);

/** The fermentable or sweetener of an id, of the library or the maker's own; throws UNKNOWN_ID for any other. */
export const fermentableById = (id: string): Fermentable => (isOwnFermentable(id) ? ownFermentable(id) : ofLibrary(id));

/**
 * The plain name of a fermentable, as it stands in a sentence.
 *
 * @param id - as {@link fermentableById} takes it
 * @returns such as `white sugar`, without what stands in brackets behind it
 */
export const fermentableWord = (id: string): string =>
  fermentableById(id)
    .name.replace(/\s*\(.*\)$/, '')
    .toLowerCase();
