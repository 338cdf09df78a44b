/** A source of random numbers that repeats itself for the same seed. */
export interface Random {
  /** Uniform over 0–1, one excluded. */
  readonly uniform: () => number;
  /** Standard normal. */
  readonly normal: () => number;
}

/**
 * A seeded generator, so that the same question gets the same answer.
 *
 * @param seed - any whole number
 * @returns uniform and normal draws
 * @source mulberry32 (public domain, T. Ettinger); normals by Box and Muller (1958)
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  let spare: number | null = null;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const normal = (): number => {
    if (spare !== null) {
      const value = spare;
      spare = null;
      return value;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
    const angle = 2 * Math.PI * uniform();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
  return { uniform, normal };
}
