import 'reflect-metadata';
import { BLANK_SHEET } from '@trug/core/finish/taste/taste-sheet';
import type { EntryKind } from '@trug/core';
import { waterOf } from '@trug/core/matter/liquid/liquid';
import { checkEntry } from './new-entry.dto.js';
import { PAYLOAD_DTOS } from './payload-dtos.js';

const ID = '01J00000000000000000000000';
const OTHER = '01J00000000000000000000001';
const gravity = { instrument: 'hydrometer', reading: 1.048, sampleC: 20, calibratedAtC: 20, offsetSg: 0 };

/** One payload of every kind that is right in each field. */
const RIGHT: Readonly<Record<EntryKind, Readonly<Record<string, unknown>>>> = {
  filled: {
    source: 'juice',
    fruit: 'apple',
    volumeL: 20,
    gravity,
    ph: null,
    taGPerL: null,
    tanninGPerL: null,
    yanMgPerL: null,
    vessels: [{ vesselId: ID, volumeL: 20 }],
    tempC: null,
  },
  blended: {
    parts: [{ from: 'juice', sourceId: OTHER, name: 'Russet row', liquid: { ...waterOf(12) }, yeastId: null }],
    vessels: [{ vesselId: ID, volumeL: 12 }],
    tempC: 14,
  },
  split: { into: [{ batchId: OTHER, name: 'Jar B', volumeL: 5 }], vessels: [{ vesselId: ID, volumeL: 7 }], lossL: 0.1, why: 'another yeast' },
  reading: { gravity, ph: 3.5, taGPerL: null, placeC: 18, insistedOn: ['rise'], bubbles: null, smell: null },
  addition: { what: 'fermentable', fermentableId: 'sucrose', massG: 500, supplies: [{ supplyId: OTHER, amount: 500 }] },
  pitched: {
    yeastId: 'crisp-cider',
    massG: 5,
    method: 'sprinkled',
    juiceC: null,
    withYeastId: 'aromatic-white-wine',
    supplies: [{ supplyId: OTHER, amount: 1 }],
  },
  stepped: { plan: 'starter', done: 'Boiled some juice', step: 1, of: 4, next: 'Sprinkle the yeast', waitMin: 60 },
  steeped: {
    fruitKg: 3,
    fruitId: null,
    source: 'windfalls',
    liquid: { ...waterOf(5) },
    hot: true,
    loose: false,
    waterL: 4,
    sugars: [{ fermentableId: 'sucrose', massG: 700 }],
    acidG: 8,
    teaCups: 2,
    driedFruitG: 0,
    days: 4,
    vessels: [{ vesselId: ID, volumeL: 7.5 }],
    tempC: null,
  },
  strained: { vessels: [{ vesselId: ID, volumeL: 4.5 }], squeezed: false },
  stirred: {},
  moved: { place: 'shed', tempC: 8 },
  racked: { vessels: [{ vesselId: ID, volumeL: 19 }], lossL: 0.5 },
  clarified: { means: 'finings', massG: 40, waitDays: 2, supplies: [{ supplyId: OTHER, amount: 1 }] },
  malolactic: { turnedFraction: 0.6, wanted: false, bacteria: false, done: true },
  vented: { vent: 'loose-cap' },
  stabilised: { so2MgPerL: 50, sorbateMgPerL: 180 },
  tested: { by: 'sugar-test', sugarGPerL: 1, acknowledged: [] },
  unsealed: {},
  sweetened: { sweetenerId: 'erythritol', massG: 200 },
  primed: { fermentableId: 'sucrose', massG: 130, mode: 'bulk', targetVolumes: 2.6, warmestSinceEndC: 18 },
  bottled: { bottles: [{ kindId: 'crown-500', count: 38 }], testBottle: true, lossL: 0.4, crate: 'Lot', capColour: 'rust', hottestC: 26, acknowledged: [] },
  kegged: { vessel: { vesselId: ID, volumeL: 18 }, lossL: 0.5, targetVolumes: 2.4, storeC: 4, acknowledged: ['sealed-ferment'] },
  'let-off': { lifts: true },
  squeezed: { crateId: '01J00000000000000000000000', feel: 'firm' },
  heated: { crateId: '01J00000000000000000000000', steps: [{ minutes: 11, coreC: 65 }], openedSg: null, acknowledged: ['hot-bottles'] },
  infused: { infusionId: 'cinnamon', massG: 12, days: 14 },
  lifted: { infusedId: '01J00000000000000000000000', name: 'cinnamon bark' },
  trialled: {
    substance: { kind: 'acid', id: 'malic', name: '' },
    doses: [0, 0.8],
    glassMl: 80,
    way: 'rank',
    judged: [{ name: 'Wren', said: [1, 0] }],
    chosen: 1,
    text: '',
  },
  compared: {
    tastingId: '01J00000000000000000000008',
    drinks: [
      { batchId: OTHER, name: 'Row', crateId: null },
      { batchId: '01J00000000000000000000009', name: 'Terrace', crateId: '01J00000000000000000000000' },
    ],
    own: 1,
    glassMl: 60,
    way: 'rank',
    judged: [{ name: 'Wren', said: [1, 0] }],
    text: '',
  },
  'poured-back': { crateId: OTHER, bottles: [{ kindId: 'crown-500', count: 8 }], vessels: [{ vesselId: OTHER, volumeL: 4 }] },
  opened: { kindId: 'crown-500', count: 1 },
  tasted: { text: 'sharp', sparkle: 'lively', again: true },
  note: { text: 'eggy' },
  renamed: { name: 'Gate row', tape: 'leaf', was: { name: 'Gate', tape: 'straw' } },
  discarded: { volumeL: 1, why: 'spilt' },
  corrected: { entryId: OTHER, replacement: null },
};

