import * as fc from 'fast-check';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { abvOf, fermentableGPerL, gravityOf, solidsOf, sweetnessGPerL } from '../../matter/liquid/views.js';
import { DEFAULT_UNITS, type UnitPreferences } from '../../matter/quantity/format-quantity.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin } from '../../testing/expect-within.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { describeEntry } from './describe-entry.js';
import type { Entry, EntryKind, EntryPayloads } from '../entry/entry.js';
import { replay } from './replay.js';

const START_MS = Date.UTC(2026, 9, 1, 10);
let made = 0;
function entry<K extends EntryKind>(kind: K, day: number, payload: EntryPayloads[K]): Entry {
  made += 1;
  const at = new Date(START_MS + day * 86_400_000).toISOString();
  return { id: `A${String(made).padStart(5, '0')}`, batchId: 'B', kind, at, writtenAt: at, note: '', payload } as Entry;
}
const raw = (reading: number): EntryPayloads['filled']['gravity'] => ({ instrument: 'hydrometer', reading, sampleC: 20, calibratedAtC: 20, offsetSg: 0 });
const fill = (): Entry =>
  entry('filled', 0, {
    source: 'juice',
    fruit: 'apple',
    volumeL: 20,
    gravity: raw(1.05),
    ph: 3.5,
    taGPerL: 6,
    tanninGPerL: 0.5,
    yanMgPerL: 80,
    vessels: [
      { vesselId: 'V', volumeL: 12 },
      { vesselId: 'W', volumeL: 8 },
    ],
    tempC: 15,
  });
const read = (day: number, sg: number): Entry =>
  entry('reading', day, { gravity: raw(sg), ph: null, taGPerL: null, placeC: 15, insistedOn: [], bubbles: null, smell: null });
const step = (day: number, next: string | null, waitMin = 90): Entry =>
  entry('stepped', day, { plan: 'starter', done: 'Boiled some juice', step: 1, of: 3, next, waitMin });
const juiceOf = (volumeL: number): Liquid => liquidFromReadings({ volumeL, sg: 1.05 });
const pitch = (): Entry => entry('pitched', 1, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 15 });

const liquidAfter = (...log: readonly Entry[]): Liquid => {
  const state = replay([fill(), ...log]);
  if (state.issues.length > 0 || !state.liquid) throw new Error(JSON.stringify(state.issues));
  return state.liquid;
};
const before = liquidAfter();

describe('a plan of timed steps', () => {
  it('runs from each step done to the next, and is over with the last or with the yeast', () => {
    expect(replay([fill(), step(0.5, 'Sprinkle it')]).plan).toMatchObject({ step: 1, next: 'Sprinkle it', dueAt: '2026-10-01T23:30:00.000Z' });
    expect(replay([fill(), step(0.5, 'Sprinkle it'), step(0.6, null)]).plan).toBeNull();
    expect(replay([fill(), step(0.5, 'Sprinkle it'), pitch()]).plan).toBeNull();
  });
});

describe('keeving', () => {
  it('takes the place of pitching, and is over once it is racked off its cap', () => {
    const step = entry('stepped', 1, { plan: 'keeve', done: 'Calcium', step: 2, of: 4, next: 'Look', waitMin: 4320 });
    expect(replay([fill(), step]).plan).toMatchObject({ plan: 'keeve', dueAt: expect.stringContaining('2026-10-05') });
    expect(replay([fill(), step, entry('racked', 6, { vessels: [{ vesselId: 'W', volumeL: 17 }], lossL: 3 })]).plan).toBeNull();
    const finings = entry('stepped', 1, { plan: 'finings', done: 'First', step: 1, of: 2, next: 'Second', waitMin: 60 });
    expect(replay([fill(), finings, entry('racked', 6, { vessels: [{ vesselId: 'W', volumeL: 17 }], lossL: 3 })]).plan).not.toBeNull();
  });
});
describe('two kinds of yeast together', () => {
  const lead = (yeastId: string, withYeastId: string): string | null =>
    replay([fill(), entry('pitched', 1, { yeastId, withYeastId, massG: 5, method: 'sprinkled', juiceC: 15 })]).yeastId;
  it('the killer is left, else the one that stands more alcohol', () => {
    expect(lead('english-ale', 'neutral-champagne')).toBe('neutral-champagne');
    expect(lead('fruity-cider', 'crisp-cider')).toBe('crisp-cider');
    expect(lead('crisp-cider', 'fruity-cider')).toBe('crisp-cider');
  });
});

