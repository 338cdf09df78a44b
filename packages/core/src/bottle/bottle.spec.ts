import * as fc from 'fast-check';
import { PRESSURE_CASES, SOLUBILITY_CASES } from '../../reference-cases/fizz.js';
import { readyWindow } from '../cellar/ready-window.js';
import { addFermentable } from '../liquid/additions.js';
import { fermentTo } from '../liquid/ferment-to.js';
import { liquidFromReadings } from '../liquid/liquid-from-readings.js';
import { dryGravityOf, fermentableGPerL } from '../liquid/views.js';
import { SEED } from '../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../testing/expect-within.js';
import { bottleById } from './bottle-kinds.js';
import { bottleSafety, chanceText, pressureBand, type BottleSafetyInput } from './bottle-safety.js';
import { bottlePressure, co2Solubility, kegPressure, residualCo2, volumesAt } from './co2-solubility.js';
import { fizzWord } from './fizz-levels.js';
import { planBottles } from './plan-bottles.js';
import { primingSugar } from './priming-sugar.js';

const juice = liquidFromReadings({ volumeL: 20, sg: 1.05, taGPerL: 6, ph: 3.5, tanninGPerL: 0.5 });
const dry = fermentTo(juice, dryGravityOf(juice));
const priming = { liquid: dry, targetVolumes: 2.6, warmestSinceEndC: 18, fermentableId: 'sucrose', mode: 'bulk' } as const;

describe('co2Solubility', () => {
  it.each(SOLUBILITY_CASES)('is $volumesPerAtm at $tempC °C', ({ tempC, volumesPerAtm }) => {
    expectWithin(co2Solubility(tempC), volumesPerAtm, { abs: 0.001 });
  });
  it('falls with warmth and refuses what is off the table', () => {
    for (let t = 0; t < 59; t += 1) expect(co2Solubility(t + 1)).toBeLessThan(co2Solubility(t));
    expect(refusalCode(() => co2Solubility(61))).toBe('OUT_OF_RANGE');
  });
});

describe('bottlePressure', () => {
  it.each(PRESSURE_CASES)('is $bar bar with $co2Volumes volumes at $tempC °C', ({ bar, ...input }) => {
    expectWithin(bottlePressure(input), bar, { abs: 0.005 });
  });
  it('is undone by volumesAt', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 8, noNaN: true }), fc.double({ min: 0, max: 45, noNaN: true }), (co2Volumes, tempC) => {
        expectWithin(volumesAt({ bar: bottlePressure({ co2Volumes, tempC, headspaceFraction: 0.04 }), tempC, headspaceFraction: 0.04 }), co2Volumes, {
          abs: 1e-9,
        });
      }),
      SEED,
    );
  });
  it('sets a keg to 0.8 bar for 2.5 volumes at 4 °C', () => {
    expectWithin(kegPressure({ targetVolumes: 2.5, tempC: 4 }), 0.8, { abs: 0.02 });
  });
});

describe('primingSugar', () => {
  it('takes 6.6 g/L for 2.6 volumes at 18 °C, and 5.6 with 1 g/L still to ferment', () => {
    expectWithin(primingSugar(priming).value.gPerL, 6.6, { abs: 0.05 });
    expectWithin(primingSugar({ ...priming, liquid: { ...dry, hexoseGPerL: 1 } }).value.gPerL, 5.6, { abs: 0.05 });
  });
  it('makes exactly the fizz asked for, from any sugar', () => {
    for (const fermentableId of ['sucrose', 'dextrose-anhydrous', 'honey']) {
      const { massG, residualVolumes } = primingSugar({ ...priming, fermentableId }).value;
      const primed = addFermentable(dry, { fermentableId, massG });
      const volumes = residualVolumes + (fermentableGPerL(primed) * 0.489) / 1.9768;
      // The syrup's own volume thins it by a fraction of a percent.
      expectWithin(volumes, 2.6, { abs: 0.02 });
    }
  });
  it('shares it over bottles', () => {
    const each = primingSugar({ ...priming, mode: 'per-bottle', bottleMl: 500 }).value;
    expectWithin(each.perBottleG ?? NaN, each.gPerL / 2, { abs: 1e-9 });
  });
  it('refuses fizz that is there already, and a sugar that makes none', () => {
    expect(refusalCode(() => primingSugar({ ...priming, liquid: { ...dry, hexoseGPerL: 12 } }))).toBe('UNREACHABLE');
    expect(refusalCode(() => primingSugar({ ...priming, fermentableId: 'erythritol' }))).toBe('NOT_ALLOWED');
  });
});

