import type { YeastKind } from './yeast-kinds-data.js';

/** A packet's figure is a promise: it may stop a little under it, and often goes past it, % by volume. @source our estimate, on the side that counts more sugar as gas */
const MAY_STOP_UNDER = 1;
const MAY_GO_PAST = 2;
const ID = /^own:([a-z-]+):(\d+(?:\.\d)?):(\d+)-(\d+):(.+)$/;

/** Whether an id is that of a yeast of one's own. */
export const isOwnYeast = (id: string): boolean => id.startsWith('own:');

/**
 * What an id of `ownYeastId` says, as the library of yeasts has it.
 *
 * @param id - of a yeast of one's own
 * @param kindOf - the library
 * @throws {CoreError} UNKNOWN_ID for an id that cannot be read, or that is like no kind of the library
 * @source the packet's own figures; the rest as of the kind it is like
 */
export function ownYeast(id: string, kindOf: (id: string) => YeastKind): YeastKind {
  const [, likeId = '', stands = '', from = '', to = '', name = ''] = ID.exec(id) ?? [];
  // No kind of the library has such an id: it is refused as any other that nobody knows.
  if (name === '') return kindOf(id);
  const like = kindOf(likeId);
  const [coolest, cool, warm, hottest] = like.tempC;
  const [fromC, toC] = [Number(from), Number(to)];
  return {
    ...like,
    id,
    name,
    tempC: [fromC - (cool - coolest), fromC, toC, toC + (hottest - warm)],
    toleranceAbv: [Number(stands) - MAY_STOP_UNDER, Number(stands) + MAY_GO_PAST],
  };
}

/** The kind that a yeast of one's own is like, by id; null for one of the library. */
export const likeOwn = (id: string): string | null => ID.exec(id)?.[1] ?? null;
