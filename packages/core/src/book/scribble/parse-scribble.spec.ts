import { kitchenWeights } from '../cupboard/kitchen-weights.js';
import fc from 'fast-check';
import { YEAST_KINDS } from '../../base/reference/yeast-kinds-data.js';
import { parseScribble, type ScribbleContext } from './parse-scribble.js';
import type { Said } from './scribble-types.js';

const CONTEXT: ScribbleContext = {
  batches: [
    { id: 'A', names: ['Russet and Rain', 'Back jar'] },
    { id: 'B', names: ['Crab and Tea', 'Small bucket'] },
    { id: 'C', names: ['Gate B', 'Jar 1'] },
    { id: 'D', names: ['Gate Blend', 'Jar 12'] },
  ],
  yeasts: YEAST_KINDS.map(({ id, name }) => ({ id, names: id === 'english-ale' ? [name, 'Shed packet'] : [name] })),
  // A Friday.
  today: '2026-11-27',
  weightsOf: kitchenWeights,
  sweets: [],
  gallon: 'us',
  degrees: 'degC',
};
const said = (line: string): readonly Said[] => parseScribble(line, CONTEXT).said;
const kinds = (line: string): readonly string[] => said(line).map(({ is }) => is);
/** What is told of one part, without what is not. */
const told = (line: string): readonly object[] =>
  said(line).map((part) => Object.fromEntries(Object.entries(part).filter(([name, value]) => name !== 'text' && value !== null && value !== false)));

describe('which batch', () => {
  it.each([
    ['back jar 1.012', ['A']],
    ['Russet and Rain: 1.012, stirred and racked', ['A']],
    ['1.012 in the small bucket', ['B']],
    ['300 g sugar into Crab and Tea', ['B']],
    ['crab stirred', ['B']],
    ['jar 12 1.012', ['D']],
    ['jar 1 1.012', ['C']],
    // A vessel's number is not the first figure of a gravity.
    ['jar 1.012', ['A', 'C', 'D']],
    ['gate 1.012', ['C', 'D']],
    ['1.012, eggy', []],
    ['stirred', []],
    ['sugar 300 g', []],
  ])('%s', (line, ids) => expect(parseScribble(line, CONTEXT).batchIds).toEqual(ids));
});

describe('which day', () => {
  it.each([
    ['1.012', '', ''],
    ['1.012 yesterday', '2026-11-26', ''],
    ['yesterday 9pm 1.012', '2026-11-26', '21:00'],
    ['1.012 at 14:30', '', '14:30'],
    ['on sunday 1.012', '2026-11-22', ''],
    ['tue: 1.012', '2026-11-24', ''],
    ['friday 1.012', '2026-11-20', ''],
    ['12 Nov 1.012', '2026-11-12', ''],
    ['Dec 3rd, 1.012', '2025-12-03', ''],
    ['2026-11-02 1.012', '2026-11-02', ''],
    ['3 days ago 1.012', '2026-11-24', ''],
    ['last night at 11:15 pm stirred', '2026-11-26', '23:15'],
  ])('%s', (line, day, hour) => expect(parseScribble(line, CONTEXT)).toMatchObject({ day, hour }));
  it.each(['sat on its lees', 'in the sun, warm', 'will rack on friday', 'stirred, rack it next sunday', 'it may clear', 'marked 12'])(
    'is not said by “%s”',
    (line) => expect(parseScribble(line, CONTEXT).day).toBe(''),
  );
  it('is asked where two people read two', () => {
    expect(said('12/11 1.030')).toMatchObject([{ is: 'unread', why: expect.stringContaining('write the month in letters') }]);
  });
});

