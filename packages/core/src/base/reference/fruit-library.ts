import { byId } from '../errors/by-id.js';
import { FRUIT_LIBRARY } from './fruit-library-data.js';

/** The cultivar or bought juice of an id; throws UNKNOWN_ID for any other. */
export const fruitById = byId('fruit or juice', FRUIT_LIBRARY);
