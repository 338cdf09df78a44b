import { mentions } from './mentions.js';
import { daysBetween, dayText } from '../../matter/quantity/days.js';
import type { Evidence, FermentStatus } from './verdict.js';
import { isAtRest } from './verdict.js';

/** Something seen or smelt in passing: it may point somewhere, and never proves anything. */
export interface Hint {
  readonly at: string;
  readonly of: 'bubbles' | 'clarity' | 'smell';
  readonly is: 'none' | 'some' | 'lively' | 'clear' | 'hazy' | 'egg';
}

/** Older hints say nothing about now, days. @source our estimate */
const FRESH_DAYS = 21;

/**
 * Reads hints out of words a maker wrote in passing.
 *
 * @param at - when, ISO 8601
 * @param text - the words
 * @returns hints of clarity and smell
 */
export function hintsInWords(at: string, text: string): readonly Hint[] {
  const hints: Hint[] = [];
  if (/\b(not|never|won.t|will not|isn.t) (yet )?clear/i.test(text) || mentions(text, /haz[ye]|cloudy/i)) hints.push({ at, of: 'clarity', is: 'hazy' });
  else if (/\b(clear enough|clear now|cleared|is clear|bright|crystal)\b|^clear\b/i.test(text)) hints.push({ at, of: 'clarity', is: 'clear' });
  if (mentions(text, /\begg(y|s)?\b/i)) hints.push({ at, of: 'smell', is: 'egg' });
  return hints;
}

/**
 * Hints beside a verdict: named as hints, whichever way they point.
 *
 * @param hints - in any order
 * @param status - the verdict they stand beside, which they never change
 * @param today - ISO 8601
 * @param zone - IANA time zone of the maker
 * @returns at most one line for bubbles, clarity and smell each, the newest
 */
export function hintEvidence(hints: readonly Hint[], status: FermentStatus, today: string, zone?: string): readonly Evidence[] {
  return (['bubbles', 'clarity', 'smell'] as const).flatMap((of) => {
    const newest = hints.filter((h) => h.of === of).reduce<Hint | null>((last, h) => (last === null || h.at >= last.at ? h : last), null);
    if (!newest || daysBetween(newest.at, today) > FRESH_DAYS) return [];
    return lineOf(newest, isAtRest(status), zone) ?? [];
  });
}

function lineOf({ at, is }: Hint, proven: boolean, zone?: string): Evidence | null {
  const on = dayText(at, false, zone);
  switch (is) {
    case 'none':
      return proven ? null : { text: `No bubbles on ${on}: a hint at most, a quiet airlock proves nothing`, speaks: 'note' };
    case 'some':
    case 'lively':
      return proven
        ? { text: `Bubbles on ${on}: gas may only be leaving as it warms, but read it once more before you seal it`, speaks: 'against' }
        : { text: `Bubbles on ${on}: a hint that it works, no measure of it`, speaks: 'note' };
    case 'clear':
      return proven ? null : { text: `Clear on ${on}: often so near the end, and no proof of it`, speaks: 'note' };
    case 'hazy':
      return proven ? { text: `Hazy on ${on}: that says nothing against its end`, speaks: 'note' } : null;
    case 'egg':
      return proven ? null : { text: `Bad eggs on ${on}: hungry yeast as a rule, so a sign of life`, speaks: 'note' };
  }
}
