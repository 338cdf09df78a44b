import { ownFermentableId } from '../../base/reference/own-fermentable.js';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { dryAbvOf, gravityOf } from '../../matter/liquid/views.js';
import { replay } from '../../book/log/replay.js';
import { logOf } from '../../testing/made-logs.js';
import { expectWithin } from '../../testing/expect-within.js';
import { additionPlan } from './addition-plan.js';
import { ADDITIONS, type AdditionAsk, type AdditionPlan } from './addition-types.js';

const make = logOf();
const begun = make.filled();
const juice = replay([begun]).liquid ?? liquidFromReadings({ volumeL: 20, sg: 1.048 });
const ask: AdditionAsk = {
  what: 'sugar',
  liquid: juice,
  targetSg: null,
  targetAbv: null,
  targetTaGPerL: null,
  targetPh: null,
  targetTanninGPerL: null,
  fermentableId: 'sucrose',
  acid: 'malic',
  carbonate: 'potassium-bicarbonate',
  form: 'potassium-metabisulfite',
  product: 'organic',
  yeastId: 'crisp-cider',
  tempC: 15,
  packetGPerL: null,
  boiled: false,
  bentoniteIn: false,
  sulfitedHoursAgo: null,
  fermentedFraction: 0,
  stage: 'must',
  phMeasured: true,
  given: null,
};
const planOf = (changes: Partial<AdditionAsk>): AdditionPlan => {
  const outcome = additionPlan({ ...ask, ...changes });
  if (outcome.kind !== 'plan') throw new Error(JSON.stringify(outcome));
  return outcome.plan;
};
/** The drink after what would be filed. */
const replayed = ({ payload }: AdditionPlan): Liquid => replay([begun, make.entry('addition', 0.1, payload)]).liquid ?? juice;

describe('additionPlan', () => {
  it.each<[string, Partial<AdditionAsk>, (after: Liquid) => number, number]>([
    ['sugar to a gravity', { what: 'sugar', targetSg: 1.06 }, gravityOf, 1.06],
    ['sugar to a strength', { what: 'sugar', targetAbv: 7 }, dryAbvOf, 7],
    ['water to a gravity', { what: 'water', targetSg: 1.042 }, gravityOf, 1.042],
    ['acid to a titratable acidity', { what: 'acid', targetTaGPerL: 7 }, taOf, 7],
    ['lemons to a titratable acidity', { what: 'acid', acid: 'lemon', targetTaGPerL: 7 }, taOf, 7],
    ['acid to a pH', { what: 'acid', targetPh: 3.3 }, phOf, 3.3],
    ['carbonate to a pH', { what: 'carbonate', targetPh: 3.8 }, phOf, 3.8],
    ['tannin', { what: 'tannin', targetTanninGPerL: 1.5 }, (l) => l.tanninGPerL, 1.5],
  ])('brings %s, and files what it shows', (_what, changes, view, target) => {
    const plan = planOf(changes);
    expectWithin(view(plan.after), target, { abs: 0.001 });
    expectWithin(view(replayed(plan)), target, { abs: 0.001 });
    expect(plan.steps.length).toBeGreaterThan(0);
  });
  it.each(ADDITIONS.map((a) => a.id))('of %s shows the drink that the log will hold, whatever amount really went in', (what) => {
    const given = what === 'water' ? 1 : 4;
    const plan = planOf({ what, given });
    const [shown, held] = [plan.after, replayed(plan)];
    expectWithin(gravityOf(held), gravityOf(shown), { abs: 1e-9 });
    expectWithin(phOf(held), phOf(shown), { abs: 1e-6 });
    expectWithin(held.volumeL, shown.volumeL, { abs: 1e-9 });
    expectWithin(held.totalSo2MgPerL, shown.totalSo2MgPerL, { abs: 1e-9 });
    // What was worked out stands beside what was given.
    expect(plan.amount === given).toBe(what === 'water' || what === 'carbonate' || what === 'tannin');
  });
  it('counts lemons by the 50 g of acid in a litre of their juice', () => {
    const [powder, lemons] = [planOf({ what: 'acid', acid: 'citric', targetTaGPerL: 7 }), planOf({ what: 'acid', acid: 'lemon', targetTaGPerL: 7 })];
    expect([powder.unit, lemons.unit]).toEqual(['g', 'mL']);
    expectWithin(lemons.amount, powder.amount * 20, { abs: 1e-6 });
    expect(planOf({ what: 'acid', acid: 'lemon', given: 100 }).payload).toEqual({ what: 'acid', acid: 'citric', massG: 5 });
  });
  it('asks for what is missing, and refuses what cannot be', () => {
    const missing = (changes: Partial<AdditionAsk>): unknown => additionPlan({ ...ask, ...changes });
    expect(missing({ what: 'sugar' })).toEqual({ kind: 'untold', what: 'the strength or gravity wanted' });
    expect(missing({ what: 'water' })).toEqual({ kind: 'untold', what: 'the gravity wanted' });
    expect(missing({ what: 'carbonate' })).toEqual({ kind: 'untold', what: 'the acidity or pH wanted' });
    expect(missing({ what: 'tannin' })).toEqual({ kind: 'untold', what: 'the tannin wanted' });
    expect(missing({ what: 'sugar', targetSg: 1.03 })).toMatchObject({ kind: 'refused' });
  });
});

