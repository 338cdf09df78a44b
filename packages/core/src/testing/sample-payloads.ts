import { BLANK_SHEET } from '../finish/taste/taste-sheet.js';
import type { EntryKind, EntryPayloads } from '../book/entry/entry.js';
import { liquidFromReadings } from '../matter/liquid/liquid-from-readings.js';
import type { RawGravity } from '../matter/measure/raw-gravity.js';

const raw = (reading: number): RawGravity => ({ instrument: 'hydrometer', reading, sampleC: 18, calibratedAtC: 20, offsetSg: 0 });
const vessels = [{ vesselId: 'V', volumeL: 19 }];

/** One right payload of every kind: what the compiler finds missing here, a new kind lacks. */
export const SAMPLE_PAYLOADS: { readonly [K in EntryKind]: EntryPayloads[K] } = {
  filled: {
    source: 'juice of the row',
    fruit: 'apple',
    volumeL: 20,
    gravity: raw(1.05),
    ph: 3.5,
    taGPerL: 6,
    tanninGPerL: null,
    yanMgPerL: null,
    vessels: [{ vesselId: 'V', volumeL: 20 }],
    tempC: 15,
  },
  steeped: {
    fruitKg: 3,
    fruitId: null,
    source: 'fruit of the garden',
    liquid: liquidFromReadings({ volumeL: 5.5, sg: 1.07, fruit: 'apple' }),
    hot: true,
    loose: false,
    waterL: 4,
    sugars: [{ fermentableId: 'sucrose', massG: 700 }],
    acidG: 8,
    teaCups: 2,
    driedFruitG: 0,
    days: 4,
    vessels: [{ vesselId: 'V', volumeL: 7.5 }],
    tempC: 20,
    supplies: [{ supplyId: 'S', amount: 700 }],
  },
  blended: {
    parts: [{ from: 'juice', sourceId: 'J', name: 'Row', liquid: liquidFromReadings({ volumeL: 2, sg: 1.048, fruit: 'apple' }), yeastId: null }],
    vessels: [{ vesselId: 'V', volumeL: 22 }],
    tempC: null,
  },
  split: { into: [{ batchId: 'B2', name: 'Row B', volumeL: 4 }], vessels: [{ vesselId: 'V', volumeL: 16 }], lossL: 0, why: 'another yeast' },
  reading: { gravity: raw(1.04), ph: 3.4, taGPerL: null, placeC: 14, insistedOn: [], bubbles: 'some', smell: 'apples' },
  addition: { what: 'fermentable', fermentableId: 'sucrose', massG: 300, supplies: [{ supplyId: 'S', amount: 300 }] },
  pitched: { yeastId: 'crisp-cider', massG: 5, method: 'rehydrated', juiceC: 18, supplies: [{ supplyId: 'Y', amount: 1 }] },
  stepped: { plan: 'starter', done: 'Warm it', step: 1, of: 3, next: 'Wait', waitMin: 60 },
  stirred: {},
  strained: { vessels: [{ vesselId: 'J', volumeL: 5 }], squeezed: false },
  moved: { place: 'the shed', tempC: 9 },
  racked: { vessels, lossL: 1 },
  clarified: { means: 'bentonite', massG: 20, waitDays: 7, supplies: [{ supplyId: 'C', amount: 20 }] },
  malolactic: { turnedFraction: 0.4, wanted: true, bacteria: false, done: false },
  vented: { vent: 'tube' },
  stabilised: { so2MgPerL: 50, sorbateMgPerL: 150 },
  tested: { by: 'sugar-test', sugarGPerL: 1, acknowledged: [] },
  sweetened: { sweetenerId: 'sucrose', massG: 200 },
  primed: { fermentableId: 'sucrose', massG: 120, mode: 'bulk', targetVolumes: 2.4, warmestSinceEndC: 18 },
  bottled: { bottles: [{ kindId: 'crown-500', count: 30 }], testBottle: true, lossL: 0.4, crate: 'Row', capColour: 'leaf', hottestC: 24, acknowledged: [] },
  kegged: { vessel: { vesselId: 'K', volumeL: 18 }, lossL: 1, targetVolumes: 2.4, storeC: 4, way: 'slow', acknowledged: [] },
  unsealed: {},
  'let-off': { lifts: true },
  squeezed: { crateId: 'before-bottled', feel: 'firm' },
  opened: { kindId: 'crown-500', count: 1 },
  tasted: {
    text: 'bright',
    sparkle: 'soft',
    again: true,
    sheet: { ...BLANK_SHEET, clarity: 'bright', words: ['pear'], score: 8, next: 'rack it sooner', scales: { ...BLANK_SHEET.scales, acid: 3 } },
  },
  note: { text: 'a robin on the airlock' },
  discarded: { volumeL: 0.5, why: 'drunk young' },
  corrected: { entryId: 'filled', replacement: null },
};
