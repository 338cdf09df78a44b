import 'reflect-metadata';
import { checkDto } from '../validation/check-dto.js';
import { SupplyDto } from '../supplies/supply.dto.js';
import { JuiceDto } from './juice.dto.js';

const ID = '01J00000000000000000000000';
const JUICE = {
  id: ID,
  version: 0,
  name: 'Russet row',
  tape: 'straw',
  origin: 'pressed',
  fruit: 'apple',
  fruitId: 'egremont-russet',
  madeAt: '2026-11-21T10:00:00.000Z',
  volumeL: 17.5,
  gravity: { instrument: 'hydrometer', reading: 1.056, sampleC: 14, calibratedAtC: 20, offsetSg: 0 },
  ph: 3.4,
  taGPerL: null,
  tanninGPerL: null,
  yanMgPerL: null,
  costPerL: null,
  preserved: false,
  vitaminC: false,
  pressing: {
    pressId: 'hand-mill-basket',
    lots: [{ fruitId: null, massKg: 31, ripeness: 'mellow', condition: 'sound' }],
    runs: [{ at: '2026-11-21T10:00:00.000Z', volumeL: 9, into: 'white jug' }],
  },
  steeping: null,
  goneL: 0,
  note: '',
};
const SUPPLY = {
  id: ID,
  version: 0,
  kind: 'yeast',
  refId: 'crisp-cider',
  name: 'Crisp cider type',
  amount: 2,
  unit: 'packet',
  packetG: 5,
  bestBefore: '2027-05-31',
};
const refused = (type: typeof JuiceDto | typeof SupplyDto, plain: object): string[] => {
  const check = checkDto<object>(type, plain);
  return check.ok ? [] : check.fields.map((f) => f.path);
};

describe('JuiceDto', () => {
  it('takes a pressed juice and a bought one of which nothing was measured', () => {
    expect(refused(JuiceDto, JUICE)).toEqual([]);
    expect(refused(JuiceDto, { ...JUICE, origin: 'bought', gravity: null, ph: null, pressing: null })).toEqual([]);
  });
  it.each<[string, object, string]>([
    ['a negative volume', { volumeL: -2 }, 'volumeL'],
    ['pH 35', { ph: 35 }, 'ph'],
    ['no name', { name: '' }, 'name'],
    ['a gravity without its point', { gravity: { ...JUICE.gravity, reading: 1056 } }, 'gravity.reading'],
    ['fruit of a weight below nothing', { pressing: { ...JUICE.pressing, lots: [{ ...JUICE.pressing.lots[0], massKg: -1 }] } }, 'pressing.lots.0.massKg'],
    ['an empty run', { pressing: { ...JUICE.pressing, runs: [{ ...JUICE.pressing.runs[0], volumeL: 0 }] } }, 'pressing.runs.0.volumeL'],
    [
      'fruit in a state nobody knows',
      { pressing: { ...JUICE.pressing, lots: [{ ...JUICE.pressing.lots[0], condition: 'mouldy' }] } },
      'pressing.lots.0.condition',
    ],
    ['something beside', { colour: 'gold' }, 'colour'],
  ])('refuses %s', (_what, changes, path) => {
    expect(refused(JuiceDto, { ...JUICE, ...changes })).toContain(path);
  });
});

describe('SupplyDto', () => {
  it('takes a packet with a date and a jar without one', () => {
    expect(refused(SupplyDto, SUPPLY)).toEqual([]);
    expect(refused(SupplyDto, { ...SUPPLY, kind: 'acid', refId: 'malic', unit: 'g', packetG: null, bestBefore: null })).toEqual([]);
  });
  it.each<[string, object, string]>([
    ['a day that is none', { bestBefore: '31.5.2027' }, 'bestBefore'],
    ['less than nothing', { amount: -1 }, 'amount'],
    ['a kind of magic', { kind: 'magic' }, 'kind'],
    ['a packet of nothing', { packetG: 0 }, 'packetG'],
  ])('refuses %s', (_what, changes, path) => {
    expect(refused(SupplyDto, { ...SUPPLY, ...changes })).toContain(path);
  });
});