describe('what was read', () => {
  it.each([
    ['1.012', { gravity: '1.012' }],
    ['sg 1012', { gravity: '1012' }],
    ['down to 1,012 now', { gravity: '1,012' }],
    ['0.998 dry', { gravity: '0.998' }],
    ['12.4 brix', { gravity: '12.4 Bx' }],
    ['bx 12.4', { gravity: '12.4 Bx' }],
    ['6 Bx by refractometer', { gravity: '6 Bx', by: 'refractometer' }],
    ['104 g/L', { gravity: '104 g/L' }],
    ['6.5 % potential', { gravity: '6.5 % potential' }],
    ['1.012 at 64F', { gravity: '1.012', sampleC: (64 - 32) / 1.8 }],
    ['1.012, 18 C', { gravity: '1.012', sampleC: 18 }],
    ['1.012 at 20°C, shed 8 C', { gravity: '1.012', sampleC: 20, placeC: 8 }],
    ['room 61F', { placeC: (61 - 32) / 1.8 }],
    ['8C', { placeC: 8 }],
    ['1.012 at 20°', { gravity: '1.012', sampleC: 20 }],
    ['room 8 degrees', { placeC: 8 }],
    ['pH 3.45', { ph: 3.45 }],
    ['1.050, ph 3.4, ta 6.1', { gravity: '1.050', ph: 3.4, taGPerL: 6.1 }],
    ['1.030, bubbling away', { gravity: '1.030', bubbles: 'lively' }],
    ['no bubbles', { bubbles: 'none' }],
    ['og 1.062', { gravity: '1.062', original: true }],
  ])('%s', (line, reading) => expect(told(line)[0]).toEqual({ is: 'reading', ...reading }));
  it('is two readings where something was done between', () => expect(kinds('1.040, 300 g sugar, 1.052')).toEqual(['reading', 'addition', 'reading']));
  it.each(['1.012, 1.010', '1.012-1.014', 'pH 9', '1.012 at 18', '1.012 12', '50', '1.012 at 64F and 18C', '12.4', 'room 300 C'])(
    '%s is told to be unread',
    (line) => expect(kinds(line)).toContain('unread'),
  );
});

describe('what went in', () => {
  it.each([
    ['300 g sugar', { what: 'sugar', refId: 'sucrose', amount: 300, usual: true }],
    ['white sugar 1 lb 4 oz', { what: 'sugar', refId: 'sucrose', amount: 566.9904625 }],
    ['added 1½ lb light brown sugar', { what: 'sugar', refId: 'brown-sugar-light', amount: 680.388555 }],
    ['two cups of sugar', { what: 'sugar', refId: 'sucrose', amount: 2 * 48 * 4.2, usual: true, spooned: true }],
    ['one and a half cups sugar', { what: 'sugar', refId: 'sucrose', amount: 1.5 * 48 * 4.2, usual: true, spooned: true }],
    ['half a tsp of pectic enzyme', { what: 'enzyme', refId: 'enzyme', amount: 1.5, spooned: true }],
    ['nutrient 2 level tsp', { what: 'nutrient', refId: 'organic', amount: 8, usual: true, spooned: true }],
    ['2 sulfite tablets', { what: 'sulfite', refId: 'tablet', amount: 2 }],
    ['half a sulphite tablet', { what: 'sulfite', refId: 'tablet', amount: 0.5 }],
    ['potassium metabisulphite 1.2 g', { what: 'sulfite', refId: 'potassium-metabisulfite', amount: 1.2 }],
    ['2 lemons', { what: 'acid', refId: 'citric', amount: 4.4, spooned: true }],
    ['lemon juice 50 ml', { what: 'acid', refId: 'lemon', amount: 50 }],
    ['3 tea bags', { what: 'tannin', refId: 'tea', amount: 3 * 0.15, spooned: true }],
    ['1/2 gal water', { what: 'water', refId: 'water', amount: 1.892705892 }],
    ['honey 2 kg', { what: 'sugar', refId: 'honey', amount: 2000 }],
    ['10 g chalk', { what: 'carbonate', refId: 'calcium-carbonate', amount: 10 }],
  ])('%s', (line, addition) => {
    const [part] = told(line);
    expect(part).toMatchObject({ is: 'addition', ...addition, amount: expect.closeTo(addition.amount, 6) });
    expect(Object.keys(part ?? {}).sort()).toEqual(['is', ...Object.keys(addition)].sort());
  });
  it.each([
    ['300 sugar', '300 of what measure'],
    ['a heaped tsp of nutrient', 'level it'],
    ['2 enzyme tablets', 'weigh it'],
    ['1,500 kg sugar', '1500 or 1.500'],
    ['sugar nutrient 5 g', 'names two things'],
    ['2-3 tsp nutrient', 'range'],
  ])('asks about %s', (line, why) => expect(said(line)).toMatchObject([{ is: 'unread', why: expect.stringContaining(why) }]));
  it.each([
    ['one packet champagne yeast', { yeastIds: ['neutral-champagne'], packets: 1 }],
    ['pitched 5 g crisp cider yeast at 68F', { yeastIds: ['crisp-cider'], massG: 5, juiceC: 20 }],
    ['half a packet of ale yeast', { yeastIds: ['english-ale', 'american-ale'], packets: 0.5 }],
    ['shed packet rehydrated', { yeastIds: ['english-ale'], method: 'rehydrated' }],
    ['yeast in', { yeastIds: [] }],
  ])('%s', (line, pitch) => expect(told(line)).toEqual([{ is: 'pitch', ...pitch, ...('juiceC' in pitch ? { juiceC: expect.closeTo(20, 9) } : {}) }]));
});

