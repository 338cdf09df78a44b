import { seededRandom, type Random } from '../../base/numeric/random.js';

/** A tasting in which nobody knows which glass is which. */
export interface BlindOrder {
  /** What is written on each glass: three figures that tell nothing. */
  readonly codes: readonly number[];
  /** For each who tastes, the glasses by number in the order they are to be tasted. */
  readonly served: readonly (readonly number[])[];
}

const FIRST_CODE = 101;
const CODES = 899;

function shuffled<T>(list: readonly T[], random: Random): readonly T[] {
  const left = [...list];
  return list.flatMap(() => left.splice(Math.floor(random.uniform() * left.length), 1));
}

/**
 * Codes for glasses, and in which order each taster has them: each begins with another glass, so that none gains by being first.
 *
 * @param input - how many glasses and tasters, and a seed, by which it can be told again
 * @source a shuffled order turned on by one for each taster, for every second one the others backwards
 */
export function blindOrder({ glasses, tasters, seed }: { readonly glasses: number; readonly tasters: number; readonly seed: number }): BlindOrder {
  const random = seededRandom(seed);
  const codes = new Set<number>();
  while (codes.size < glasses) codes.add(FIRST_CODE + Math.floor(random.uniform() * CODES));
  const first = shuffled(
    Array.from({ length: glasses }, (_none, i) => i),
    random,
  );
  const served = Array.from({ length: tasters }, (_none, taster) => {
    const [own = 0, ...others] = first.map((_glass, i) => first[(i + taster) % glasses] ?? 0);
    return [own, ...(taster % 2 === 1 ? others.reverse() : others)];
  });
  return { codes: [...codes], served };
}

/** For each who tastes, which two of the two drinks are poured twice: three glasses, of which one is odd. */
export interface Triangle {
  readonly codes: readonly number[];
  /** Which drink, 0 or 1, is in each of the three. */
  readonly drinks: readonly number[];
  /** The glass that is alone. */
  readonly odd: number;
}

/**
 * Three glasses for each taster, one of them of the other drink, all six ways of pouring used alike.
 *
 * @param input - how many taste, and a seed
 */
export function trianglesFor({ tasters, seed }: { readonly tasters: number; readonly seed: number }): readonly Triangle[] {
  const random = seededRandom(seed);
  const ways = shuffled([0, 1, 2, 3, 4, 5], random);
  return Array.from({ length: tasters }, (_none, taster) => {
    const way = ways[taster % ways.length] ?? 0;
    const [odd, other] = [way % 3, way < 3 ? 0 : 1];
    const codes = blindOrder({ glasses: 3, tasters: 0, seed: seed + taster + 1 }).codes;
    return { codes, drinks: [0, 1, 2].map((glass) => (glass === odd ? 1 - other : other)), odd };
  });
}
