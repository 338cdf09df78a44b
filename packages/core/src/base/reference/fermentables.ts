import { byId } from '../errors/by-id.js';
import { FERMENTABLES, type Fermentable } from './fermentables-data.js';
import { isOwnFermentable, ownFermentable } from './own-fermentable.js';

const ofLibrary = byId('fermentable', FERMENTABLES);

/** The fermentable or sweetener of an id, of the library or the maker's own; throws UNKNOWN_ID for any other. */
export const fermentableById = (id: string): Fermentable => (isOwnFermentable(id) ? ownFermentable(id) : ofLibrary(id));
