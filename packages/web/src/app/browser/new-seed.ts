/** A number that nobody can guess, from which an order is drawn that can be told again. */
export const newSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;