describe('planBottles', () => {
  it('fills 39 halves from 20 L less half a litre', () => {
    const plan = planBottles({ volumeL: 20, lossL: 0.5, bottles: [{ kindId: 'crown-500', count: null }] }).value;
    expect(plan.bottleCount).toBe(39);
    expectWithin(plan.overL, 0, { abs: 1e-9 });
  });
  it('never fills more than there is', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 60, noNaN: true }), fc.nat(100), (volumeL, count) => {
        const plan = planBottles({
          volumeL,
          lossL: 0.4,
          bottles: [
            { kindId: 'sparkling-750', count },
            { kindId: 'crown-330', count: null },
          ],
        }).value;
        expectWithin(plan.filledL + plan.overL + 0.4, volumeL, { abs: 1e-9 });
        expect(plan.overL).toBeGreaterThanOrEqual(-1e-9);
        expect(plan.overL).toBeLessThan(0.33);
      }),
      SEED,
    );
  });
});

describe('bottleSafety', () => {
  const base: BottleSafetyInput = {
    liquid: dry,
    provenFinished: true,
    warmestSinceEndC: 18,
    primingVolumes: 1.7,
    bottle: bottleById('crown-500'),
    hottestC: 24,
  };
  const verdict = (changes: Partial<BottleSafetyInput>): string => bottleSafety({ ...base, ...changes }).value.verdict;

  it('holds a lively cider in crown caps in a cool shed, and not on a hot day in wine bottles', () => {
    expect(verdict({})).toBe('safe');
    expect(verdict({ hottestC: 34 })).toBe('do-not-bottle');
    expect(verdict({ bottle: bottleById('wine-750') })).toBe('do-not-bottle');
  });
  it('refuses any ferment not proven finished, whatever the bottle', () => {
    const unproven = bottleSafety({ ...base, provenFinished: false, bottle: bottleById('plastic-500') });
    expect(unproven.value.verdict).toBe('do-not-bottle');
    expect(unproven.cautions.map((c) => c.id)).toContain('sealed-ferment');
  });
  it('finds 6.3 volumes in the sugar left at 1.010', () => {
    const early = bottleSafety({ ...base, liquid: fermentTo(juice, 1.01), primingVolumes: 0 }).value;
    expectWithin(early.co2Volumes - residualCo2({ warmestSinceEndC: 18 }), 6.3, { abs: 0.05 });
    expect(early.chanceOverLimit).toBeGreaterThan(0.99);
  });
  it('grows more doubtful with heat, fizz and rough instruments', () => {
    const chance = (changes: Partial<BottleSafetyInput>): number => bottleSafety({ ...base, hottestC: 28, ...changes }).value.chanceOverLimit;
    expect(chance({ hottestC: 30 })).toBeGreaterThan(chance({}));
    expect(chance({ primingVolumes: 2 })).toBeGreaterThan(chance({}));
    expect(chance({ uncertainty: { gravitySg: 0.001, weighingFraction: 0.15, warmestC: 4 } })).toBeGreaterThan(chance({}));
  });
  it('gives a band around the likely pressure', () => {
    const band = pressureBand(base, 20);
    expect(band.lowBar).toBeLessThan(band.likelyBar);
    expect(band.highBar).toBeGreaterThan(band.likelyBar);
  });
  it('says small chances in words', () => {
    expect([chanceText(1e-9), chanceText(0.00025), chanceText(0.02), chanceText(0.9)]).toEqual([
      'under 1 in a million',
      'about 1 in 4,000',
      'about 1 in 50',
      'more likely than not',
    ]);
  });
});

describe('readyWindow and fizzWord', () => {
  it('makes the strong wait longer and keep longer', () => {
    const light = readyWindow({ bottledAt: '2026-01-01', abv: 5, sparkling: true });
    const strong = readyWindow({ bottledAt: '2026-01-01', abv: 8, sparkling: true });
    expect(light.from).toBe('2026-01-22');
    expect(strong.from > light.from && strong.bestUntil > light.bestUntil).toBe(true);
  });
  it('names fizz', () => {
    expect([fizzWord(0.9), fizzWord(1.5), fizzWord(2.6)]).toEqual(['still', 'prickle', 'lively']);
  });
});
