import { fermentableGPerL } from '../../matter/liquid/views.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { replay } from '../log/replay.js';
import type { BatchState } from '../state/batch-state.js';
import { judgeState } from '../state/judge-state.js';

const make = logOf();
const dry = make.dryAt(0.998);
const none = make.entry('tested', 27, { by: 'sugar-test', sugarGPerL: 0, acknowledged: [] });
/** Dextrose into the 20 L: a gram of it is a gram of sugar. */
const sugar = (day: number, massG: number): Entry => make.entry('sweetened', day, { sweetenerId: 'dextrose-anhydrous', massG });
const after = (...more: readonly Entry[]): BatchState => replay([...dry, none, ...more]);
const isProvenOn = (state: BatchState, day: number): boolean => judgeState(state, make.at(day))?.value.status === 'finished-dry';

describe('sugar that comes into a drink whose end is proven', () => {
  it.each([
    ['a trace, under 0.3 g/L', 5.8, true],
    ['a little over that', 6.4, false],
    ['much', 300, false],
  ])('%s', (_much, massG, proves) => {
    const state = after(sugar(28, massG));
    expect([isProvenOn(state, 28), state.tested !== null, state.wokenAt]).toEqual([proves, proves, proves ? null : make.at(28)]);
  });
  it('is counted in grams and not by the litre: water brings none, and a drink as sugary as it is brings what it holds', () => {
    expect(isProvenOn(after(make.entry('addition', 28, { what: 'water', volumeL: 4 })), 28)).toBe(true);
    const sweet = replay([make.filled(), make.pitched(), make.read(5, 1.03), make.entry('addition', 6, { what: 'water', volumeL: 4 })]);
    expect(sweet.judged.filter((each) => each.kind === 'gravity-changed')).toMatchObject([{ sugarless: true }]);
    // A tenth more of a drink that is as sweet: not a gram by the litre.
    const [litres, before] = [2, replay([make.filled(), make.pitched(), make.read(5, 1.03)])];
    const liquid = before.liquid ? { ...before.liquid, volumeL: litres } : never();
    const part = { from: 'batch' as const, sourceId: 'X', name: 'its twin', liquid, yeastId: 'crisp-cider', guessed: [] };
    const poured = make.entry('blended', 6, { parts: [part], vessels: [{ vesselId: 'V', volumeL: 20 + litres }], tempC: null });
    const fuller = replay([make.filled(), make.pitched(), make.read(5, 1.03), poured]);
    expect(fermentableGPerL(fuller.liquid ?? never())).toBeCloseTo(fermentableGPerL(before.liquid ?? never()), 5);
    expect(fuller.judged.filter((each) => each.kind === 'gravity-changed')).toMatchObject([{ sugarless: false }]);
  });
  it('says from when it must be proven again, by the first of several, until it is', () => {
    expect(after(sugar(28, 300), sugar(28.5, 300)).wokenAt).toBe(make.at(28));
    expect(after(sugar(28, 300), sugar(33, 300)).wokenAt).toBe(make.at(28));
    const again = [make.read(50, 0.9965), make.read(66, 0.9965)];
    expect(isProvenOn(after(sugar(28, 300), ...again), 66)).toBe(true);
    expect(after(sugar(28, 300), ...again, sugar(67, 300)).wokenAt).toBe(make.at(67));
  });
});

describe('sugar before any end', () => {
  it('into a drink at work proves nothing wrong', () => {
    const state = replay([make.filled(), make.pitched(), make.read(5, 1.03), sugar(6, 300)]);
    expect(state.wokenAt).toBeNull();
  });
  it('into a must changes what its readings are held against, and nothing else', () => {
    const state = replay([make.filled(), make.entry('addition', 0.05, { what: 'fermentable', fermentableId: 'sucrose', massG: 300 })]);
    expect(state.judged.filter((each) => each.kind === 'gravity-changed')).toEqual([{ at: make.at(0.05), kind: 'gravity-changed' }]);
    expect([state.wokenAt, state.originalBy]).toEqual([null, 'sum']);
  });
  it('goes into what the forecast counts from as well', () => {
    const gramsIn = (...more: readonly Entry[]): number => {
      const must = replay([make.filled(), make.pitched(), make.read(5, 1.03), ...more]).pitch?.liquid ?? never();
      return fermentableGPerL(must) * must.volumeL;
    };
    expect(gramsIn(sugar(6, 300)) - gramsIn()).toBeCloseTo(300, 0);
  });
});

function never(): never {
  throw new Error('there is nothing in a vessel');
}
