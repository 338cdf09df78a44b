import { BLANK_SHEET, type TasteSheet } from '../../finish/taste/taste-sheet.js';
import { TASTE_FAMILIES, TASTE_WORD_IDS } from '../../finish/taste/taste-words.js';
import { logOf } from '../../testing/made-logs.js';
import { seededRandom } from '../../base/numeric/random.js';
import { FAULTS } from '../faults/fault-data.js';
import { replay } from '../log/replay.js';
import { summarise } from '../summary/batch-summary.js';
import { judgedBatch, likedApart, TRAITS, type JudgedBatch, type Trait } from './liked-apart.js';
import { nextTimeFor, type TastedBatch } from './next-time.js';
import { tastingsOf, wasLiked, type Tasting } from './tastings.js';

const make = logOf();
const sheet = (changes: Partial<TasteSheet>): TasteSheet => ({ ...BLANK_SHEET, ...changes });
const tasted = (day: number, changes: Partial<TasteSheet>, again: boolean | null = null) =>
  make.entry('tasted', day, { text: '', sparkle: null, again, sheet: sheet(changes) });

describe('the wheel', () => {
  it('has each word once, and sends what smells off to a fault that is known', () => {
    expect(new Set(TASTE_WORD_IDS).size).toBe(TASTE_WORD_IDS.length);
    const faults = TASTE_FAMILIES.flatMap((f) => f.words.flatMap((w) => w.faultId ?? []));
    expect(faults.filter((id) => !FAULTS.some((fault) => fault.id === id))).toEqual([]);
    expect(faults).toHaveLength(TASTE_FAMILIES.at(-1)?.words.length ?? 0);
  });
});

describe('tastingsOf', () => {
  const bottled = make.bottled(30);
  const log = [...make.dryAt(0.998), make.primed(30), bottled, tasted(44, { score: 6 }), tasted(120, { score: 8, next: 'sooner' })];
  it('counts the age of what was tasted from the bottling, and keeps it beside the log', () => {
    const told = tastingsOf(log, replay(log).crates);
    expect(told.map((t) => [t.ageDays, t.crateId, t.sheet?.score])).toEqual([
      [expect.closeTo(14, 1), bottled.id, 6],
      [expect.closeTo(90, 1), bottled.id, 8],
    ]);
    expect(summarise(log).tastings).toEqual(told);
  });
  it('has no age for what was drawn from the vessel, nor where two crates may be meant', () => {
    const second = make.bottled(31, { count: 1 });
    expect(tastingsOf([tasted(12, {})], replay(log).crates)[0]).toMatchObject({ ageDays: null, crateId: null });
    const both = [...log.slice(0, -2), second, tasted(60, {}), tasted(61, { crateId: second.id })];
    expect(tastingsOf(both, replay(both).crates).map((t) => t.crateId)).toEqual([null, second.id]);
    // Filled weeks apart nobody knows how old it was; on one day, all of it is as old.
    const crate = (id: string, day: number) => ({ id, bottledAt: make.at(day) });
    const age = (days: readonly number[]) => tastingsOf([tasted(60, {})], days.map((day, i) => crate(`C${i}`, day)))[0]?.ageDays; // prettier-ignore
    expect([age([20, 40]), age([20, 20.4]), age([])]).toEqual([null, 40, null]);
  });
});

describe('wasLiked', () => {
  const said = (score: number | null, again: boolean | null): Pick<Tasting, 'again' | 'sheet'> => ({ again, sheet: sheet({ score }) });
  it.each([
    [[said(7, null)], true],
    [[said(5, null)], false],
    [[said(6, null)], null],
    [[said(9, false)], false],
    [[said(3, null), said(8, null)], true],
    [[said(8, null), said(6, null)], true],
    [[], null],
  ])('of %j is %s: the last that says so, the word before the score', (tastings, liked) => {
    expect(wasLiked(tastings)).toBe(liked);
  });
});

