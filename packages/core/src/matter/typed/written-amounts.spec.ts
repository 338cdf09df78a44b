import { CoreError } from '../../base/errors/core-error.js';
import { kitchenWeights } from '../../book/cupboard/kitchen-weights.js';
import { saidWhen } from '../../book/scribble/scribble-day.js';
import { WRITTEN } from '../../testing/written-amounts.js';
import { parseHour } from '../quantity/hour.js';
import { parseQuantity, type ParseQuantityOptions } from './parse-quantity.js';

type Row = readonly [text: string, meant: string];
const rowsOf = (table: string): readonly Row[] =>
  table
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const [, text = '', meant = ''] = /^\s*(.*?) (= ?.*|\? .*)$/.exec(line) ?? [];
      return [text, meant];
    });
const READ_AS: Readonly<Record<Exclude<keyof typeof WRITTEN, 'day' | 'hour'>, ParseQuantityOptions>> = {
  volume: { dimension: 'volume', gallon: 'us' },
  imperialVolume: { dimension: 'volume', gallon: 'imperial' },
  mass: { dimension: 'mass' },
  enzyme: { dimension: 'mass', ...kitchenWeights('enzyme', null) },
  sugar: { dimension: 'mass', ...kitchenWeights('sugar', 'sucrose') },
  citric: { dimension: 'mass', ...kitchenWeights('acid', 'citric') },
  tannin: { dimension: 'mass', ...kitchenWeights('tannin', null) },
  temperature: { dimension: 'temperature' },
  fahrenheit: { dimension: 'temperature', bareUnit: 'degF' },
  gravity: { dimension: 'gravity' },
};

/** What is read, or the words of the refusal. */
function outcome(text: string, options: ParseQuantityOptions): number | string {
  try {
    return parseQuantity(text, options).value;
  } catch (cause) {
    if (!(cause instanceof CoreError)) throw cause;
    return cause.message;
  }
}

describe.each(Object.entries(READ_AS))('%s', (table, options) => {
  it.each(rowsOf(WRITTEN[table as keyof typeof READ_AS]))('“%s” %s', (text, meant) => {
    const read = outcome(text, options);
    if (meant.startsWith('? ')) {
      expect(read).toEqual(expect.stringContaining(meant.slice(2)));
      return;
    }
    const value = Number(meant.slice(1));
    expect(meant.slice(1).trim()).not.toBe('');
    // Brix is known to a tenth of a point by hand.
    expect(read).toEqual(expect.closeTo(value, /b(x|rix)/i.test(text) ? 4 : 7));
  });
});
it.each(rowsOf(WRITTEN.day))('the day “%s” %s', (text, meant) => expect(saidWhen(text, '2026-11-27').day).toBe(meant.slice(1).trim()));
it.each(rowsOf(WRITTEN.hour))('the hour “%s” %s', (text, meant) => expect(parseHour(text) ?? '').toBe(meant.slice(1).trim()));
it('are more than 300', () => expect(Object.values(WRITTEN).flatMap(rowsOf).length).toBeGreaterThan(300));
