import { byId } from '../errors/by-id.js';
import { isOwnBottle, ownBottle } from './own-bottle.js';

/** A kind of bottle. */
export interface BottleKind {
  readonly id: string;
  readonly name: string;
  readonly sizeMl: number;
  /** Highest pressure it should feel, bar gauge; null when it is not made for pressure at all. */
  readonly limitBar: number | null;
  /** Highest pressure for the hour of a hot bath, bar gauge; null when it is never heated filled: corks, washers and plastic give way. */
  readonly hotLimitBar: number | null;
  readonly closure: 'crown' | 'swing' | 'wired-cork' | 'screw' | 'cork';
}

/**
 * Bottles a home maker fills.
 * @source estimate, unverified: usual working limits of each kind in sound condition, hot ones for sound glass of crown caps and wired corks
 *   warmed slowly, well under what such glass is tried at when new; the mark on your own bottle wins
 */
export const BOTTLE_KINDS: readonly BottleKind[] = [
  { id: 'crown-330', name: 'crown-capped 330 mL', sizeMl: 330, limitBar: 4.2, hotLimitBar: 6.5, closure: 'crown' },
  { id: 'crown-500', name: 'crown-capped 500 mL', sizeMl: 500, limitBar: 4.2, hotLimitBar: 6.5, closure: 'crown' },
  { id: 'swing-500', name: 'swing-top 500 mL', sizeMl: 500, limitBar: 4.6, hotLimitBar: null, closure: 'swing' },
  { id: 'sparkling-750', name: 'heavy sparkling-wine 750 mL', sizeMl: 750, limitBar: 6.1, hotLimitBar: 8, closure: 'wired-cork' },
  { id: 'plastic-500', name: 'fizzy-drink plastic 500 mL', sizeMl: 500, limitBar: 7.4, hotLimitBar: null, closure: 'screw' },
  { id: 'plastic-1000', name: 'fizzy-drink plastic 1 L', sizeMl: 1000, limitBar: 7, hotLimitBar: null, closure: 'screw' },
  { id: 'wine-750', name: 'ordinary wine 750 mL', sizeMl: 750, limitBar: null, hotLimitBar: null, closure: 'cork' },
];

const kindOf = byId('kind of bottle', BOTTLE_KINDS);

/** The kind of bottle of an id, of this list or of the maker's own; throws UNKNOWN_ID for any other. */
export const bottleById = (id: string): BottleKind => (isOwnBottle(id) ? ownBottle(id, kindOf) : kindOf(id));
