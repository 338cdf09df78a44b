import { TestBed } from '@angular/core/testing';
import { provideMockStore } from '@ngrx/store/testing';
import { DEFAULT_SETTINGS } from '@trug/contract/plain';
import { dayAt, filled, finishedLog, pitched, reading, sampleEntry, sampleView } from '../../../testing/sample-batch';
import { Units } from '../../units/units';
import { levelMm, vesselShape } from '../../shared/vessel/vessel-geometry';
import type { Prices } from '@trug/core/book/summary/batch-cost';
import { cellarCrates } from '../cellar/cellar-crates';
import { shelfItems } from './shelf-items';

const vessels = new Map([['V', { id: 'V', name: 'Big glass', kind: 'carboy' as const, capacityL: 23 }]]);
let units: Units;
beforeEach(() => {
  TestBed.configureTestingModule({ providers: [provideMockStore({ initialState: { settings: { settings: DEFAULT_SETTINGS } } })] });
  units = TestBed.inject(Units);
});
const bottled = (): Parameters<typeof sampleView>[0] => [
  ...finishedLog(),
  sampleEntry('primed', 27, { fermentableId: 'sucrose', massG: 130, mode: 'bulk', targetVolumes: 2.6, warmestSinceEndC: 18 }),
  sampleEntry('bottled', 27, {
    bottles: [{ kindId: 'crown-500', count: 38 }],
    testBottle: true,
    lossL: 0.4,
    crate: 'Lot',
    capColour: 'rust',
    hottestC: 24,
    acknowledged: [],
  }),
  sampleEntry('opened', 60, { kindId: 'crown-500', count: 3 }),
];

describe('shelfItems', () => {
  it('stands a working batch in its vessel, falling', () => {
    const [item] = shelfItems([sampleView([filled(), pitched(), reading(3, 1.04), reading(6, 1.03)], 6)], vessels, dayAt(6), units);
    expect(item).toMatchObject({ name: 'Lot', figure: '1.030', trend: 'down', tapeLine: '1 Oct · 20 L' });
    expect(item?.vessels[0]?.look.working).toBe(true);
    expect(item?.vessels[0]?.fillFraction).toBeCloseTo(20 / 23, 6);
  });
  it('hangs a tag when something is due', () => {
    const log = [filled(), pitched(), reading(7, 1.012), reading(18, 0.999)];
    expect(shelfItems([sampleView(log, 25)], vessels, dayAt(25), units)[0]?.tag).toEqual({ title: 'Read again', when: 'today', late: false });
    expect(shelfItems([sampleView(log, 27)], vessels, dayAt(27), units)[0]?.tag).toMatchObject({ when: '2 days late', late: true });
  });
  it('shows a crate once it is bottled, and no vessel', () => {
    const items = shelfItems([sampleView(bottled(), 60)], vessels, dayAt(60), units);
    expect(items).toHaveLength(1);
    expect(items[0]).toMatchObject({ vessels: [], tapeLine: '35 of 38 left' });
  });
});

const NO_PRICES: Prices = { perLitre: new Map(), perUnit: new Map() };

describe('cellarCrates', () => {
  it('counts what is left and draws it from the top', () => {
    const [crate] = cellarCrates([sampleView(bottled(), 60)], dayAt(60), units, NO_PRICES);
    expect(crate).toMatchObject({ left: 35, filled: 38, isReady: false });
    expect(crate?.caps.filter(Boolean)).toHaveLength(35);
    expect(cellarCrates([sampleView(bottled(), 90)], dayAt(90), units, NO_PRICES)[0]?.isReady).toBe(true);
  });
});

describe('levelMm', () => {
  it.each(['jar', 'carboy', 'bucket', 'cube', 'keg'] as const)('rises with the fill of a %s and never above its brim', (kind) => {
    const shape = vesselShape(kind);
    const levels = [0, 0.2, 0.5, 0.8, 0.95, 1, 1.4].map((f) => levelMm(shape, f));
    expect([...levels].sort((a, b) => a - b)).toEqual(levels);
    expect(levels.at(-1)).toBe(shape.brimMm);
    expect(levels[0]).toBe(0);
  });
});
