import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { logOf } from '../../testing/made-logs.js';
import { SAMPLE_PAYLOADS } from '../../testing/sample-payloads.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import type { ComparedPayload } from './compared.js';

const drinks = ['Row', 'Terrace', 'Hollow'].map((name, i) => ({ batchId: `B${i}`, name, crateId: null }));
const make = logOf();
const entry = (changes: Partial<ComparedPayload>) => make.entry('compared', 30, { ...SAMPLE_PAYLOADS.compared, drinks, text: '', ...changes });
const of = (changes: Partial<ComparedPayload>): string => {
  const { lead, rest } = describeEntry(entry(changes), DEFAULT_UNITS);
  return `${lead} ${rest}`;
};
const judged = (...orders: readonly (readonly number[])[]) => orders.map((said, i) => ({ name: `T${i}`, said }));

describe('drinks side by side', () => {
  it('stand in the log of each with what came of it for that one', () => {
    const orders = judged([1, 0, 2], [1, 2, 0], [0, 1, 2]);
    expect(of({ own: 1, judged: orders })).toBe('Tasted blind beside Row and Hollow · liked best · 3 tasters');
    expect(of({ own: 0, judged: orders })).toBe('Tasted blind beside Terrace and Hollow · place 2 of 3 · 3 tasters');
    expect(of({ own: 2, judged: orders, text: 'thin' })).toBe('Tasted blind beside Row and Terrace · place 3 of 3 · 3 tasters · thin');
  });
  it('say where nobody came first alone, and how many found the odd one', () => {
    expect(of({ own: 0, judged: judged([0, 1, 2], [1, 0, 2]) })).toContain('nobody came first alone');
    expect(of({ own: 0, way: 'triangle', drinks: drinks.slice(0, 2), judged: judged([1], [0], [1]) })).toContain('beside Terrace · 2 of 3 told them apart');
  });
  it('are refused in the log of a batch that was none of them', () => {
    const log = make.dryAt(0.998);
    expect(replay([...log, entry({ own: 2 })]).issues).toEqual([]);
    expect(replay([...log, entry({ own: 2, drinks: drinks.slice(0, 2) })]).issues).toHaveLength(1);
  });
});
