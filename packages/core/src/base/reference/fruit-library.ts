import { byId } from '../errors/by-id.js';
import { FRUIT_LIBRARY } from './fruit-library-data.js';
import type { FruitKind } from './fruit-kind.js';
import { isOwnFruit, ownFruit } from './own-fruit.js';

const kindOf = byId('fruit or juice', FRUIT_LIBRARY);

/** The cultivar or bought juice of an id, of the library or of the maker's own; throws UNKNOWN_ID for any other. */
export const fruitById = (id: string): FruitKind => (isOwnFruit(id) ? ownFruit(id, kindOf) : kindOf(id));

/** What hangs on a tree, and not what is bought as juice. */
export const ORCHARD_FRUIT: readonly FruitKind[] = FRUIT_LIBRARY.filter((kind) => kind.group !== 'bought' && kind.group !== 'concentrate');