describe('what each act does to the liquid', () => {
  it('acid makes it sharper, carbonate softer', () => {
    const sharp = liquidAfter(entry('addition', 0.1, { what: 'acid', acid: 'malic', massG: 20 }));
    expectWithin(taOf(sharp) - taOf(before), 1, { abs: 0.001 });
    expect(phOf(sharp)).toBeLessThan(phOf(before));
    const soft = liquidAfter(entry('addition', 0.1, { what: 'carbonate', carbonate: 'potassium-bicarbonate', massG: 20 }));
    expect(phOf(soft)).toBeGreaterThan(phOf(before));
  });
  it('water thins it, and vessels hold it in the same shares', () => {
    const state = replay([fill(), entry('addition', 0.1, { what: 'water', volumeL: 5 })]);
    expectWithin(solidsOf(state.liquid ?? before) * 25, solidsOf(before) * 20, { abs: 1e-6 });
    expect(state.vessels.map((v) => v.volumeL)).toEqual([15, 10]);
  });
  it('tannin adds grip, sulfite its two figures', () => {
    expectWithin(liquidAfter(entry('addition', 0.1, { what: 'tannin', massG: 10 })).tanninGPerL, 1, { abs: 1e-9 });
    expect(liquidAfter(entry('addition', 0.1, { what: 'sulfite', so2MgPerL: 60 }))).toMatchObject({ totalSo2MgPerL: 60, freeSo2MgPerL: 30 });
  });
  it.each(['nutrient', 'enzyme', 'bentonite', 'finings'] as const)('%s leaves the sums alone', (what) => {
    expect(liquidAfter(entry('addition', 0.1, { what, name: 'packet', massG: 5 }))).toEqual(before);
  });
  it('stirring, notes and tasting leave it alone', () => {
    expect(
      liquidAfter(entry('stirred', 0.2, {}), entry('note', 0.3, { text: 'foam' }), entry('tasted', 0.4, { text: 'sweet', sparkle: null, again: null })),
    ).toEqual(before);
  });
  it('stabilising adds sulfite and sorbate, sweetening sweetness without sugar', () => {
    const done = [pitch(), read(10, 1.01), read(20, 0.999), read(28, 0.999)];
    const dry = liquidAfter(...done);
    const stable = liquidAfter(...done, entry('stabilised', 29, { so2MgPerL: 40, sorbateMgPerL: 180 }));
    expect(stable).toMatchObject({ totalSo2MgPerL: 40, sorbateMgPerL: 180 });
    const sweet = liquidAfter(...done, entry('sweetened', 29, { sweetenerId: 'erythritol', massG: 400 }));
    expectWithin(fermentableGPerL(sweet) * sweet.volumeL, fermentableGPerL(dry) * dry.volumeL, { abs: 1e-6 });
    expectWithin(sweetnessGPerL(sweet) * sweet.volumeL, sweetnessGPerL(dry) * dry.volumeL + 260, { abs: 1e-6 });
  });
  it('a reading before yeast corrects the must, one after it the strength', () => {
    expectWithin(gravityOf(replay([fill(), read(0.2, 1.056)]).must ?? before), 1.056, { abs: 1e-6 });
    const working = replay([fill(), pitch(), read(5, 1.03)]);
    expectWithin(gravityOf(working.must ?? before), 1.05, { abs: 1e-6 });
    expect(abvOf(working.liquid ?? before)).toBeGreaterThan(2);
  });
  it('pouring away empties it, to the last litre', () => {
    expect(replay([fill(), entry('discarded', 1, { volumeL: 5, why: 'spilt' })]).liquid?.volumeL).toBe(15);
    expect(replay([fill(), entry('discarded', 1, { volumeL: 19.5, why: 'vinegar' })])).toMatchObject({ liquid: null, vessels: [] });
  });
  it('racking keeps what was moved, in the vessels named', () => {
    const state = replay([fill(), pitch(), entry('racked', 30, { vessels: [{ vesselId: 'X', volumeL: 19.2 }], lossL: 0.8 })]);
    expect(state).toMatchObject({ stage: 'rest', vessels: [{ vesselId: 'X', volumeL: 19.2 }] });
    expect(state.liquid?.volumeL).toBe(19.2);
    expect(replay([fill(), pitch(), entry('racked', 30, { vessels: [{ vesselId: 'X', volumeL: 25 }], lossL: 0 })]).issues).toHaveLength(1);
  });
  it('kegging fills the keg and ends the judging', () => {
    const state = replay([
      fill(),
      pitch(),
      entry('kegged', 40, { vessel: { vesselId: 'K', volumeL: 19 }, lossL: 1, targetVolumes: 2.4, storeC: 4, acknowledged: [] }),
    ]);
    expect(state).toMatchObject({ stage: 'drink', keg: { vesselId: 'K', volumeL: 19, storeC: 4 } });
  });
  it('moving notes the place and its heat', () => {
    expect(replay([fill(), entry('moved', 2, { place: 'the shed', tempC: 7 })])).toMatchObject({ place: 'the shed', placeC: 7 });
  });
  it('nothing can be done to an empty vessel, and each try is named', () => {
    const acts = [
      entry('addition', 1, { what: 'water', volumeL: 1 }),
      entry('primed', 1, { fermentableId: 'sucrose', massG: 5, mode: 'bulk', targetVolumes: 2, warmestSinceEndC: 18 }),
      entry('discarded', 1, { volumeL: 1, why: '' }),
    ];
    expect(replay(acts).issues.map((i) => i.entryId)).toEqual(acts.map((a) => a.id));
  });
  it('an unknown sugar or bottle is named and everything else still counts', () => {
    const state = replay([fill(), entry('addition', 0.1, { what: 'fermentable', fermentableId: 'sand', massG: 100 }), pitch(), read(6, 1.02)]);
    expect(state.issues).toHaveLength(1);
    expect(state.readings).toHaveLength(1);
  });
});

