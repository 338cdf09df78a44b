import type { NamedBatch } from './scribble-types.js';

/** Words between an act and the vessel it was done to. */
const BEFORE = String.raw`(?:(?:\b(?:in|into|to|on|at|from|the)\s+)*)`;
/** A shorter beginning of a name may be any word. */
const LEAST_LETTERS = 3;

const escaped = (name: string): string =>
  name
    .trim()
    .replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
    .replace(/\s+/g, String.raw`\s+`);

/** What a line says apart from the batch it names. */
export interface WithoutBatch {
  readonly batchIds: readonly string[];
  readonly rest: string;
}

/**
 * Which batch a line names: by its whole name or a vessel's, the longest that stands in it; else by the word it begins with.
 *
 * @param line - in plain writing
 * @param batches - those it may be about
 * @param isKnownWord - whether a word means something else, such as an act
 * @returns the batches it may mean, and the line without the name; the whole line where none was named
 */
export function batchNamedIn(line: string, batches: readonly NamedBatch[], isKnownWord: (word: string) => boolean): WithoutBatch {
  const names = batches.flatMap(({ id, names: own }) => own.filter((name) => name.trim() !== '').map((name) => ({ id, name: name.trim() })));
  const found = names
    .map((named) => ({ ...named, match: new RegExp(String.raw`${BEFORE}(?<![\p{L}\d])${escaped(named.name)}(?![\p{L}\d]|[.,]\d)\s*:?`, 'iu').exec(line) }))
    .filter(({ match }) => match !== null)
    .sort((a, b) => b.name.length - a.name.length);
  const longest = found[0];
  if (longest?.match) {
    const { length } = longest.name;
    const ids = new Set(found.filter(({ name }) => name.length === length && name.toLowerCase() === longest.name.toLowerCase()).map(({ id }) => id));
    return { batchIds: [...ids], rest: without(line, longest.match.index, longest.match[0].length) };
  }
  const [first = ''] = /^[\p{L}']+/u.exec(line) ?? [];
  if (first.length < LEAST_LETTERS || isKnownWord(first)) return { batchIds: [], rest: line };
  const begins = new RegExp(String.raw`(?<![\p{L}\d])${escaped(first)}(?![\p{L}\d])`, 'iu');
  const meant = new Set(names.filter(({ name }) => begins.test(name)).map(({ id }) => id));
  return meant.size === 0 ? { batchIds: [], rest: line } : { batchIds: [...meant], rest: without(line, 0, first.length).replace(/^\s*:\s*/, '') };
}

const without = (line: string, from: number, length: number): string => `${line.slice(0, from)} ${line.slice(from + length)}`.replace(/\s+/g, ' ').trim();
