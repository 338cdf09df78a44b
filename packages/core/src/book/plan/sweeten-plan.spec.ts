import type { Worked } from '../../base/worked/worked.js';
import { gravityOf, sweetnessGPerL } from '../../matter/liquid/views.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { replay } from '../log/replay.js';
import { judgeState } from '../state/judge-state.js';
import { sealWay } from '../state/sealing.js';
import { sweetenPlan, type SweetenPlan } from './sweeten-plan.js';

const make = logOf();
const dry = [...make.dryAt(0.9975), make.malolactic(27, { done: true, turnedFraction: 1 })];
const held = [...dry, make.racked(28, 19.5), make.entry('stabilised', 28.2, { so2MgPerL: 120, sorbateMgPerL: 200 })];
const working = [make.filled(), make.pitched(), make.read(3, 1.03), make.read(6, 1.02)];

function planOf(
  log: readonly Entry[],
  day: number,
  sweetenerId: string,
  wish: { readonly targetGPerL?: number; readonly targetSg?: number; readonly massG?: number } = { targetGPerL: log === working ? 90 : 25 },
): SweetenPlan & Pick<Worked<SweetenPlan>, 'cautions'> {
  const state = replay(log);
  const plan = sweetenPlan({
    state,
    verdict: judgeState(state, make.at(day))?.value ?? null,
    sweetenerId,
    targetGPerL: wish.targetGPerL ?? null,
    targetSg: wish.targetSg ?? null,
    massG: wish.massG ?? null,
  });
  if (!plan) throw new Error('nothing is wished');
  return { ...plan.value, cautions: plan.cautions };
}
/** On what grounds a batch may be sealed once the plan is done. */
function wayAfter(log: readonly Entry[], day: number, sweetenerId: string): string {
  const { massG } = planOf(log, day, sweetenerId);
  const state = replay([...log, make.entry('sweetened', day, { sweetenerId, massG })]);
  return sealWay(state, judgeState(state, make.at(day + 0.1))?.value ?? null);
}

describe('sweetenPlan', () => {
  it.each<[string, readonly Entry[], number, string, string, string]>([
    ['what yeast cannot eat lasts', dry, 28, 'erythritol', 'lasts', 'proven'],
    ['sugar after the whole dose is held', held, 29, 'sucrose', 'held', 'stabilised'],
    ['sugar after a proven end wakes it', dry, 28, 'sucrose', 'wakes', 'unproven'],
    ['sugar in a working drink is eaten', working, 6, 'honey', 'eaten', 'unproven'],
  ])('%s, and the log says the same once it is filed', (_what, log, day, sweetenerId, fate, way) => {
    expect(planOf(log, day, sweetenerId).fate).toBe(fate);
    expect(wayAfter(log, day, sweetenerId)).toBe(way);
  });
  it('reaches the sweetness wished, or says what an amount comes to', () => {
    const { massG, after } = planOf(dry, 28, 'sucrose');
    expect(sweetnessGPerL(after)).toBeCloseTo(25, 6);
    expect(planOf(dry, 28, 'sucrose', { massG }).after).toEqual(after);
    expect(gravityOf(planOf(dry, 28, 'sucrose', { targetGPerL: 25, targetSg: 1.008 }).after)).toBeCloseTo(1.008, 6);
    expect(planOf(dry, 28, 'sucrose', { targetSg: 1.008, massG }).after).toEqual(after);
  });
  it('asks to mind what each can do', () => {
    const ids = (log: readonly Entry[], day: number, sweetenerId: string): readonly string[] => planOf(log, day, sweetenerId).cautions.map((c) => c.id);
    expect([ids(dry, 28, 'xylitol'), ids(dry, 28, 'lactose'), ids(dry, 28, 'erythritol')]).toEqual([['xylitol'], ['allergen'], []]);
    expect([ids(held, 29, 'sucrose'), ids(dry, 28, 'sucrose')]).toEqual([['re-ferment'], ['let-gas-out']]);
  });
  it('has nothing to say of an empty vessel, or of no wish', () => {
    const state = replay(dry);
    const common = { verdict: null, sweetenerId: 'sucrose', targetSg: null, massG: null };
    expect(sweetenPlan({ ...common, state: { ...state, liquid: null }, targetGPerL: 20 })).toBeNull();
    expect(sweetenPlan({ ...common, state, targetGPerL: null })).toBeNull();
  });
});
