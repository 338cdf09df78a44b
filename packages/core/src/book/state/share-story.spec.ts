import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { replay } from '../log/replay.js';
import type { BatchState } from './batch-state.js';
import { judgeState } from './judge-state.js';
import { sealedGasOf } from './sealed-gas-of.js';
import { sealWay } from './sealing.js';
import { MOST_TOLD, storyOf } from './share-story.js';

const make = logOf();
const child = logOf('C');
const known = [make.malolactic(27, { done: true, turnedFraction: 1 }), make.entry('tested', 27.1, { by: 'sugar-test', sugarGPerL: 0.5, acknowledged: [] })];
/** A share of a batch, as the page that splits it files it. */
function shareOf(log: readonly Entry[], day: number, volumeL = 9): Entry {
  const state = replay(log);
  const story = storyOf(state, volumeL);
  const liquid = { ...(state.liquid ?? liquidFromReadings({ volumeL, sg: 1.05 })), volumeL };
  const part = { from: 'batch' as const, sourceId: 'B', name: 'Row', liquid, yeastId: state.yeastId, ...(story ? { story } : {}) };
  return child.entry('blended', day, { parts: [part], vessels: [{ vesselId: 'J', volumeL }], tempC: 18 });
}
const wayAt = (state: BatchState, day: number) => sealWay(state, judgeState(state, make.at(day))?.value ?? null);

describe('a share of a drink', () => {
  it.each<[string, readonly Entry[], number]>([
    ['working', [make.filled(), make.pitched(), make.read(3, 1.03), make.read(6, 1.02)], 7],
    ['proven finished', [...make.dryAt(0.9975), ...known], 28],
    ['finished, and sugar put in yesterday', [...make.dryAt(0.9975), ...known, make.entry('sweetened', 28, { sweetenerId: 'sucrose', massG: 300 })], 29],
    ['read once at its end', [make.filled(), make.pitched(), make.read(7, 1.012), make.read(18, 0.9975)], 19],
    ['touch high for weeks', [make.filled(), make.pitched(), make.read(7, 1.02), make.read(18, 1.003), make.read(33, 1.003)], 34],
  ])('%s is judged and sealed like the rest of it, today and in a month', (_what, log, day) => {
    const rest = replay(log);
    const share = replay([shareOf(log, day)]);
    expect(share.issues).toEqual([]);
    for (const later of [day, day + 30]) {
      expect(wayAt(share, later)).toBe(wayAt(rest, later));
      expect(judgeState(share, make.at(later))?.value.status).toBe(judgeState(rest, make.at(later))?.value.status);
    }
    const [gas, gasOfRest] = [sealedGasOf(share), sealedGasOf(rest)];
    expect({ ...gas, liquid: { ...gas?.liquid, volumeL: 0 } }).toEqual({ ...gasOfRest, liquid: { ...gasOfRest?.liquid, volumeL: 0 } });
    expect(share.stage).toBe(rest.stage);
  });
  it('goes on by itself: sugar in the one wakes not the other', () => {
    const log = [...make.dryAt(0.9975), ...known];
    const share = replay([shareOf(log, 28), child.entry('sweetened', 28.5, { sweetenerId: 'sucrose', massG: 200 })]);
    expect(wayAt(share, 29)).toBe('unproven');
    expect(wayAt(replay(log), 29)).toBe('proven');
  });
  it('can be stabilised, where the whole was racked and proven', () => {
    const log = [...make.dryAt(0.9975), ...known, make.racked(28, 19)];
    const dosed = replay([shareOf(log, 29), child.entry('stabilised', 29.1, { so2MgPerL: 120, sorbateMgPerL: 200 })]);
    expect(dosed.notStabilised).toBeNull();
    expect(wayAt(dosed, 30)).toBe('stabilised');
  });
  it('tells nothing before yeast, nor while fruit is in what it came from', () => {
    expect(storyOf(replay([make.filled()]), 5)).toBeNull();
    const fruit = [...make.dryAt(0.9975), ...known, make.entry('infused', 28, { infusionId: 'raspberry', massG: 900, days: 10 })];
    expect(storyOf(replay(fruit), 5)).toBeNull();
    expect(wayAt(replay([shareOf(fruit, 29)]), 60)).toBe('unproven');
  });
  it('takes the newest of a long log along', () => {
    const long = [make.filled(), make.pitched(), ...Array.from({ length: 150 }, (_none, i) => make.read(1 + i / 10, 1.048 - i * 0.0003))];
    const story = storyOf(replay(long), 5);
    expect(story?.readings).toHaveLength(MOST_TOLD);
    expect(story?.readings.at(-1)?.at).toBe(long.at(-1)?.at);
    expect(story?.temps).toHaveLength(MOST_TOLD);
    expect(story?.temps.at(-1)?.at).toBe(long.at(-1)?.at);
    expect(story?.pitchedGPerL).toBeCloseTo(0.25, 9);
  });
  it('is poured into others as before: only a batch that begins with it takes its story', () => {
    const log = [...make.dryAt(0.9975), ...known];
    const into = [...child.dryAt(0.998), shareOf(log, 40)];
    expect(replay(into).readings).toHaveLength(3);
  });
});
