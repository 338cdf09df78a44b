import { MatSortHarness } from '@angular/material/sort/testing';
import { MatTableHarness } from '@angular/material/table/testing';
import type { BatchDto } from '@trug/contract/plain';
import { PageHarness } from '../../../testing/page-harness';
import { filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { Ledger } from './ledger';
import { narrowed, sorted, type LedgerRow } from './ledger-rows';

const VESSEL = { id: 'V', name: 'Big glass', kind: 'carboy' as const, capacityL: 23 };
const bottledLog = [
  ...finishedLog(),
  sampleEntry('bottled', 27, {
    bottles: [{ kindId: 'crown-500', count: 2 }],
    testBottle: false,
    lossL: 19,
    crate: 'Still lot',
    capColour: 'plum',
    hottestC: 24,
    acknowledged: [],
  }),
];
const gone = [filled(), sampleEntry('discarded', 5, { volumeL: 20, why: 'vinegar' })];
const as = (batch: BatchDto, id: string, name: string, startedAt: string): BatchDto => ({ ...batch, id, name, startedAt });
const three = [
  as(sampleBatch([filled(), pitched(), reading(3, 1.04), reading(6, 1.03)]), '01B0000000000000000000000A', 'Carton five', '2026-10-01T10:00:00.000Z'),
  as(sampleBatch(bottledLog), '01B0000000000000000000000B', 'Orchard', '2025-09-20T10:00:00.000Z'),
  as(sampleBatch(gone), '01B0000000000000000000000C', 'Sour one', '2025-11-02T10:00:00.000Z'),
];
const open = (settings: object = {}, inputs: Readonly<Record<string, string>> = {}): Promise<PageHarness> =>
  PageHarness.open(Ledger, { batches: three, vessels: [VESSEL], today: 90, settings, inputs });
const rowsOf = async (page: PageHarness): Promise<readonly Record<string, string>[]> => [
  ...(await (await page.harness(MatTableHarness)).getCellTextByColumnName().then((byColumn) => {
    const names = byColumn['name']?.text ?? [];
    return names.map((_none, i) => Object.fromEntries(Object.entries(byColumn).map(([column, { text }]) => [column, text[i] ?? ''])));
  })),
];

describe('the ledger of all batches', () => {
  it('tells of each when it was begun, where it is, what was read, its strength and what is left, newest first', async () => {
    expect(await rowsOf(await open())).toEqual([
      {
        name: 'Carton five',
        begun: '1 Oct 2026',
        where: 'Big glass',
        gravity: '1.048 → 1.030',
        strength: expect.stringMatching(/^2\.\d %$/) as string,
        left: '',
      },
      { name: 'Sour one', begun: '2 Nov 2025', where: 'poured on or away', gravity: '1.048 → 1.048', strength: '', left: '' },
      { name: 'Orchard', begun: '20 Sep 2025', where: 'Still lot', gravity: '1.048 → 0.999', strength: expect.stringContaining('%') as string, left: '2' },
    ]);
  });
  it('finds by any words of its name, place or year, and by where it is', async () => {
    const page = await open();
    await page.type('find', 'orch 2025');
    expect((await rowsOf(page)).map((r) => r['name'])).toEqual(['Orchard']);
    expect(page.text('[role=status]')).toBe('1 of 3 batches');
    await page.type('find', 'nothing like it');
    expect(page.text('table')).toContain('No batch fits that');
    await page.type('find', '');
    await page.choose('year', '2025');
    expect(await rowsOf(page)).toHaveLength(2);
  });
  it('begins with what was looked for on the shelf, and speaks the maker’s units', async () => {
    const page = await open({ gravity: 'Bx' }, { find: 'carton' });
    const [row] = await rowsOf(page);
    expect(row).toMatchObject({ name: 'Carton five', gravity: '11.9 °Bx → 7.6 °Bx' });
  });
  it('sorts by a heading, and back', async () => {
    const page = await open();
    const strength = (await (await page.harness(MatSortHarness)).getSortHeaders({ label: 'Strength' }))[0];
    await strength?.click();
    expect((await rowsOf(page)).map((r) => r['name'])).toEqual(['Carton five', 'Orchard', 'Sour one']);
    await strength?.click();
    expect((await rowsOf(page)).map((r) => r['name'])).toEqual(['Orchard', 'Carton five', 'Sour one']);
  });
});

describe('ledger rows', () => {
  const row = (changes: Partial<LedgerRow>): LedgerRow => ({
    id: 'A',
    name: 'A',
    tape: 'straw',
    is: 'on',
    begunOn: '2026-01-01',
    begun: '',
    where: '',
    gravities: '',
    lastSg: null,
    strength: '',
    abv: null,
    left: 0,
    words: 'a',
    ...changes,
  });
  it('keep what nothing is known of last, whichever way they are sorted', () => {
    const rows = [row({ id: 'none' }), row({ id: 'low', abv: 4 }), row({ id: 'high', abv: 7 })];
    expect(sorted(rows, 'strength', 'asc').map((r) => r.id)).toEqual(['low', 'high', 'none']);
    expect(sorted(rows, 'strength', 'desc').map((r) => r.id)).toEqual(['high', 'low', 'none']);
  });
  it('are narrowed by where they are', () => {
    const rows = [row({ id: 'on' }), row({ id: 'gone', is: 'gone' })];
    expect(narrowed(rows, { find: '', is: 'gone', year: '' }).map((r) => r.id)).toEqual(['gone']);
    expect(narrowed(rows, { find: 'a', is: '', year: '2025' })).toEqual([]);
  });
});
