import { kitchenWeights } from '../cupboard/kitchen-weights.js';
import { YEAST_KINDS } from '../../base/reference/yeast-kinds-data.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { methodById } from '../plan/method.js';
import { replay } from '../log/replay.js';
import { parseScribble } from './parse-scribble.js';
import type { ScribbleFacts } from './scribble-facts.js';
import { scribbleLines } from './scribble-lines.js';
import type { ScribbleLine } from './scribble-types.js';

const make = logOf();
const MUST: readonly Entry[] = [make.filled()];
const WORKING: readonly Entry[] = [make.filled(), make.pitched(), make.read(5, 1.03)];
const stem = { kind: 'hydrometer', name: 'hydrometer', own: false, calibratedAtC: 20, offsetSg: 0, offsetBrix: 0 } as const;
const lens = { kind: 'refractometer', name: 'The lens', own: true, calibratedAtC: 20, offsetSg: 0, offsetBrix: 0.2 } as const;

function lines(line: string, log: readonly Entry[] = WORKING, changes: Partial<ScribbleFacts> = {}): readonly ScribbleLine[] {
  const { said } = parseScribble(line, {
    batches: [],
    yeasts: YEAST_KINDS.map(({ id, name }) => ({ id, names: [name] })),
    today: make.at(9).slice(0, 10),
    weightsOf: kitchenWeights,
    sweets: [],
    gallon: 'us',
    degrees: 'degC',
  });
  return scribbleLines(said, {
    batchId: 'B',
    log,
    zone: 'UTC',
    method: methodById('carton-quick'),
    school: 'mass-balance',
    at: make.at(9),
    gauges: [stem, lens],
    supplies: [],
    places: [{ name: 'Cold shed', monthlyC: Array.from({ length: 12 }, () => 9) }],
    ...changes,
  });
}
const acts = (all: readonly ScribbleLine[]): readonly object[] => all.flatMap((line) => (line.is === 'act' ? [line.act] : []));
const guesses = (all: readonly ScribbleLine[]): readonly string[] => all.flatMap((line) => (line.is === 'act' ? line.guesses.map(({ of }) => of) : []));
const whys = (all: readonly ScribbleLine[]): readonly string[] => all.flatMap((line) => (line.is === 'unread' ? [line.why] : []));