describe('any log', () => {
  it('replays without loss of volume, whatever readings it holds', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.99, max: 1.12, noNaN: true }), { maxLength: 12 }), (sgs) => {
        const state = replay([fill(), pitch(), ...sgs.map((sg, i) => read(2 + i, sg))]);
        expect(state.issues).toEqual([]);
        expectWithin(state.liquid?.volumeL ?? NaN, 20, { abs: 1e-9 });
        const last = sgs.at(-1);
        if (last !== undefined) expectWithin(gravityOf(state.liquid ?? before), last, { abs: 2e-6 });
      }),
      SEED,
    );
  });
});

describe('describeEntry', () => {
  const imperial: UnitPreferences = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', gravity: 'SG', pressure: 'psi' };
  const say = (e: Entry, units = DEFAULT_UNITS): string => `${describeEntry(e, units).lead} ${describeEntry(e, units).rest}`.trim();
  it.each<[Entry, string]>([
    [pitch(), 'Pitched Crisp cider type, 5 g sprinkled'],
    [entry('pitched', 1, { yeastId: 'wild-spontaneous', massG: 0, method: 'wild', juiceC: null }), 'Left to its own yeast Wild / spontaneous'],
    [
      entry('pitched', 1, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 15, withYeastId: 'english-ale' }),
      'Pitched Crisp cider type with English-ale type, 5 g sprinkled',
    ],
    [step(2, 'Sprinkle it'), 'Step 1 of 3 Boiled some juice'],
    [entry('addition', 1, { what: 'fermentable', fermentableId: 'honey', massG: 1500 }), 'Added 1.5 kg Honey'],
    [entry('addition', 1, { what: 'water', volumeL: 2 }), 'Added 2 L water'],
    [entry('addition', 1, { what: 'acid', acid: 'malic', massG: 12 }), 'Added 12 g malic acid'],
    [entry('addition', 1, { what: 'carbonate', carbonate: 'potassium-bicarbonate', massG: 9 }), 'Added 9 g potassium bicarbonate'],
    [entry('addition', 1, { what: 'tannin', massG: 4 }), 'Added 4 g tannin'],
    [entry('addition', 1, { what: 'sulfite', so2MgPerL: 75 }), 'Sulfited 75 mg/L'],
    [entry('addition', 1, { what: 'nutrient', name: 'yeast food', massG: 3 }), 'Added 3 g yeast food'],
    [entry('moved', 1, { place: 'the shed', tempC: 8 }), 'Moved to the shed, 8 °C'],
    [entry('racked', 1, { vessels: [{ vesselId: 'V', volumeL: 19 }], lossL: 0.5 }), 'Racked 19 L off the lees, 500 mL left behind'],
    [entry('stabilised', 1, { so2MgPerL: 40, sorbateMgPerL: 180 }), 'Sulfite and sorbate 40 mg/L sulfite, 180 mg/L sorbic acid'],
    [entry('sweetened', 1, { sweetenerId: 'erythritol', massG: 250 }), 'Sweetened with 250 g Erythritol'],
    [entry('kegged', 1, { vessel: { vesselId: 'K', volumeL: 18 }, lossL: 0, targetVolumes: 2.4, storeC: 4, acknowledged: [] }), 'Kegged 18 L, kept at 4 °C'],
    [entry('opened', 1, { kindId: 'swing-500', count: 2 }), 'Opened 2 swing-top 500 mL'],
    [entry('tasted', 1, { text: 'round', sparkle: null, again: null }), 'Tasted round'],
    [entry('note', 1, { text: 'eggy' }), 'Note eggy'],
    [entry('discarded', 1, { volumeL: 2, why: 'spilt' }), 'Poured away 2 L: spilt'],
    [entry('stirred', 1, {}), 'Stirred'],
    [
      entry('blended', 1, {
        parts: [
          { from: 'juice', sourceId: 'a', name: 'Russet row', liquid: juiceOf(12), yeastId: null },
          { from: 'batch', sourceId: 'b', name: 'Gate', liquid: juiceOf(3), yeastId: 'crisp-cider' },
        ],
        vessels: [],
        tempC: null,
      }),
      'Poured 15 L 12 L Russet row, 3 L Gate',
    ],
    [
      entry('split', 1, { into: [{ batchId: 'c', name: 'Gate B', volumeL: 5 }], vessels: [], lossL: 0, why: 'another yeast' }),
      'Split 5 L to Gate B. another yeast',
    ],
    [entry('clarified', 1, { means: 'finings', massG: 0, waitDays: 3 }), 'To clear it two-part finings, look again in 3 days'],
    [entry('clarified', 1, { means: 'bentonite', massG: 12, waitDays: 10 }), 'To clear it bentonite, 12 g, look again in 10 days'],
    [
      entry('malolactic', 1, { turnedFraction: 0.6, wanted: false, done: true, bacteria: false }),
      'Malolactic change over, 60 % of the malic acid turned, not wanted',
    ],
    [entry('malolactic', 1, { turnedFraction: 0, wanted: true, done: false, bacteria: true }), 'Malolactic change begun with bacteria, wanted'],
    [entry('vented', 1, { vent: 'loose-cap' }), 'Gas let out cap loosened'],
    [entry('vented', 1, { vent: 'tube' }), 'Vent through a blow-off tube'],
    [entry('corrected', 1, { entryId: 'x', replacement: null }), 'Struck out'],
  ])('case %#', (e, words) => {
    expect(say(e)).toBe(words);
  });
  it('speaks the maker’s units', () => {
    expect(say(entry('moved', 1, { place: 'the shed', tempC: 10 }), imperial)).toBe('Moved to the shed, 50 °F');
    expect(say(entry('addition', 1, { what: 'fermentable', fermentableId: 'sucrose', massG: 453.59237 }), imperial)).toBe('Added 1 lb White sugar (sucrose)');
  });
});
