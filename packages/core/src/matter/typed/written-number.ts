import { CoreError } from '../../base/errors/core-error.js';

/** A number as people write one: `20`, `1.5`, `1,5`, `1,000`, `2 1/4`, `1½`. */
export const NUMBER_PATTERN = String.raw`(?:\d+\s+\d+/\d+|\d+/\d+|\d[\d.,]*)`;

const MIXED = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/;
const THOUSANDS = /^\d{1,3}(?:,\d{3})+(?:\.\d+)?$/;
const PLAIN = /^\d+(?:[.,]\d+)?$/;

/**
 * A text with its fractions, signs and spaces written one way, so that the rest need not know how many ways there are.
 *
 * @param text - as typed
 * @returns such as `2 1/4 cups` for `2¼ cups`
 */
export function plainWriting(text: string): string {
  return text
    .replace(/(\d)\s*(?=[¼½¾⅐-⅞])/gu, '$1 ')
    .normalize('NFKC')
    .replace(/⁄/g, '/')
    .replace(/[−‐‑‒–—]/g, '-')
    .replace(/(\d)\s*\/\s*(?=\d)/g, '$1/')
    .replace(/(^|[\s-])([.,])(?=\d)/g, '$10$2')
    .replace(/\s+/g, ' ')
    .trim();
}

/**
 * Reads one number. A comma before three digits is taken for thousands where the unit is small, and asked about where
 * a thousand of it and one of it are both likely.
 *
 * @param text - a match of {@link NUMBER_PATTERN}, in plain writing
 * @param thousandsLikely - whether a comma before three digits can only mean thousands
 * @returns the number
 * @throws {CoreError} UNREADABLE with `reason` `comma` or `number`
 */
export function writtenNumber(text: string, thousandsLikely: boolean): number {
  const mixed = MIXED.exec(text);
  if (mixed) {
    const [whole, top, bottom] = [Number(mixed[1] ?? 0), Number(mixed[2]), Number(mixed[3])];
    if (bottom === 0 || top >= bottom) throw new CoreError('UNREADABLE', `${text} is not a fraction`, { given: text, reason: 'number' });
    return whole + top / bottom;
  }
  if (THOUSANDS.test(text)) {
    const unsure = !text.includes('.') && text.split(',').length === 2;
    if (unsure && !thousandsLikely) {
      const [whole = '', rest = ''] = text.split(',');
      throw new CoreError('UNREADABLE', `${text} may be ${whole}${rest} or ${whole}.${rest}`, { given: text, reason: 'comma' });
    }
    return Number(text.replace(/,/g, ''));
  }
  if (!PLAIN.test(text)) throw new CoreError('UNREADABLE', `${text} is not one number`, { given: text, reason: 'number' });
  return Number(text.replace(',', '.'));
}
