import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry, EntryKind, EntryPayloads } from '../entry/entry.js';
import { shareOfSupply, suppliesUsed } from './supplies-left.js';

const entry = <K extends EntryKind>(id: string, kind: K, payload: EntryPayloads[K]): Entry =>
  ({ id, batchId: 'B', kind, at: `2026-11-0${id.slice(-1)}T10:00:00.000Z`, writtenAt: '2026-11-01T10:00:00.000Z', note: '', payload }) as Entry;
const pitch = entry('A1', 'pitched', {
  yeastId: 'crisp-cider',
  massG: 5,
  method: 'sprinkled',
  juiceC: null,
  supplies: [{ supplyId: 'YEAST', amount: 1.5 }],
});
const sugar = entry('A2', 'addition', { what: 'fermentable', fermentableId: 'sucrose', massG: 400, supplies: [{ supplyId: 'SUGAR', amount: 400 }] });

describe('suppliesUsed', () => {
  it('sums what a batch took of each', () => {
    expect(suppliesUsed([pitch, { ...pitch, id: 'A9' }, sugar])).toEqual([
      { id: 'YEAST', amount: 3 },
      { id: 'SUGAR', amount: 400 },
    ]);
  });
  it('puts back what a struck-out entry took', () => {
    const strike = entry('A3', 'corrected', { entryId: 'A1', replacement: null });
    expect(suppliesUsed(effectiveEntries([pitch, sugar, strike]).entries).map((u) => u.id)).toEqual(['SUGAR']);
  });
});

describe('shareOfSupply', () => {
  const packets = { unit: 'packet' as const, packetG: 5, left: 3 };
  it.each([
    [1, 0.5],
    [2.6, 0.5],
    [3.2, 1],
    [5.4, 1],
    [6, 1.5],
    [40, 3],
  ])('takes %d g as %d packets of 5 g', (amount, taken) => {
    expect(shareOfSupply({ amount, unit: 'g' }, packets)).toBe(taken);
  });
  it('takes no more than there is, and nothing it cannot count', () => {
    expect(shareOfSupply({ amount: 900, unit: 'g' }, { unit: 'g', packetG: null, left: 250 })).toBe(250);
    expect(shareOfSupply({ amount: 2, unit: 'tablet' }, packets)).toBeNull();
    expect(shareOfSupply({ amount: 2, unit: 'g' }, { unit: 'packet', packetG: null, left: 3 })).toBeNull();
    expect(shareOfSupply({ amount: 0, unit: 'g' }, packets)).toBeNull();
    expect(shareOfSupply({ amount: 5, unit: 'g' }, { ...packets, left: 0 })).toBeNull();
  });
});