it('files a line as its acts, each on the batch as the one before leaves it', () => {
  const all = lines('1.012 at 20C, eggy, 300 g white sugar, 1.026, stirred, racked');
  // 20 L of it: 300 g raise it by some five points, and the reading after is no rise out of nothing.
  expect(acts(all)).toMatchObject([
    { kind: 'reading', payload: { gravity: { reading: 1.012, sampleC: 20, instrument: 'hydrometer' }, insistedOn: [] }, note: 'eggy' },
    { kind: 'addition', payload: { what: 'fermentable', fermentableId: 'sucrose', massG: 300 } },
    { kind: 'reading', payload: { gravity: { reading: 1.026 } }, note: '' },
    { kind: 'stirred' },
  ]);
  expect(all.at(-1)).toMatchObject({ is: 'page', page: 'rack' });
});
it('asks about a reading that is odd for this batch, as its page does', () => {
  expect(whys(lines('1.040'))[0]).toMatch(/higher than 1\.030 last time/);
  expect(whys(lines('1.500'))[0]).toMatch(/Did you mean 1\.050/);
  expect(whys(lines('og 1.062'))[0]).toMatch(/belongs to the day before/);
  expect(acts(lines('og 1.050', MUST))).toHaveLength(1);
  expect(whys(lines('og 1.062', MUST))[0]).toMatch(/14 points above what went in/);
});
it('takes °Bx for the lens before yeast, with its offset, and after it only when that is said', () => {
  expect(acts(lines('12 Bx', MUST))).toMatchObject([{ payload: { gravity: { instrument: 'refractometer', reading: expect.closeTo(12.2, 6) } } }]);
  expect(guesses(lines('12 Bx', MUST))).toEqual(['gauge']);
  expect(whys(lines('6 Bx'))[0]).toMatch(/refractometer” or “stem/);
  expect(acts(lines('6 Bx on the stem'))).toMatchObject([{ payload: { gravity: { instrument: 'hydrometer', reading: expect.closeTo(1.0236, 3) } } }]);
});
it('says what it took for granted', () => {
  expect(guesses(lines('1.012'))).toEqual(['sample']);
  expect(guesses(lines('1 tsp nutrient'))).toEqual(['spoon']);
  expect(guesses(lines('sulfite 1 g', MUST))).toEqual(['kind']);
  for (const said of ['30 mg/L sulfite', '30 ppm of potassium metabisulfite', '30 ppm sulfite tablets']) {
    expect([said, acts(lines(said, MUST))]).toMatchObject([said, [{ payload: { what: 'sulfite', so2MgPerL: expect.closeTo(30, 6) } }]]);
  }
  expect(guesses(lines('300 g sugar'))).toEqual([]);
});
it('takes what goes in out of the cupboard, in its own measure', () => {
  const tablets = { id: 'S', kind: 'sulfite', refId: 'tablet', unit: 'tablet', packetG: null, bestBefore: null, left: 9 } as const;
  const all = lines('2 sulfite tablets', MUST, { supplies: [tablets] });
  // 225 mg of SO2 a tablet, 20 L.
  expect(acts(all)).toMatchObject([{ payload: { what: 'sulfite', so2MgPerL: expect.closeTo(22.5, 6), supplies: [{ supplyId: 'S', amount: 2 }] } }]);
  expect(guesses(all)).toEqual(['supply']);
  expect(all.flatMap((line) => (line.is === 'act' ? line.cautions.map(({ id }) => id) : []))).toContain('sulfite');
});
describe('yeast', () => {
  const packet = { id: 'Y', kind: 'yeast', refId: 'crisp-cider', unit: 'packet', packetG: 7, bestBefore: null, left: 2 } as const;
  it('is the only kind in the cupboard where none is named, a packet as heavy as it says', () => {
    const all = lines('one packet of yeast at 20C', MUST, { supplies: [packet] });
    expect(acts(all)).toMatchObject([
      { kind: 'pitched', payload: { yeastId: 'crisp-cider', massG: 7, method: 'sprinkled', juiceC: 20, supplies: [{ supplyId: 'Y', amount: 1 }] } },
    ]);
    expect(guesses(all)).toEqual(['yeast', 'sprinkled', 'supply']);
  });
  it('is asked for on its page where the kind is open, or something dangerous speaks against it', () => {
    expect(lines('pitched yeast', MUST)).toMatchObject([{ is: 'page', page: 'pitch' }]);
    expect(lines('5 g ale yeast', MUST)).toMatchObject([{ is: 'page', page: 'pitch' }]);
    const hot = lines('5 g crisp cider yeast at 45C', MUST);
    expect(hot.every((line) => line.is === 'page' || (line.is === 'act' && line.cautions.some(({ id }) => id === 'hot-pitch')))).toBe(true);
  });
  it('says on the same line what was sulfited the same day', () => {
    const all = lines('2 sulfite tablets, 5 g crisp cider yeast', MUST);
    expect(all.flatMap((line) => (line.is === 'unread' ? [] : line.cautions.map(({ id }) => id)))).toContain('sulfite-and-yeast');
  });
});
it('carries it to a place that is known as warm as it usually is, and asks about another', () => {
  expect(acts(lines('moved to cold shed'))).toMatchObject([{ kind: 'moved', payload: { place: 'Cold shed', tempC: 9 } }]);
  expect(acts(lines('moved to the loft, 14C'))).toMatchObject([{ payload: { place: 'loft', tempC: 14 } }]);
  expect(lines('moved to the loft')).toMatchObject([{ is: 'page', page: 'move' }]);
});
it('keeps words as a note, or with the tasting, once', () => {
  expect(acts(lines('smells of pear drops, still hazy'))).toEqual([{ kind: 'note', payload: { text: 'smells of pear drops, still hazy' } }]);
  expect(acts(lines('tasted, sharp, 1.012'))).toMatchObject([
    { kind: 'tasted', payload: { text: 'tasted, sharp' } },
    { kind: 'reading', note: '' },
  ]);
});
it('lets gas off only where a cap is loosened, and keeps it as words elsewhere', () => {
  expect(acts(lines('let the gas off'))).toMatchObject([{ kind: 'note' }]);
  expect(acts(lines('cap loosened, let the gas off'))).toMatchObject([{ kind: 'vented', payload: { vent: 'loose-cap' } }, { kind: 'vented' }]);
  expect(acts(lines('let the gas off', [...WORKING, make.entry('vented', 6, { vent: 'loose-cap' })]))).toMatchObject([{ kind: 'vented' }]);
});
it('puts nothing into a sealed keg or through glass', () => {
  const kegged = [...make.dryAt(0.998, [20, 34]), make.kegged(35)];
  const [line] = lines('300 g sugar', kegged, { at: make.at(36) });
  expect(line?.is).not.toBe('act');
  const bottled = [...make.dryAt(0.998, [20, 34]), make.bottled(35, { count: 40 })];
  expect(lines('300 g sugar', bottled, { at: make.at(36) })[0]?.is).not.toBe('act');
});
it('leaves the log worth what the sums by hand say', () => {
  const state = replay([...MUST]);
  const [act] = acts(lines('1 lb sugar', MUST));
  const after = replay([...MUST, { id: 'N', batchId: 'B', at: make.at(1), writtenAt: make.at(1), note: '', ...(act as object) } as Entry]);
  if (!state.liquid || !after.liquid) throw new Error('nothing in the vessels');
  expect(gravityOf(after.liquid)).toBeCloseTo(gravityOf(addFermentable(state.liquid, { fermentableId: 'sucrose', massG: 453.59237 })), 9);
});