const entry = (kind: string, payload: unknown, changes: object = {}): object => ({
  id: ID,
  batchId: OTHER,
  kind,
  at: '2026-11-23T10:00:00.000Z',
  writtenAt: '2026-11-23T10:00:00.000Z',
  note: '',
  payload,
  ...changes,
});
const refused = (plain: unknown): string[] => {
  const check = checkEntry(plain);
  return check.ok ? [] : check.fields.map((f) => f.path);
};

describe('checkEntry', () => {
  it.each(Object.entries(RIGHT))('takes a right %s', (kind, payload) => {
    expect(refused(entry(kind, payload))).toEqual([]);
  });
  it.each(Object.entries(RIGHT).filter(([, payload]) => Object.keys(payload).length > 0))('misses every field of an empty %s', (kind, payload) => {
    const missing = new Set(refused(entry(kind, {})).map((path) => path.split('.')[1]));
    // Only what belongs to this kind of addition is asked for; a test that does not say which it is, is asked for everything.
    expect([...missing].sort()).toEqual(
      kind === 'addition'
        ? ['massG', 'what']
        : kind === 'tested'
          ? ['acknowledged', 'after', 'before', 'by', 'days', 'sugarGPerL', 'tempC']
          : Object.keys(payload)
              .filter((field) => missing.has(field))
              .sort(),
    );
    expect(missing.size).toBeGreaterThan(0);
  });
  it.each(Object.keys(RIGHT) as EntryKind[])('lets nothing unknown into a %s', (kind) => {
    expect(refused(entry(kind, { ...RIGHT[kind], colour: 'gold' }))).toEqual(['payload.colour']);
  });
  it('has a class for every kind', () => {
    expect(Object.keys(PAYLOAD_DTOS).sort()).toEqual(Object.keys(RIGHT).sort());
  });

  it.each<[string, EntryKind, object, string]>([
    ['a negative volume', 'filled', { volumeL: -1 }, 'payload.volumeL'],
    ['a gravity past syrup', 'filled', { gravity: { ...gravity, reading: 1.5 } }, 'payload.gravity.reading'],
    ['Brix typed as a gravity', 'reading', { gravity: { ...gravity, reading: 12.4 } }, 'payload.gravity.reading'],
    ['a gravity as Brix', 'reading', { gravity: { ...gravity, instrument: 'refractometer', reading: -1 } }, 'payload.gravity.reading'],
    ['a sample past boiling', 'reading', { gravity: { ...gravity, sampleC: 101 } }, 'payload.gravity.sampleC'],
    ['pH 35', 'reading', { ph: 35 }, 'payload.ph'],
    ['no number', 'moved', { tempC: Number.NaN }, 'payload.tempC'],
    ['infinity', 'moved', { tempC: Number.POSITIVE_INFINITY }, 'payload.tempC'],
    ['a number as text', 'moved', { tempC: '8' }, 'payload.tempC'],
    ['nowhere', 'moved', { place: '' }, 'payload.place'],
    ['half a bottle', 'opened', { count: 0.5 }, 'payload.count'],
    ['a taste that no wheel has', 'tasted', { sheet: { ...BLANK_SHEET, words: ['unicorn'] } }, 'payload.sheet.words'],
    ['eleven of ten', 'tasted', { sheet: { ...BLANK_SHEET, score: 11 } }, 'payload.sheet.score'],
    ['a step that is no step', 'tasted', { sheet: { ...BLANK_SHEET, scales: { ...BLANK_SHEET.scales, acid: 5 } } }, 'payload.sheet.scales.acid'],
    ['a trial of one glass', 'trialled', { doses: [1] }, 'payload.doses'],
    ['one drink beside none', 'compared', { drinks: [{ batchId: OTHER, name: 'Row', crateId: null }] }, 'payload.drinks'],
    ['a drink of no batch', 'compared', { own: 4 }, 'payload.own'],
    ['a trial that nobody judged', 'trialled', { judged: [] }, 'payload.judged'],
    ['a bath that boils over', 'heated', { steps: [{ minutes: 5, coreC: 140 }] }, 'payload.steps.0.coreC'],
    ['a bottle that bulges', 'squeezed', { feel: 'bulging' }, 'payload.feel'],
    ['no bottle', 'opened', { count: 0 }, 'payload.count'],
    ['a cap of another colour', 'bottled', { capColour: 'gold' }, 'payload.capColour'],
    ['no bottles at all', 'bottled', { bottles: [] }, 'payload.bottles'],
    ['a count that is none', 'bottled', { bottles: [{ kindId: 'crown-500', count: -3 }] }, 'payload.bottles.0.count'],
    ['an acknowledgement that is no word', 'bottled', { acknowledged: [1] }, 'payload.acknowledged'],
    ['fizz past any bottle', 'primed', { targetVolumes: 9 }, 'payload.targetVolumes'],
    ['a vessel without a name', 'racked', { vessels: [{ vesselId: '', volumeL: 5 }] }, 'payload.vessels.0.vesselId'],
    ['a pour of nothing', 'blended', { parts: [] }, 'payload.parts'],
    [
      'a pour with a negative volume',
      'blended',
      { parts: [{ from: 'juice', sourceId: OTHER, name: 'x', liquid: { ...waterOf(1), volumeL: -3 }, yeastId: null }] },
      'payload.parts.0.liquid.volumeL',
    ],
    ['a pour into no vessel', 'blended', { vessels: [] }, 'payload.vessels'],
    ['a split of next to nothing', 'split', { into: [{ batchId: OTHER, name: 'B', volumeL: 0 }] }, 'payload.into.0.volumeL'],
    ['an empty note', 'note', { text: '' }, 'payload.text'],
    ['a note as long as a book', 'note', { text: 'x'.repeat(4001) }, 'payload.text'],
    ['bubbles of another kind', 'reading', { bubbles: 'furious' }, 'payload.bubbles'],
  ])('refuses %s', (_what, kind, changes, path) => {
    expect(refused(entry(kind, { ...RIGHT[kind], ...changes }))).toContain(path);
  });

  it.each([
    ['what: acid', { what: 'acid', massG: 5 }, 'payload.acid'],
    ['what: carbonate', { what: 'carbonate', massG: 5 }, 'payload.carbonate'],
    ['what: water', { what: 'water' }, 'payload.volumeL'],
    ['what: sulfite', { what: 'sulfite' }, 'payload.so2MgPerL'],
    ['what: nutrient', { what: 'nutrient', massG: 5 }, 'payload.name'],
    ['what: gold', { what: 'gold', massG: 5 }, 'payload.what'],
  ])('asks what belongs to an addition of %s', (_what, payload, path) => {
    expect(refused(entry('addition', payload))).toContain(path);
  });

  it.each([
    ['an id that is no ULID', { id: '7' }, 'id'],
    ['a date that is no date', { at: '2026-13-01T10:00:00Z' }, 'at'],
    ['a local time', { at: '2026-11-23T10:00:00+01:00' }, 'at'],
    ['a kind nobody knows', { kind: 'distilled' }, 'kind'],
    ['something beside', { mood: 'good' }, 'mood'],
  ])('refuses an envelope with %s', (_what, changes, path) => {
    expect(refused(entry('note', RIGHT.note, changes))).toContain(path);
  });
  it.each([null, [], 'note', 7])('refuses %p whole', (plain) => {
    expect(refused(plain)).toEqual(['']);
  });

  it('checks the story of a share as strictly as what it came from', () => {
    const at = '2026-10-20T10:00:00.000Z';
    const reading = { id: ID, at, sg: 0.998, tempC: 18, plusMinus: 0.001, raw: 0.998, instrument: 'hydrometer' };
    const story = {
      must: { ...waterOf(5) },
      originalBy: 'glass',
      pitchedAt: at,
      pitchedGPerL: 0.25,
      readings: [reading],
      temps: [{ at, tempC: 18 }],
      judged: [{ at, kind: 'gravity-changed', deltaSg: 0.01, sugarless: false }],
      rackedAt: null,
      malolactic: { at, wanted: true, done: false },
      tested: { at, leftGPerL: 0.5, sdGPerL: 1 },
      acidMeasured: true,
      weighedGPerL: 0,
      wokenAt: null,
      stabilisedAt: null,
    };
    const share = (changes: object): string[] =>
      refused(
        entry('blended', {
          ...RIGHT.blended,
          parts: [{ from: 'batch', sourceId: OTHER, name: 'Row', liquid: { ...waterOf(5) }, yeastId: null, story: { ...story, ...changes } }],
        }),
      );
    expect(share({})).toEqual([]);
    expect(share({ readings: [{ ...reading, sg: 7 }] })).toEqual(['payload.parts.0.story.readings.0.sg']);
    expect(share({ tested: { at, leftGPerL: -1, sdGPerL: 1 } })).toEqual(['payload.parts.0.story.tested.leftGPerL']);
    expect(share({ rackedAt: 'then' })).toEqual(['payload.parts.0.story.rackedAt']);
  });
  it('checks what replaces a corrected entry as strictly as an entry', () => {
    const correct = (replacement: object): string[] => refused(entry('corrected', { entryId: OTHER, replacement }));
    const right = { kind: 'reading', at: '2026-11-20T10:00:00.000Z', note: '', payload: RIGHT.reading };
    expect(correct(right)).toEqual([]);
    expect(correct({ ...right, payload: { ...RIGHT.reading, ph: 35 } })).toEqual(['payload.replacement.payload.ph']);
    expect(correct({ ...right, kind: 'corrected' })).toEqual(['payload.replacement.kind']);
    expect(correct({ ...right, at: 'then' })).toEqual(['payload.replacement.at']);
  });
});
