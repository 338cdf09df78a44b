import type { BottleKind } from './bottle-kinds.js';

const ID = /^own:([a-z0-9-]+):(\d+):(-|\d+(?:\.\d+)?):(-|\d+(?:\.\d+)?):(.+)$/;

/** Whether an id is that of a bottle of one's own. */
export const isOwnBottle = (id: string): boolean => id.startsWith('own:');

/**
 * What an id of `ownBottleId` says, as the list of bottles has it.
 *
 * @param id - of a bottle of one's own
 * @param kindOf - the list
 * @throws {CoreError} UNKNOWN_ID for an id that cannot be read, or that is like no kind of the list
 * @source the mark on the bottle; the closure, and what is not marked, as of the kind it is like. A heat that nobody marked is none
 */
export function ownBottle(id: string, kindOf: (id: string) => BottleKind): BottleKind {
  const [, likeId = '', size = '', limit = '', hot = '', name = ''] = ID.exec(id) ?? [];
  // No kind of the list has such an id: it is refused as any other that nobody knows.
  if (name === '') return kindOf(id);
  const like = kindOf(likeId);
  return {
    ...like,
    id,
    name,
    sizeMl: Number(size),
    limitBar: limit === '-' ? like.limitBar : Number(limit),
    hotLimitBar: hot === '-' ? null : Number(hot),
  };
}
