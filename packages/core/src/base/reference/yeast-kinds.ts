import { byId } from '../errors/by-id.js';
import { isOwnYeast, ownYeast } from './own-yeast.js';
import { YEAST_KINDS, type YeastKind } from './yeast-kinds-data.js';

/** What is on the fruit already. */
export const WILD_YEAST_ID = 'wild-spontaneous';
/** Reckoned with and shown while no kind is chosen. */
export const USUAL_YEAST_ID = 'crisp-cider';

const kindOf = byId('kind of yeast', YEAST_KINDS);

/** The kind of yeast of an id, of the library or of the maker's own; throws UNKNOWN_ID for any other. */
export const yeastById = (id: string): YeastKind => (isOwnYeast(id) ? ownYeast(id, kindOf) : kindOf(id));

/** Strength at which a kind of yeast usually stops: the middle of its range, % by volume. */
export const usualToleranceAbv = ({ toleranceAbv: [low, high] }: Pick<YeastKind, 'toleranceAbv'>): number => (low + high) / 2;
