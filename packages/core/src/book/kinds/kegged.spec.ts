import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { vesselsAfter } from '../entry/entry-kinds.js';
import { checkEntryAgainst } from '../log/check-entry.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import { judgeState } from '../state/judge-state.js';

const make = logOf();
const dry = [...make.dryAt(0.9975), make.malolactic(27, { done: true, turnedFraction: 1 })];
const working = [make.filled(), make.pitched(), make.read(3, 1.03), make.read(6, 1.02)];
const keg = (storeC: number, acknowledged: readonly string[] = []): Entry => make.kegged(28, { storeC, acknowledged });
const against = (log: readonly Entry[], act: Entry): { readonly refusal: string | null; readonly dangers: readonly string[] } => {
  const state = replay(log);
  const { refusal, dangers } = checkEntryAgainst(state, judgeState(state, act.at)?.value ?? null, act);
  return { refusal, dangers: dangers.map((d) => d.id) };
};

describe('a keg', () => {
  it('holds what was put into it, and is all that holds the batch', () => {
    const act = keg(4);
    const state = replay([...dry, act]);
    expect(state.keg).toEqual({
      id: act.id,
      vesselId: 'K',
      volumeL: 19,
      targetVolumes: 2.4,
      storeC: 4,
      at: act.at,
      gassedOn: null,
      unproven: false,
      letOff: null,
    });
    expect(state.vessels).toEqual([{ vesselId: 'K', volumeL: 19 }]);
    expect(state.liquid).toEqual({ ...replay(dry).liquid, volumeL: 19 });
    expect(state.lastLiquid).toEqual(state.liquid);
    expect(vesselsAfter(act)).toEqual(['K']);
    expect(describeEntry(act, DEFAULT_UNITS)).toEqual({ lead: 'Kegged', rest: '19 L, kept at 4 °C' });
  });
  it('of a drink whose end is not proven is kept at 5 °C or colder, with its danger acknowledged', () => {
    expect(against(working, keg(5)).dangers).toEqual(['sealed-ferment']);
    expect(against(working, keg(5, ['sealed-ferment']))).toEqual({ refusal: null, dangers: [] });
    expect(against(working, keg(5.1, ['sealed-ferment'])).refusal).toBe('Its end is not proven, so the keg must be kept at 5 °C or colder.');
  });
  it('of a proven one stands where it likes', () => {
    expect(against(dry, keg(20))).toEqual({ refusal: null, dangers: [] });
  });
  it('takes nothing more while it is sealed', () => {
    const sealed = [...dry, keg(4)];
    for (const act of [
      make.primed(29),
      make.racked(29, 18),
      make.entry('addition', 29, { what: 'water', volumeL: 1 }),
      make.entry('stabilised', 29, { so2MgPerL: 50, sorbateMgPerL: 150 }),
    ])
      expect(against(sealed, act).refusal).toMatch(/Let the gas off and open the keg first/);
  });
  it('is drawn from glass by glass, and is no keg of it once it is empty', () => {
    const drawn = (volumeL: number): Entry => make.entry('discarded', 30, { volumeL, why: 'drunk from the vessel' });
    const some = replay([...dry, keg(4), drawn(5)]);
    expect([some.liquid?.volumeL, some.keg?.volumeL]).toEqual([14, 19]);
    const empty = replay([...dry, keg(4), drawn(5), drawn(13.5)]);
    expect([empty.liquid, empty.keg, empty.vessels]).toEqual([null, null, []]);
    expect(against([...dry, keg(4)], drawn(1))).toEqual({ refusal: null, dangers: [] });
  });
  it('cannot be filled from an empty batch', () => {
    expect(replay([keg(4)]).issues.map((i) => i.text)).toEqual(['there is nothing in the vessels of this batch']);
  });
});
