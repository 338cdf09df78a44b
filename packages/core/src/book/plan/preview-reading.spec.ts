import { waterOf } from '../../matter/liquid/liquid.js';
import { abvOf, gravityOf } from '../../matter/liquid/views.js';
import type { Entry } from '../entry/entry.js';
import { judgeState } from '../state/judge-state.js';
import { replay } from '../log/replay.js';
import { logOf } from '../../testing/made-logs.js';
import { PLAIN_STEM } from '../../matter/measure/gauge.js';
import { previewReading, type ReadingContext } from './preview-reading.js';

const STEM = PLAIN_STEM;
const LENS: typeof STEM = { ...PLAIN_STEM, kind: 'refractometer' };
const make = logOf();
const context: ReadingContext = {
  state: replay([make.filled(), make.pitched(), make.read(5, 1.02)]),
  at: make.at(9),
  sampleC: 25,
  correcting: null,
};

describe('previewReading', () => {
  it('corrects for the sample’s heat as it is typed', () => {
    const preview = previewReading('1.010', STEM, context);
    expect(preview.sg).toBeGreaterThan(1.0108);
    expect(preview.questions).toEqual([]);
    expect(abvOf(preview.drink ?? waterOf(1))).toBeGreaterThan(4);
  });
  it('reads Brix, and corrects it for alcohol on a refractometer', () => {
    expect(previewReading('3 Bx', STEM, { ...context, sampleC: null }).sg).toBeCloseTo(1.0118, 3);
    expect(previewReading('6', LENS, context).sg).toBeCloseTo(1.012, 2);
  });
  it.each(['1.500'])('asks about %s and stores nothing', (text) => {
    const preview = previewReading(text, STEM, context);
    expect(preview.raw).toBeNull();
    expect(preview.questions[0]?.suggestionSg).toBeCloseTo(1.05, 1);
  });
  it('asks about a rise, but not against the entry it corrects', () => {
    expect(previewReading('1.030', STEM, context).questions.map((q) => q.id)).toEqual(['rise']);
    const own = context.state.readings[0]?.id ?? '';
    expect(previewReading('1.030', STEM, { ...context, at: make.at(5), correcting: own }).questions).toEqual([]);
  });
  it('takes acts of one minute in the order they were written down: a rise after sugar is no wonder, one before it is', () => {
    const sugar = make.entry('addition', 5, { what: 'fermentable', fermentableId: 'sucrose', massG: 800 });
    const [before, after] = [make.read(5, 1.02), make.read(5, 1.034)];
    const asked = (...log: readonly Entry[]): readonly string[] =>
      previewReading('1.034', STEM, { ...context, sampleC: 20, state: replay([make.filled(), make.pitched(), ...log]) }).questions.map((q) => q.id);
    expect(asked(before, sugar)).toEqual([]);
    expect(asked(sugar, before)).toEqual(['rise']);
    // Before yeast as well.
    const must = (...log: readonly Entry[]): readonly string[] =>
      previewReading('1.062', STEM, { ...context, sampleC: 20, state: replay([make.filled(), ...log]) }).questions.map((q) => q.id);
    expect(must(make.read(5, 1.05), sugar)).toEqual([]);
    expect(must(sugar, make.read(5, 1.05))).toEqual(['rise']);
    const { readings, judged } = replay([make.filled(), make.pitched(), before, sugar, after]);
    const moments = [readings[0]?.at ?? '', judged.at(-1)?.at ?? '', readings[1]?.at ?? ''];
    expect(new Set(moments).size).toBe(3);
    expect([...moments].sort()).toEqual(moments);
  });
  it('asks about a must that is far from what went in, before yeast and where nothing was read since', () => {
    const sugar = make.entry('addition', 0, { what: 'fermentable', fermentableId: 'sucrose', massG: 300 });
    const must = (text: string, ...log: readonly Entry[]): readonly string[] =>
      previewReading(text, STEM, { ...context, at: make.at(1), sampleC: 20, state: replay([make.filled(), ...log]) }).questions.map((q) => q.id);
    const own = gravityOf(replay([make.filled()]).liquid ?? waterOf(1));
    expect([own - 0.005, own, own + 0.005].map((sg) => must(sg.toFixed(4)))).toEqual([[], [], []]);
    expect([own - 0.01, own + 0.01, 1.106].map((sg) => must(sg.toFixed(4)))).toEqual([['unmixed'], ['unmixed'], ['unmixed']]);
    // What was added counts, roughly: it is reckoned, and may lie at the bottom.
    const sweetened = gravityOf(replay([make.filled(), sugar]).liquid ?? waterOf(1));
    expect([sweetened, sweetened - 0.01].map((sg) => must(sg.toFixed(4), sugar))).toEqual([[], []]);
    expect(must('1.106', sugar)).toEqual(['unmixed']);
    // Of a day before the sugar nothing is known, and with yeast in it falls.
    expect(must('1.106', { ...sugar, at: make.at(2) })).toEqual([]);
    expect(must((own - 0.012).toFixed(4), make.pitched())).toEqual([]);
  });
  it('does not wait for a reading since sugar that went in before the yeast', () => {
    const sugar = make.entry('addition', 0, { what: 'fermentable', fermentableId: 'sucrose', massG: 300 });
    const state = replay([make.filled(), sugar, make.read(0, 1.06), make.pitched()]);
    expect(judgeState(state, make.at(2))?.value.sentence).toBe('Cannot tell yet: no reading since the yeast went in.');
  });
  it('reads a gravity without its point, and asks about a figure that may be another', () => {
    expect(previewReading('1015', STEM, context).raw?.reading).toBe(1.015);
    expect(previewReading('0.55', STEM, context).unreadable).toBe('1.055? Then write 1.055.');
    expect(previewReading('12.4', STEM, context).unreadable).toMatch(/^12\.4 °Bx \(1\.050\)\?/);
  });
  it('says what it cannot read', () => {
    expect(previewReading('about one', STEM, context).unreadable).toMatch(/1\.048 or 12 Bx/);
    expect(previewReading('', STEM, context)).toMatchObject({ raw: null, unreadable: null, questions: [] });
  });
});
