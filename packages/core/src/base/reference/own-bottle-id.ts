import { CoreError } from '../errors/core-error.js';
import { inRange } from '../errors/guards.js';
import { LIMITS } from '../errors/limits.js';
import { bottleById, type BottleKind } from './bottle-kinds.js';

/** A kind of bottle of the maker's own, by what is marked on it; all else is as of the kind it is made like. */
export interface OwnBottle {
  readonly name: string;
  /** The kind that it is made and closed like, by id. */
  readonly likeId: string;
  /** What it holds, filled as usual, mL. */
  readonly sizeMl: number;
  /** The pressure it is made to be used at, bar gauge; null for what its kind is taken to stand. */
  readonly limitBar: number | null;
  /** The same for the hour of a hot bath, bar gauge; null where it is not heated. */
  readonly hotLimitBar: number | null;
}

/** Longest name, so that the id that holds it fits wherever ids are kept. */
export const LONGEST_OWN_BOTTLE = 20;
/** The most a mark is believed, by how it is closed, bar gauge. @source our estimate: past this a figure is the pressure at which one broke, not one to be used at; a ring or a liner gives way first */
const MOST_BAR: Readonly<Record<BottleKind['closure'], number>> = { crown: 8, swing: 7, 'wired-cork': 9, screw: 10, cork: 0 };
const MOST_HOT_BAR = 10;

const barText = (bar: number | null): string => (bar === null ? '-' : String(Math.round(bar * 100) / 100));

/**
 * The id of a bottle of one's own. It holds all that is marked on it, so that a log that names it needs no list beside it.
 *
 * @param own - name, 1–20 characters, the kind it is like, size and what it stands
 * @returns such as `own:crown-500:660:5.5:-:Tall brown`
 * @throws {CoreError} OUT_OF_RANGE; NOT_ALLOWED without a name, for more than a bottle closed so is believed, and for a pressure where its kind is made for none
 */
export function ownBottleId({ name, likeId, sizeMl, limitBar, hotLimitBar }: OwnBottle): string {
  const like = bottleById(likeId);
  // Names stand in lists of kinds and counts, which are parted by these.
  const plain = name.replace(/[\s,:]+/g, ' ').trim();
  if (plain === '' || plain.length > LONGEST_OWN_BOTTLE) throw new CoreError('NOT_ALLOWED', 'it needs a short name', { field: 'name' });
  inRange('sizeMl', sizeMl, LIMITS.bottleMl);
  if (limitBar !== null) {
    if (like.limitBar === null) throw new CoreError('NOT_ALLOWED', 'a bottle of this kind is not made for pressure', { field: 'limitBar' });
    inRange('limitBar', limitBar, { min: LIMITS.bottleBar.min, max: MOST_BAR[like.closure] });
  }
  if (hotLimitBar !== null) {
    if (like.hotLimitBar === null) throw new CoreError('NOT_ALLOWED', 'a bottle of this kind is never heated filled', { field: 'hotLimitBar' });
    inRange('hotLimitBar', hotLimitBar, { min: LIMITS.bottleBar.min, max: MOST_HOT_BAR });
  }
  return `own:${likeId}:${Math.round(sizeMl)}:${barText(limitBar)}:${barText(hotLimitBar)}:${plain}`;
}