describe('what was done', () => {
  it.each([
    ['stirred', ['stirred']],
    ['stirred well, bag pushed down', ['stirred', 'words']],
    ['moved to cold shed 8C', ['moved']],
    ['cap loosened', ['vent']],
    ['fitted an airlock', ['vent']],
    ['blow-off tube on, 1.050', ['vent', 'reading']],
    ['airlock is quiet', ['reading']],
    ['tasted, sharp and thin', ['tasted', 'words', 'words']],
    ['racked', ['page']],
    ['1.012 at 64F, eggy, racked', ['reading', 'words', 'page']],
    ['topped up with 1 L juice', ['page']],
    ['sugar', ['page']],
    ['sorbate 3 g', ['page']],
  ])('%s', (line, is) => expect(kinds(line)).toEqual(is));
  it.each([
    'not stirred',
    'will rack on friday',
    'needs 300 g sugar',
    'no yeast yet',
    'should I add nutrient?',
    'smells of yeast',
    'forgot the 2 lemons',
    "didn't rack",
    'bottled? no',
  ])('nothing of “%s” is taken for done', (line) => expect(new Set(kinds(line))).toEqual(new Set(['words'])));
});

it('files no figure that was not written, and loses no part that was', () => {
  const word = fc.constantFrom(
    '1.012',
    '64F',
    'eggy',
    'stirred',
    '300 g sugar',
    '2',
    'racked',
    'pH 3.4',
    'half',
    'yeast',
    '12 Bx',
    'not',
    'tsp',
    'shed',
    '8 C',
    '1/2',
    'nutrient',
  );
  fc.assert(
    fc.property(fc.array(fc.array(word, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 4 }), (parts) => {
      const line = parts.map((words) => words.join(' ')).join(', ');
      const all = said(line);
      const figures = new Set(line.match(/\d+(?:[.,/]\d+)*/g) ?? []);
      for (const part of all) {
        if (part.is === 'reading' && part.gravity !== null) expect(figures).toContain(/[\d.]+/.exec(part.gravity)?.[0]);
        if (part.is === 'addition') expect(part.text).toMatch(/\d|half/);
      }
      // Every figure stands in the words of some part.
      const texts = all.map(({ text }) => text).join(' ');
      for (const figure of figures) expect(texts).toContain(figure);
    }),
    { seed: 7, numRuns: 400 },
  );
});
