import { byId } from '../errors/by-id.js';
import { FERMENTABLES } from './fermentables-data.js';

/** The fermentable or sweetener of an id; throws UNKNOWN_ID for any other. */
export const fermentableById = byId('fermentable', FERMENTABLES);
