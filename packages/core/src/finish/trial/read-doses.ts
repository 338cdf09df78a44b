import { CoreError } from '../../base/errors/core-error.js';
import { plainWriting, writtenNumber } from '../../matter/typed/written-number.js';
import { MOST_RANKED } from './taste-tests.js';
import { doseUnitOf, type TrialKind, type TrialSubstance } from './trial-substance.js';

/** Doses that are told apart in most ciders: grams in a litre, or shares. @source our estimate, each step a fifth or more of what is there */
export const USUAL_DOSES: Readonly<Record<TrialKind, readonly number[]>> = {
  sweetener: [0, 8, 16, 30],
  acid: [0, 1, 2, 3],
  tannin: [0, 0.2, 0.4, 0.8],
  sulfite: [0, 0.03, 0.06, 0.1],
  water: [0, 0.1, 0.2, 0.3],
  cider: [0, 0.25, 0.5, 0.75],
};

/** A dose as it is typed: grams or milligrams in a litre, or per cent. */
const typedDose = (substance: Pick<TrialSubstance, 'kind' | 'id'>, dose: number): string =>
  String(Number((dose * doseUnitOf(substance).perDose).toPrecision(4)));

/** Doses as a maker would type them. */
export const dosesText = (substance: TrialSubstance, doses: readonly number[]): string => doses.map((dose) => typedDose(substance, dose)).join('  ');

/**
 * Reads the doses of a trial, written with spaces between them.
 *
 * @param text - such as `0  8  16`, in g/L, of sulfite in mg/L, or for what is poured in per cent
 * @param substance - what they are of
 * @returns g in a litre or shares, as written
 * @throws {CoreError} UNREADABLE for what is no list of two to four numbers, or may be two things; OUT_OF_RANGE for equal ones
 */
export function readDoses(text: string, substance: TrialSubstance): readonly number[] {
  const example = dosesText(substance, USUAL_DOSES[substance.kind]);
  const ask = (why: string): CoreError =>
    new CoreError('UNREADABLE', `${why}. Write two to ${MOST_RANKED} with spaces between them, such as ${example}`, { text });
  const parts = plainWriting(text)
    .replace(/m?g\/L|%|\band\b/gi, ' ')
    .split(/[;\s]+|,(?=\s|$)/)
    .filter((part) => part !== '');
  if (parts.length < 2 || parts.length > MOST_RANKED) throw ask(`That is ${parts.length === 1 ? 'one dose' : `${parts.length} doses`}`);
  const doses = parts.map((part) => {
    if (!/^\d+(?:[.,]\d+)?$/.test(part)) throw ask(`“${part}” is no number that can be read one way`);
    return writtenNumber(part, false) / doseUnitOf(substance).perDose;
  });
  if (new Set(doses).size < doses.length) throw new CoreError('OUT_OF_RANGE', 'two glasses are the same: give each its own dose', { text });
  return doses;
}
