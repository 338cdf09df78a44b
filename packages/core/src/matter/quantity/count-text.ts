/**
 * A number of things in words that agree with it.
 *
 * @param count - how many; shown as it is
 * @param one - the word for one of them, which takes an s for more
 * @returns such as `1 vessel`, `2 vessels` or `0.5 tablets`
 */
export const countText = (count: number, one: string): string => `${count} ${count === 1 ? one : `${one}s`}`;
