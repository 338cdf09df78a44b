import { byId } from './by-id.js';
import { YEAST_KINDS } from './yeast-kinds-data.js';

/** The kind of yeast of an id; throws UNKNOWN_ID for any other. */
export const yeastById = byId('kind of yeast', YEAST_KINDS);