describe('nextTimeFor', () => {
  const batch = (id: string, day: number, facts: Partial<TastedBatch>, next = `of ${id}`): TastedBatch => ({
    ...{ id, name: id, fruits: ['other'], yeastId: null, methodId: null },
    tastings: [{ entryId: '', at: make.at(day), text: '', sparkle: null, again: null, sheet: sheet({ next }), crateId: null, ageDays: null }],
    ...facts,
  });
  const begun = { fruits: ['apple', 'Orchard gold'], yeastId: 'crisp-cider', methodId: 'from-carton' };
  it('tells what was noted on the most alike first, then the newest, and why', () => {
    const told = nextTimeFor(begun, [
      batch('old', 1, { fruits: ['apple'] }),
      batch('unlike', 9, {}),
      batch('new', 5, { yeastId: 'crisp-cider' }),
      batch('both', 2, { methodId: 'from-carton', fruits: ['Orchard gold'] }),
    ]);
    expect(told.map((n) => [n.name, n.text, n.alike])).toEqual([
      ['both', 'of both', ['fruit', 'manner']],
      ['new', 'of new', ['yeast']],
      ['old', 'of old', ['fruit']],
    ]);
  });
  it('tells nothing where nothing was noted, and does not take two batches without yeast for alike', () => {
    expect(nextTimeFor(begun, [batch('mute', 3, { fruits: ['apple'] }, '  ')])).toEqual([]);
    expect(nextTimeFor({ ...begun, yeastId: null, methodId: null, fruits: [] }, [batch('wild', 3, {})])).toEqual([]);
  });
});

describe('likedApart', () => {
  const NONE = Object.fromEntries(TRAITS.map((t) => [t, null])) as Record<Trait, null>;
  const judged = (liked: boolean, traits: Partial<JudgedBatch['traits']>): JudgedBatch => ({ liked, traits: { ...NONE, ...traits } });
  it('tells a figure that keeps the liked apart, and not one that does not', () => {
    const batches = [0, 1, 2, 3, 4, 5].flatMap((i) => [judged(true, { acid: 6 + i / 10, abv: 5 + i }), judged(false, { acid: 4 + i / 10, abv: 5.5 + i })]);
    const { isEnough, looked } = likedApart(batches);
    expect(isEnough).toBe(true);
    // Wholly apart, six of each: 2 of 924 ways, twice looked.
    expect(looked.map((l) => [l.trait, l.isTold])).toEqual([
      ['acid', true],
      ['abv', false],
    ]);
    expect(looked[0]).toMatchObject({ liked: expect.closeTo(6.25, 6), less: expect.closeTo(4.25, 6), chance: expect.closeTo(4 / 924, 9) });
  });
  it('says that three and three can tell nothing, and how they stand all the same', () => {
    const batches = [1, 2, 3].flatMap((i) => [judged(true, { acid: 6 + i }), judged(false, { acid: i })]);
    expect(likedApart(batches)).toMatchObject({ liked: 3, less: 3, isEnough: false, looked: [{ trait: 'acid', liked: 8, less: 2, isTold: false }] });
  });
  it('finds what is not there in fewer than one of twenty cellars', () => {
    const { uniform: random } = seededRandom(7);
    let found = 0;
    for (let cellar = 0; cellar < 2000; cellar += 1) {
      const batches = Array.from({ length: 14 }, (_, i) => judged(i % 2 === 0, { acid: random(), abv: random(), fizz: random(), days: random() }));
      if (likedApart(batches).looked.some((l) => l.isTold)) found += 1;
    }
    // One in twenty is 100; three times the spread of such a count above it.
    expect(found).toBeLessThan(129);
  });
  it('takes what was measured alone: a typical acid is nobody’s figure', () => {
    const [filled, ...rest] = [...make.dryAt(0.998), make.primed(30), make.bottled(30), tasted(60, { score: 9 })];
    expect(filled.kind).toBe('filled');
    const log = [make.filled({ taGPerL: null }), ...rest];
    const state = replay(log);
    const batch = judgedBatch(state, tastingsOf(log, state.crates));
    expect(batch).toMatchObject({ liked: true, traits: { acid: null, warmth: 18, fizz: expect.closeTo(state.crates[0]?.co2Volumes ?? 0, 9) } });
    expect(batch?.traits.days).toBeCloseTo(29.9, 1);
    expect(judgedBatch(state, [])).toBeNull();
  });
});
