import { mentions } from '../../ferment/verdict/mentions.js';
import { dayText } from '../../matter/quantity/days.js';
import type { FaultAnswers, FaultQuestionId } from './fault-questions.js';

/** Something a maker wrote that answers a question of the fault finder. */
export interface NotedSign {
  readonly question: FaultQuestionId;
  readonly answer: string;
  /** Where it was written. */
  readonly from: string;
}

const WORDS: readonly { readonly question: FaultQuestionId; readonly answer: string; readonly words: RegExp }[] = [
  { question: 'smell', answer: 'egg', words: /\b(bad|rotten) eggs?|\begg(y|s)?\b|struck match|sulphur|sulfur/i },
  { question: 'smell', answer: 'vinegar', words: /vinegar|acetic/i },
  { question: 'smell', answer: 'solvent', words: /nail varnish|\bglue\b|solvent|acetone/i },
  { question: 'smell', answer: 'mouse', words: /\bmous(e|y)|stale biscuit/i },
  { question: 'smell', answer: 'stable', words: /\bstable\b|barnyard|horse|sticking plaster/i },
  { question: 'smell', answer: 'geranium', words: /geranium/i },
  { question: 'smell', answer: 'stale', words: /sherry|cardboard|\bstale\b(?! biscuit)/i },
  { question: 'smell', answer: 'banana', words: /banana/i },
  { question: 'smell', answer: 'musty', words: /\bmusty\b|mouldy smell/i },
  { question: 'surface', answer: 'fur', words: /\bfur(ry)?\b|green spots|black spots/i },
  { question: 'surface', answer: 'film', words: /white (film|skin|bloom|islands)|\bfilm\b/i },
  { question: 'pour', answer: 'strings', words: /\brop(e|y)\b|slimy|in strings|stringy/i },
  { question: 'pour', answer: 'oil', words: /\boily\b|like oil/i },
  { question: 'hazeTest', answer: 'pectin', words: /strings in (the )?spirit|\bpectin haze\b/i },
  { question: 'hazeTest', answer: 'starch', words: /blue with iodine|\bstarch haze\b/i },
  { question: 'look', answer: 'cold-haze', words: /haz[ye] when cold|chill haze/i },
  { question: 'look', answer: 'silky', words: /silky swirl/i },
  { question: 'look', answer: 'milky', words: /\bmilky\b/i },
  { question: 'look', answer: 'haze', words: /\bhaz[ey]|cloudy|will not clear/i },
  { question: 'fizz', answer: 'gush', words: /gush/i },
];
/** How a note begins that the fault finder itself wrote; it is no new sign. */
export const FAULT_NOTE_LEAD = 'Looked for a fault.';

/**
 * Signs a maker wrote down in passing, the newest of each question.
 *
 * @param notes - what was written and when, in any order
 * @param zone - IANA time zone of the maker
 * @returns one sign a question at most
 */
export function signsInNotes(notes: readonly { readonly at: string; readonly text: string }[], zone?: string): readonly NotedSign[] {
  const found = new Map<FaultQuestionId, NotedSign>();
  const own = notes.filter(({ text }) => !text.startsWith(FAULT_NOTE_LEAD));
  for (const { at, text } of own.sort((a, b) => (a.at < b.at ? 1 : -1))) {
    for (const { question, answer, words } of WORDS) {
      if (!found.has(question) && mentions(text, words)) found.set(question, { question, answer, from: `your note of ${dayText(at, false, zone)}: “${text}”` });
    }
  }
  return [...found.values()];
}

/** The signs as answers. */
export function answersOf(signs: readonly NotedSign[]): FaultAnswers {
  return Object.fromEntries(signs.map((s) => [s.question, s.answer]));
}
