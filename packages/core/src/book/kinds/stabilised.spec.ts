import { stabiliseDose } from '../../finish/bottle/stabilise-dose.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import { NOT_STABILISED, whyNotStabilised, type StabilisedPayload } from './stabilised.js';

const make = logOf();
const dry = [...make.dryAt(0.9975), make.malolactic(27, { done: true, turnedFraction: 1 })];
const clear = [...dry, make.racked(28, 19.5)];
const wholeOf = (log: readonly Entry[]): StabilisedPayload => {
  const { so2MgPerL, sorbicMgPerL } = stabiliseDose({ liquid: replay(log).liquid ?? waterOf(1) }).value;
  return { so2MgPerL, sorbateMgPerL: sorbicMgPerL };
};

describe('sulfite and sorbate', () => {
  it.each<[string, readonly Entry[], number, ReturnType<typeof whyNotStabilised>]>([
    ['in full, on a proven and racked drink', clear, 1, null],
    ['half of it', clear, 0.5, 'dose'],
    ['on the lees', dry, 1, 'on-lees'],
    ['while it works', [make.filled(), make.pitched(), make.read(3, 1.03), make.racked(28, 19.5)], 1, 'unproven'],
    ['while bacteria work', [...make.dryAt(0.9975), make.malolactic(27, { done: false }), make.racked(28, 19.5)], 1, 'malolactic'],
    ['where no malolactic change was ever said to be', [...make.dryAt(0.9975), make.racked(28, 19.5)], 1, null],
  ])('%s', (_what, log, share, why) => {
    const { so2MgPerL, sorbateMgPerL } = wholeOf(log);
    const dose = { so2MgPerL: share * so2MgPerL, sorbateMgPerL: share * sorbateMgPerL };
    expect(whyNotStabilised(replay(log), make.at(28.2), dose)).toBe(why);
    const state = replay([...log, make.entry('stabilised', 28.2, dose)]);
    expect(state.stabilisedAt).toBe(why === null ? make.at(28.2) : null);
    expect(state.notStabilised).toEqual(why === null ? null : { at: make.at(28.2), why: NOT_STABILISED[why] });
    expect(state.liquid?.sorbateMgPerL).toBeCloseTo(dose.sorbateMgPerL, 9);
  });
  it('are read back with what went in', () => {
    expect(describeEntry(make.entry('stabilised', 28, { so2MgPerL: 50, sorbateMgPerL: 150 }), DEFAULT_UNITS)).toEqual({
      lead: 'Sulfite and sorbate',
      rest: '50 mg/L sulfite, 150 mg/L sorbic acid',
    });
  });
});
