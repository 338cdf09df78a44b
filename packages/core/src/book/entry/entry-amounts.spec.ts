import { SAMPLE_PAYLOADS } from '../../testing/sample-payloads.js';
import type { EntryPayloads, Replacement } from './entry.js';
import { amountsOf, withAmounts, type AmountMeasure } from './entry-amounts.js';

type Kind = Replacement['kind'];
const ofKind = <K extends Kind>(kind: K, payload: EntryPayloads[K]): Replacement =>
  ({ id: 'E', batchId: 'B', kind, at: '2026-10-01T10:00:00.000Z', writtenAt: '2026-10-01T10:00:00.000Z', note: 'as told', payload }) as Replacement;

/** Of an entry: the amount, how it is written, what it is, what it is made, and what the entry then says that it did not. */
type Row = readonly [entry: Replacement, key: string, measure: AmountMeasure, was: number, made: number, says: object];

const KINDS = Object.keys(SAMPLE_PAYLOADS).filter((kind): kind is Kind => kind !== 'corrected');
const sample = <K extends Kind>(kind: K): Replacement => ofKind(kind, SAMPLE_PAYLOADS[kind]);
const yeast = SAMPLE_PAYLOADS.pitched;
const bottled = SAMPLE_PAYLOADS.bottled;
const two = [
  { vesselId: 'V', volumeL: 12 },
  { vesselId: 'W', volumeL: 7 },
];
const sulfite = ofKind('addition', { what: 'sulfite', so2MgPerL: 50, supplies: [{ supplyId: 'S', amount: 2 }] });

const ROWS: readonly Row[] = [
  [sample('filled'), 'volumeL', 'volume', 20, 18, { volumeL: 18, vessels: [{ vesselId: 'V', volumeL: 18 }] }],
  [ofKind('filled', { ...SAMPLE_PAYLOADS.filled, vessels: [] }), 'volumeL', 'volume', 20, 18, { volumeL: 18, vessels: [] }],
  [ofKind('addition', { what: 'water', volumeL: 2 }), 'volumeL', 'volume', 2, 3, { volumeL: 3 }],
  [sulfite, 'so2MgPerL', 'mg/L', 50, 75, { so2MgPerL: 75, supplies: [{ supplyId: 'S', amount: 3 }] }],
  [ofKind('addition', { what: 'sulfite', so2MgPerL: 50 }), 'so2MgPerL', 'mg/L', 50, 75, { so2MgPerL: 75 }],
  [sample('addition'), 'massG', 'mass', 300, 150, { massG: 150, supplies: [{ supplyId: 'S', amount: 150 }] }],
  [sample('pitched'), 'massG', 'mass', 5, 10, { massG: 10, supplies: [{ supplyId: 'Y', amount: 2 }] }],
  [sample('pitched'), 'juiceC', 'temperature', 18, 22, { juiceC: 22 }],
  [sample('sweetened'), 'massG', 'mass', 200, 250, { massG: 250 }],
  [sample('infused'), 'massG', 'mass', 800, 900, { massG: 900 }],
  [sample('clarified'), 'massG', 'mass', 20, 30, { massG: 30, supplies: [{ supplyId: 'C', amount: 30 }] }],
  [sample('primed'), 'massG', 'mass', 120, 100, { massG: 100 }],
  [ofKind('racked', { vessels: two, lossL: 1 }), 'vessel-0', 'volume', 12, 11, { vessels: [{ vesselId: 'V', volumeL: 11 }, two[1]] }],
  [ofKind('racked', { vessels: two, lossL: 1 }), 'vessel-1', 'volume', 7, 6, { vessels: [two[0], { vesselId: 'W', volumeL: 6 }] }],
  [sample('racked'), 'lossL', 'volume', 1, 0.5, { lossL: 0.5 }],
  [sample('strained'), 'vessel-0', 'volume', 5, 4.5, { vessels: [{ vesselId: 'J', volumeL: 4.5 }] }],
  [sample('moved'), 'tempC', 'temperature', 9, 12, { tempC: 12 }],
  [sample('stabilised'), 'so2MgPerL', 'mg/L', 50, 60, { so2MgPerL: 60 }],
  [sample('stabilised'), 'sorbateMgPerL', 'mg/L', 150, 200, { sorbateMgPerL: 200 }],
  [sample('bottled'), 'bottles-0', 'count', 30, 28, { bottles: [{ kindId: 'crown-500', count: 28 }] }],
  [
    ofKind('bottled', { ...bottled, bottles: [...bottled.bottles, { kindId: 'sparkling-750', count: 4 }] }),
    'bottles-1',
    'count',
    4,
    5,
    { bottles: [...bottled.bottles, { kindId: 'sparkling-750', count: 5 }] },
  ],
  [sample('bottled'), 'lossL', 'volume', 0.4, 0.2, { lossL: 0.2 }],
  [sample('discarded'), 'volumeL', 'volume', 0.5, 1, { volumeL: 1 }],
];

describe('an amount that an entry states', () => {
  it.each(ROWS.map((row) => [row[0].kind, row[1], row] as const))(
    'of one %s: %s is put right, and nothing else',
    (_kind, key, [entry, , measure, was, made, says]) => {
      expect(amountsOf(entry).find((amount) => amount.key === key)).toMatchObject({ measure, value: was });
      expect(withAmounts(entry, new Map([[key, made]]))).toEqual({ ...entry, payload: { ...entry.payload, ...says } });
    },
  );

  it('is one of those above for every kind: another that states one is put to the same', () => {
    const stated = KINDS.flatMap((kind) => amountsOf(sample(kind)).map(({ key }) => `${kind} ${key}`));
    const told = new Set(ROWS.map(([{ kind }, key]) => `${kind} ${key}`));
    expect(stated.filter((each) => !told.has(each))).toEqual([]);
  });

  it('is none where nobody measured it, where nothing was weighed, or where several vessels hold what it fills', () => {
    expect(amountsOf(ofKind('clarified', { means: 'cold', massG: 0, waitDays: 14 }))).toEqual([]);
    expect(amountsOf(ofKind('pitched', { ...yeast, juiceC: null })).map(({ key }) => key)).toEqual(['massG']);
    expect(amountsOf(ofKind('filled', { ...SAMPLE_PAYLOADS.filled, vessels: two }))).toEqual([]);
  });

  it('leaves what came from the cupboard as it was where its share of nothing cannot be told', () => {
    const none = ofKind('addition', { what: 'fermentable', fermentableId: 'sucrose', massG: 0, supplies: [{ supplyId: 'S', amount: 3 }] });
    expect(withAmounts(none, new Map([['massG', 10]]))).toMatchObject({ payload: { massG: 10, supplies: [{ supplyId: 'S', amount: 3 }] } });
  });

  it('names the vessel that it stands in, and nothing where it stands in none', () => {
    expect(amountsOf(ofKind('racked', { vessels: two, lossL: 1 })).map(({ vesselId }) => vesselId)).toEqual(['V', 'W', undefined]);
    expect('vesselId' in (amountsOf(sample('primed'))[0] ?? {})).toBe(false);
  });

  it('is refused by its name where the entry states none such', () => {
    expect(() => withAmounts(sample('primed'), new Map([['lossL', 1]]))).toThrow(
      expect.objectContaining({ code: 'NOT_ALLOWED', details: { key: 'lossL' } }) as Error,
    );
  });
});