describe('sulfite', () => {
  const sulfite = (changes: Partial<AdditionAsk>): AdditionPlan => planOf({ what: 'sulfite', ...changes });
  it('speaks by where the batch stands: wait before yeast, nothing while it works, for keeping once it is done', () => {
    expect(sulfite({}).advice.join(' ')).toMatch(/wait 24 hours before yeast\. 100 mg\/L in all, of the 200/);
    expect(sulfite({ stage: 'working' })).toMatchObject({ amount: 0, payload: { so2MgPerL: 0 } });
    expect(sulfite({ stage: 'working' }).advice.join(' ')).toMatch(/at work.*wait for the end/);
    const kept = sulfite({ stage: 'finished' }).advice.join(' ');
    expect(kept).toMatch(/For keeping it.*leave it out: it makes the bottles slow/);
    expect(kept).not.toMatch(/before yeast/);
    expect(sulfite({ liquid: { ...juice, totalSo2MgPerL: 150, freeSo2MgPerL: 100 } }).advice[0]).toMatch(/none is needed/);
    expect(sulfite({ stage: 'finished', liquid: { ...juice, totalSo2MgPerL: 150, freeSo2MgPerL: 100 } }).advice[0]).toMatch(/holds enough/);
  });
  it('counts tablets, and files what went in', () => {
    expect(sulfite({ form: 'tablet' })).toMatchObject({ unit: 'tablets', amount: 9 });
    expect(sulfite({ form: 'tablet', given: 2 }).payload).toEqual({ what: 'sulfite', so2MgPerL: 22.5 });
  });
  it('warns of the total, not only of the dose', () => {
    const ids = sulfite({ given: 6, liquid: { ...juice, totalSo2MgPerL: 150 } }).cautions.map((c) => c.id);
    expect(ids).toContain('sulfite-total');
  });
});

describe('sugar', () => {
  it('that does not ferment makes no strength, and milk sugar is an allergen', () => {
    const lactose = planOf({ what: 'sugar', fermentableId: 'lactose', targetAbv: 7, targetSg: 1.055 });
    expectWithin(dryAbvOf(lactose.after), dryAbvOf(juice), { abs: 0.15 });
    expect(lactose.cautions.map((c) => c.id)).toContain('allergen');
    expect(planOf({ what: 'sugar', targetSg: 1.055 }).cautions.map((c) => c.id)).not.toContain('allergen');
  });
  it('of one’s own says what only its packet knows, and what it does to the look', () => {
    const own = (lastingG: number) =>
      planOf({ fermentableId: ownFermentableId({ name: 'Toffees', carbohydrateG: 80, lastingG, hazy: true }), targetSg: gravityOf(juice) + 0.005 });
    expect(own(0).cautions.map((c) => c.id)).toEqual(['allergen']);
    expect(own(20).cautions.map((c) => c.id)).toEqual(['allergen', 'xylitol']);
    expect(own(0).advice.join()).toContain('leaves the drink hazy');
    expect(gravityOf(own(0).after)).toBeCloseTo(gravityOf(juice) + 0.005, 4);
  });
  it('goes in by steps where it is much', () => {
    expect(planOf({ what: 'sugar', targetSg: 1.055 }).advice).toHaveLength(1);
    expect(planOf({ what: 'sugar', targetSg: 1.09 }).advice[1]).toMatch(/^So much goes in \d steps, a day apart\.$/);
  });
});
