/** Words just before that turn a sign round. */
const DENIED = /\b(no|not|without|gone|never|lost)\b[^.!?;]{0,24}$/i;
const GONE_AFTER = /^[^.!?;]{0,24}\b(gone|went|faded|cleared)\b/i;

/**
 * Whether a maker's words say that something is there, and not that it is missing or gone.
 *
 * @param text - what was written
 * @param words - how it is said
 * @returns whether its first mention stands
 */
export function mentions(text: string, words: RegExp): boolean {
  const match = words.exec(text);
  if (!match) return false;
  return !DENIED.test(text.slice(0, match.index)) && !GONE_AFTER.test(text.slice(match.index + match[0].length));
}
