import type { ProblemField } from '@trug/contract/plain';

type Details = Readonly<Record<string, number>>;

const range = ({ min, max }: Details): string => `It must lie between ${min} and ${max}. Look at the unit and the point.`;

/** A rule of the contract in words for whoever typed: what is wrong and what to do. */
const WORDS: Readonly<Record<string, (details: Details) => string>> = {
  isNotEmpty: () => 'Write something here: it is needed.',
  maxLength: ({ max }) => `That is longer than the ${max} characters there is room for. Say it shorter.`,
  isNumber: () => 'Write it as a number, such as 3.4.',
  isInt: () => 'Write a whole number.',
  day: () => 'That is no day the calendar has. Write it as 16 Oct 2026.',
  min: range,
  max: range,
};

/**
 * Why the contract refuses a field, in words. Every refusal by a rule is worded here, whoever noticed it.
 *
 * @param field - its path, the rule and the rule's figures
 * @returns a sentence or two
 */
export function refusalText({ code, message, details = {} }: ProblemField): string {
  return WORDS[code]?.(details) ?? `Trug cannot take that: ${message}.`;
}

/** Several of them, each said once. */
export const refusalsText = (fields: readonly ProblemField[]): string => [...new Set(fields.map(refusalText))].join(' ');
