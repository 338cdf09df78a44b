import { BOTTLE_KINDS, bottleById } from './bottle-kinds.js';
import { CAUTIONS } from '../cautions/catalogue.js';
import { addFermentable, hexoseFrom } from '../../matter/liquid/additions.js';
import { taOf } from '../../matter/liquid/acid-chemistry.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import { METHODS } from '../../book/plan/method.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { FERMENTABLES } from './fermentables-data.js';
import { fermentableById } from './fermentables.js';
import { FRUIT_LIBRARY } from './fruit-library-data.js';
import { fruitById } from './fruit-library.js';
import { YEAST_KINDS } from './yeast-kinds-data.js';
import { yeastWords } from './yeast-words.js';
import { yeastById } from './yeast-kinds.js';

const rises = (list: readonly number[]): boolean => list.every((x, i) => i === 0 || x >= (list[i - 1] ?? x));

describe('fermentables', () => {
  it.each(FERMENTABLES.map((f) => [f.id, f] as const))('%s agrees with itself', (_id, f) => {
    expect(f.fermentableFraction).toBeLessThanOrEqual(f.extractFraction + 1e-9);
    // Dried fruit is the exception: the bulk of its pulp is not counted in the volume.
    if (f.id !== 'raisins-sultanas') expectWithin(f.pointsLPerKg, 1000 * (1.0018 - f.volumeLPerKg), { abs: 2.1 });
    // A gram of what ferments gives 0.489 g of gas as hexose, 0.514 as sucrose.
    expect(f.co2GPerG).toBeGreaterThanOrEqual(f.fermentableFraction * 0.489 - 0.006);
    expect(f.co2GPerG).toBeLessThanOrEqual(f.fermentableFraction * 0.514 + 0.006);
  });
  it.each(FERMENTABLES.filter((f) => f.extractFraction > 0.6).map((f) => [f.id, f] as const))('%s gives its points in water', (id, f) => {
    const solution = addFermentable(waterOf(10), { fermentableId: id, massG: 1000 });
    const points = (gravityOf(solution) - 1) * 1000 * solution.volumeL;
    // Points count the mass over water's; the solids fit counts the mass dissolved.
    expectWithin(points, f.pointsLPerKg, { abs: 12 });
  });
  it('brings the acid, sorbitol and nitrogen of a juice with its sugar', () => {
    const base = liquidFromReadings({ volumeL: 19, sg: 1.05, taGPerL: 5, ph: 3.6 });
    // 1.36 kg are a litre of concentrate at 35 g/L of acid, 30 of sorbitol and 330 mg/L of nitrogen: (19 × 5 + 35) ÷ 20.
    const stronger = addFermentable(base, { fermentableId: 'apple-concentrate', massG: 1000 / 0.734 });
    expectWithin(stronger.volumeL, 20, { abs: 1e-9 });
    expectWithin(taOf(stronger), 6.5, { abs: 0.01 });
    expectWithin(stronger.sorbitolGPerL, (19 * 5 + 30) / 20, { abs: 0.01 });
    expectWithin(stronger.yanMgPerL, (19 * base.yanMgPerL + 330) / 20, { abs: 0.1 });
    expectWithin(taOf(addFermentable(base, { fermentableId: 'sucrose', massG: 1000 })) * (19 + 0.618), 19 * 5, { abs: 0.1 });
  });
  it('makes as much hexose as it is said to', () => {
    expectWithin(hexoseFrom({ fermentableId: 'sucrose', massG: 100 }), 105.26, { abs: 1e-9 });
    expectWithin(hexoseFrom({ fermentableId: 'dextrose-monohydrate', massG: 100 }), 90.9, { abs: 1e-9 });
    expect(hexoseFrom({ fermentableId: 'erythritol', massG: 100 })).toBe(0);
  });
});

describe('kinds of yeast', () => {
  it.each(YEAST_KINDS.map((y) => [y.id, y] as const))('%s has ranges that rise', (_id, y) => {
    for (const range of [y.tempC, y.toleranceAbv, y.expectedFg, y.lagHours, y.malicReductionPct]) expect(rises(range)).toBe(true);
    const { aroma, bestFor, caution } = yeastWords(y);
    for (const text of [aroma, bestFor, caution]) expect(text.length).toBeGreaterThan(10);
  });
});

describe('the fruit library', () => {
  it.each(FRUIT_LIBRARY.filter((f) => f.group !== 'concentrate').map((f) => [f.id, f] as const))('%s makes a juice that ferments out', (_id, f) => {
    for (const range of [f.sg, f.taGPerL, f.ph, f.tanninGPerL, f.yanMgPerL]) expect(rises(range)).toBe(true);
    const juice = liquidFromReadings({
      volumeL: 10,
      sg: f.sg[1],
      taGPerL: f.taGPerL[1],
      ph: f.ph[1],
      tanninGPerL: f.tanninGPerL[1],
      sorbitolGPerL: f.sorbitolGPerL,
      fruit: f.fruit,
    });
    expect(dryGravityOf(juice)).toBeGreaterThan(0.985);
    expect(dryGravityOf(juice)).toBeLessThan(1.012);
  });
});

describe('ids', () => {
  it.each([
    ['fermentables', FERMENTABLES],
    ['yeasts', YEAST_KINDS],
    ['fruit', FRUIT_LIBRARY],
    ['bottles', BOTTLE_KINDS],
    ['methods', METHODS],
  ])('of %s are unique', (_what, rows) => {
    expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
  });
  it('that nobody knows are refused by name', () => {
    for (const look of [fermentableById, yeastById, fruitById, bottleById]) expect(refusalCode(() => look('moonshine'))).toBe('UNKNOWN_ID');
  });
});

describe('cautions', () => {
  it.each(Object.entries(CAUTIONS))('%s says what and what to do, and promises nothing', (id, c) => {
    expect(c.id).toBe(id);
    expect(c.text.length).toBeGreaterThan(20);
    expect(c.whatToDo.length).toBeGreaterThan(20);
    expect(`${c.text} ${c.whatToDo}`).not.toMatch(/!|guarantee|\bsafe\b/);
  });
});
