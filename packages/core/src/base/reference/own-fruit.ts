import type { FruitKind } from './fruit-kind.js';

const ID = /^own:([a-z-]+):(\d\.\d{3}|-):(\d+(?:\.\d)?|-):(\d\.\d{1,2}|-):(.+)$/;

/** Whether an id is that of a fruit of one's own. */
export const isOwnFruit = (id: string): boolean => id.startsWith('own:');

type Spread = readonly [low: number, typical: number, high: number];

/** What was measured takes the middle; how far a season may lead from it is as of the kind it is like. */
const around = ([low, typical, high]: Spread, measured: string): Spread => {
  if (measured === '-') return [low, typical, high];
  const middle = Number(measured);
  return [Math.max(0, middle - (typical - low)), middle, middle + (high - typical)];
};

/**
 * What an id of `ownFruitId` says, as the library of fruit has it.
 *
 * @param id - of a fruit of one's own
 * @param kindOf - the library
 * @throws {CoreError} UNKNOWN_ID for an id that cannot be read, or that is like no kind of the library
 * @source what its maker once measured; the rest, and the spread between seasons, as of the kind it is like
 */
export function ownFruit(id: string, kindOf: (id: string) => FruitKind): FruitKind {
  const [, likeId = '', sg = '', ta = '', ph = '', name = ''] = ID.exec(id) ?? [];
  // No kind of the library has such an id: it is refused as any other that nobody knows.
  if (name === '') return kindOf(id);
  const like = kindOf(likeId);
  return {
    ...like,
    id,
    name,
    sg: around(like.sg, sg),
    taGPerL: around(like.taGPerL, ta),
    ph: around(like.ph, ph),
    note: `Your own, taken to be much like ${like.name}.`,
  };
}
