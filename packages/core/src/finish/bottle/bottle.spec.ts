import * as fc from 'fast-check';
import { PRESSURE_CASES, SOLUBILITY_CASES } from '../../../reference-cases/fizz.js';
import { readyWindow } from './ready-window.js';
import { whyUntil } from './why-until.js';
import { addFermentable, hexoseFrom } from '../../matter/liquid/additions.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { abvOf, dryAbvOf, dryGravityOf, fermentableGPerL } from '../../matter/liquid/views.js';
import { seededRandom } from '../../base/numeric/random.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode, refusalDetails } from '../../testing/expect-within.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import { bottleSafety, chanceText, type BottleSafetyInput } from './bottle-safety.js';
import { bottlePressure, co2Solubility, kegPressure, residualCo2, volumesAt } from './co2-solubility.js';
import { fizzWord } from './fizz-levels.js';
import { planBottles } from './plan-bottles.js';
import { fizzFromDose, primingSugar } from './priming-sugar.js';
import { pressureBand, withPriming, type SealedGas } from './sealed-gas.js';

const juice = liquidFromReadings({ volumeL: 20, sg: 1.05, taGPerL: 6, ph: 3.5, tanninGPerL: 0.5 });
const dry = fermentTo(juice, dryGravityOf(juice));
const priming = { liquid: dry, targetVolumes: 2.6, warmestSinceEndC: 18, fermentableId: 'sucrose', mode: 'bulk' } as const;

describe('co2Solubility', () => {
  it.each(SOLUBILITY_CASES)('is $volumesPerAtm at $tempC °C', ({ tempC, volumesPerAtm }) => {
    expectWithin(co2Solubility(tempC), volumesPerAtm, { abs: 0.001 });
  });
  it('is a hundredth less for each % of alcohol', () => {
    expectWithin(co2Solubility(20, 10) / co2Solubility(20, 0), 0.9, { abs: 1e-9 });
    expect(co2Solubility(12)).toBe(co2Solubility(12, 5));
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
  it('adds for the height and never asks for less than nothing', () => {
    expectWithin(kegPressure({ targetVolumes: 2.5, tempC: 4, altitudeM: 1500 }) - kegPressure({ targetVolumes: 2.5, tempC: 4 }), 0.18, { abs: 1e-9 });
    expect(kegPressure({ targetVolumes: 0.5, tempC: 20 })).toBe(0);
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
  it('gives a juice the fizz of the room it takes up as well, in all of it and in each bottle', () => {
    // 0.108 of a juice is sugar, 0.489 g of gas from a gram of it; a kilogram is 0.954 L. Worked the other way round, by hand.
    for (const mode of ['bulk', 'per-bottle'] as const) {
      const { massG, residualVolumes, perBottleG } = primingSugar({ ...priming, fermentableId: 'apple-juice', mode, bottleMl: 500 }).value;
      const litres = 20 + (massG * 0.954) / 1000;
      expectWithin((residualVolumes * 20 + (massG * 0.053) / 1.9768) / litres, 2.6, { abs: 1e-6 });
      expect(litres - 20).toBeGreaterThan(1);
      if (perBottleG !== null) expectWithin(perBottleG * (litres / 0.5), massG, { abs: 1e-6 });
      expectWithin(fizzFromDose({ ...priming, fermentableId: 'apple-juice', massG }), 2.6, { abs: 1e-9 });
    }
  });
  it('shares it over bottles', () => {
    const each = primingSugar({ ...priming, mode: 'per-bottle', bottleMl: 500 }).value;
    expectWithin(each.perBottleG ?? NaN, each.gPerL / 2, { abs: 1e-9 });
  });
  it('refuses fizz that is there already, and a sugar that makes none', () => {
    expect(refusalCode(() => primingSugar({ ...priming, liquid: { ...dry, hexoseGPerL: 12 } }))).toBe('UNREACHABLE');
    expect(refusalCode(() => primingSugar({ ...priming, fermentableId: 'erythritol' }))).toBe('NOT_ALLOWED');
    expect(() => primingSugar({ ...priming, liquid: { ...dry, hexoseGPerL: 12 } })).toThrow(/will reach 3\.9 volumes/);
    expect(() => primingSugar({ ...priming, fermentableId: 'erythritol' })).toThrow(/does not ferment/);
    expect(refusalDetails(() => primingSugar({ ...priming, fermentableId: 'erythritol' }))).toEqual({ field: 'fermentableId', given: 'erythritol' });
    // 0.88 from its warmth, and 12 g of sugar, 0.489 g of gas each.
    expect(refusalDetails(() => primingSugar({ ...priming, liquid: { ...dry, hexoseGPerL: 12 } }))).toEqual({
      field: 'targetVolumes',
      given: 2.6,
      withoutSugarVolumes: expect.closeTo(residualCo2({ warmestSinceEndC: 18 }) + (12 * 0.489) / 1.9768, 5) as number,
    });
  });
  it('asks for none where the fizz is just there, and adds the strength of what it asks for', () => {
    const there = residualCo2({ warmestSinceEndC: 18 }) + (fermentableGPerL(dry) * 0.489) / 1.9768;
    expect(primingSugar({ ...priming, targetVolumes: there }).value).toMatchObject({ massG: 0, gPerL: 0, fromPrimingVolumes: 0, addsAbv: 0 });
    const { addsAbv, gPerL } = primingSugar(priming).value;
    // 16.83 g of sugar as hexose make a litre one per cent stronger; the syrup thins it by a little.
    expectWithin(addsAbv, (gPerL * 1.0526) / 16.83 - 0.03, { abs: 0.02 });
  });
  it('takes off what the room of a juice takes up, and says so; of a powder there is none', () => {
    const sum = (fermentableId: string): readonly [string, string] => {
      const step = primingSugar({ ...priming, fermentableId }).steps.find(({ label }) => label === 'Sugar to add');
      return [step?.expression.split(' ÷ ')[1] ?? '', step?.source ?? ''];
    };
    expect(sum('sucrose')).toEqual(['0.514', 'CO₂ of this sugar by molar mass']);
    // 2.6 volumes of 1.9768 g in the 0.954 L of a kilogram.
    expect(sum('apple-juice')).toEqual(['(0.053 − 0.0049)', 'CO₂ of this sugar by molar mass, less the fizz of the room it takes up']);
  });
  it('tells every part of the sum, and warns of glass and of hot syrup', () => {
    const { steps, cautions } = primingSugar({ ...priming, liquid: { ...dry, hexoseGPerL: 1 } });
    expect(steps.map((s) => s.result)).toEqual(
      ['0.88 volumes', '0.25 volumes', '5.65 g/L', '113 g'].map((r) => expect.stringContaining(r.slice(0, 3)) as string),
    );
    expect(cautions.map((c) => c.id)).toEqual(['burst-glass', 'scald']);
  });
  it('reckons the fizz of a dose the other way round, sugar left in it too', () => {
    const liquid = { ...dry, hexoseGPerL: 2 };
    const { massG } = primingSugar({ ...priming, liquid }).value;
    expectWithin(fizzFromDose({ ...priming, liquid, massG }), 2.6, { abs: 1e-9 });
  });
});

describe('planBottles', () => {
  it('fills 39 halves from 20 L less half a litre', () => {
    const plan = planBottles({ volumeL: 20, lossL: 0.5, bottles: [{ kindId: 'crown-500', count: null }] }).value;
    expect(plan.bottleCount).toBe(39);
    expectWithin(plan.overL, 0, { abs: 1e-9 });
  });
  it('fills what is counted before what takes the rest, wherever it stands', () => {
    const bottles = [
      { kindId: 'crown-330', count: null },
      { kindId: 'crown-500', count: 6 },
    ];
    expect(planBottles({ volumeL: 9, lossL: 0.4, bottles }).value.lots.map((lot) => [lot.kindId, lot.count])).toEqual([
      ['crown-330', 16],
      ['crown-500', 6],
    ]);
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
  /** Dry, its sugar known by a test and its malolactic change over: what is left to doubt is the weighing. */
  const gas: SealedGas = { liquid: dry, weighedGPerL: 0, sugarSdGPerL: 1, malolactic: 'over', warmestSinceEndC: 18 };
  const lively = withPriming(gas, { fermentableId: 'sucrose', massG: 130 });
  const base: BottleSafetyInput = { gas: lively, provenFinished: true, bottle: bottleById('crown-500'), hottestC: 26 };
  const verdict = (changes: Partial<BottleSafetyInput>): string => bottleSafety({ ...base, ...changes }).value.verdict;
  const chance = (changes: Partial<BottleSafetyInput>): number => bottleSafety({ ...base, ...changes }).value.chanceOverLimit;

  it('holds a lively cider whose sugar is known in crown caps, and not in an attic or in wine bottles', () => {
    expect(verdict({})).not.toBe('do-not-bottle');
    expect(verdict({ hottestC: 36 })).toBe('do-not-bottle');
    expect(verdict({ bottle: bottleById('wine-750') })).toBe('do-not-bottle');
  });
  it('does not trust a hydrometer alone with a lively cider in crown caps', () => {
    const byHydrometer = { ...lively, sugarSdGPerL: 3.2 };
    expect(verdict({ gas: byHydrometer })).toBe('do-not-bottle');
    expect(verdict({ gas: byHydrometer, bottle: bottleById('plastic-500') })).not.toBe('do-not-bottle');
  });
  it('takes no store to stay under 25 °C', () => {
    expect(chance({ hottestC: 8 })).toBe(chance({ hottestC: 25 }));
    expect(chance({ hottestC: 30 })).toBeGreaterThan(chance({ hottestC: 25 }));
  });
  it('refuses any ferment not proven finished and any malolactic change under way, whatever the bottle', () => {
    const plastic = bottleById('plastic-500');
    const unproven = bottleSafety({ ...base, provenFinished: false, bottle: plastic });
    expect(unproven.value.verdict).toBe('do-not-bottle');
    expect(unproven.cautions.map((c) => c.id)).toContain('sealed-ferment');
    const turning = bottleSafety({ ...base, gas: { ...gas, malolactic: 'under-way' }, bottle: plastic });
    expect(turning.value.verdict).toBe('do-not-bottle');
    expect(turning.cautions.map((c) => c.id)).toContain('malolactic-gas');
  });
  it('counts 0.166 volumes for each g/L of malic acid that can turn, and names it where it alone makes the difference', () => {
    const possible = { ...lively, malolactic: 'possible' as const };
    const more = bottleSafety({ ...base, gas: possible }).value.co2Volumes - bottleSafety(base).value.co2Volumes;
    expectWithin(more, 0.166 * lively.liquid.malicGPerL, { abs: 1e-9 });
    expect(bottleSafety({ ...base, gas: possible }).cautions.map((c) => c.id)).toContain('malolactic-gas');
    expect(bottleSafety({ ...base, gas: possible }).cautions.map((c) => c.id)).not.toContain('over-pressure');
  });
  it('finds 6.3 volumes in the sugar left at 1.010', () => {
    const early = bottleSafety({ ...base, gas: { ...gas, liquid: fermentTo(juice, 1.01) } }).value;
    expectWithin(early.co2Volumes - residualCo2({ warmestSinceEndC: 18, abv: 5.3 }), 6.3, { abs: 0.05 });
    expect(early.chanceOverLimit).toBeGreaterThan(0.99);
  });
  it('grows more doubtful with heat, fizz, rough knowledge, alcohol and the number of bottles', () => {
    const hot = { ...base, hottestC: 29 };
    const at = (changes: Partial<BottleSafetyInput>): number => bottleSafety({ ...hot, ...changes }).value.chanceOverLimit;
    expect(at({ hottestC: 31 })).toBeGreaterThan(at({}));
    expect(at({ gas: withPriming(lively, { fermentableId: 'sucrose', massG: 20 }) })).toBeGreaterThan(at({}));
    expect(at({ gas: { ...lively, sugarSdGPerL: 3 } })).toBeGreaterThan(at({}));
    expect(at({ bottleCount: 400 })).toBeGreaterThan(at({ bottleCount: 1 }));
    // Strong drinks hold less gas, so more of it presses on the glass.
    const strong = { ...lively, liquid: { ...lively.liquid, ethanolGPerL: lively.liquid.ethanolGPerL * 1.6 } };
    expect(bottleSafety({ ...hot, gas: strong }).value.hottest.highBar).toBeGreaterThan(bottleSafety(hot).value.hottest.highBar);
  });
  it('agrees with a plain simulation of lots', () => {
    const gasses = { ...lively, sugarSdGPerL: 2 };
    const random = seededRandom(7);
    const limit = 4.2;
    let over = 0;
    const lots = 20_000;
    for (let lot = 0; lot < lots; lot += 1) {
      const left = (Math.max(0, 2 * random.normal()) * 0.489) / 1.9768;
      const weighed = (hexoseFrom({ fermentableId: 'sucrose', massG: 130 }) / lively.liquid.volumeL) * (0.489 / 1.9768);
      const shared = 0.05 * weighed * random.normal() + 0.05 * random.normal();
      const still = (0.6 + 0.4 * random.uniform()) * residualCo2({ warmestSinceEndC: 18, abv: abvOf(lively.liquid) });
      const air = 0.6 + 0.3 * random.uniform();
      const worst = Math.max(...Array.from({ length: 40 }, () => Math.hypot(0.03 * weighed, 0.02) * random.normal()));
      // Henry's law written out: what the drink and the neck hold at one atmosphere on a 32 °C day.
      const bunsen = 0.665 * (0.592 / 0.665) ** (2 / 5);
      const perAtm = (1 - 0.01 * dryAbvOf(lively.liquid)) * bunsen + (0.04 * 273.15) / 305.15;
      if (((left + weighed + shared + still + worst) / perAtm - 1) * 1.01325 + air > limit) over += 1;
    }
    expectWithin(chance({ gas: gasses, hottestC: 32 }), over / lots, { abs: 0.012 });
  });
  it('gives a band around the likely pressure, with the malic acid at its upper end', () => {
    const band = pressureBand(lively, 20);
    expect(band.lowBar).toBeLessThan(band.likelyBar);
    expect(band.highBar).toBeGreaterThan(band.likelyBar);
    const possible = pressureBand({ ...lively, malolactic: 'possible' }, 20);
    expect(possible.highBar).toBeGreaterThan(band.highBar + 0.5);
    expect(possible.likelyBar).toBe(band.likelyBar);
  });
  it('says small chances in words, and no number under one in a thousand', () => {
    expect([chanceText(1e-9), chanceText(0.00099), chanceText(0.0025), chanceText(0.02), chanceText(0.9)]).toEqual([
      'under 1 in 1,000',
      'under 1 in 1,000',
      'about 1 in 400',
      'about 1 in 50',
      'more likely than not',
    ]);
  });
});

describe('fizzFromDose', () => {
  it('is the sum of the priming, the other way round', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.6, max: 4, noNaN: true }), fc.constantFrom('sucrose', 'dextrose-monohydrate', 'honey'), (targetVolumes, fermentableId) => {
        const asked = { ...priming, fermentableId };
        const { massG } = primingSugar({ ...asked, targetVolumes }).value;
        expectWithin(fizzFromDose({ ...asked, massG }), targetVolumes, { abs: 1e-9 });
      }),
      SEED,
    );
  });
});

describe('readyWindow and fizzWord', () => {
  const crate = { bottledAt: '2026-01-01', abv: 5, sparkling: true, freeSo2MgPerL: 0, lots: [{ kindId: 'crown-500' }] };
  it('makes the strong wait longer and keep longer', () => {
    const light = readyWindow(crate);
    const strong = readyWindow({ ...crate, abv: 8 });
    expect(light).toMatchObject({ from: '2026-01-22', bestUntil: '2026-09-28' });
    expect(strong.from > light.from && strong.bestUntil > light.bestUntil).toBe(true);
  });
  it('keeps weeks in plastic, less under rubber, and a still one longer with sulfite; the weakest bottle decides', () => {
    const until = (changes: Partial<typeof crate>): string => readyWindow({ ...crate, ...changes }).bestUntil;
    expect(until({ lots: [{ kindId: 'plastic-500' }] })).toBe('2026-03-12');
    expect(until({ lots: [{ kindId: 'crown-500' }, { kindId: 'plastic-1000' }] })).toBe('2026-03-12');
    expect(until({ lots: [{ kindId: 'swing-500' }] }) < until({})).toBe(true);
    // Wired corks breathe less than crown liners: 270 days and a fifth.
    expect(until({ lots: [{ kindId: 'sparkling-750' }] })).toBe('2026-11-21');
    expect(until({ sparkling: false, freeSo2MgPerL: 30 }) > until({ sparkling: false })).toBe(true);
    // The test bottle is not for keeping, and decides nothing.
    const beside = [{ kindId: 'crown-500' }, { kindId: 'plastic-500' }];
    expect(readyWindow({ ...crate, lots: beside, testBottle: true }).bestUntil).toBe(until({}));
    // Strong and in plastic it is never past its best before it is ready.
    const strong = readyWindow({ ...crate, abv: 12, lots: [{ kindId: 'plastic-500' }] });
    expect(strong.bestUntil > strong.from).toBe(true);
  });
  it.each<[Partial<typeof crate> & { readonly wakesVolumes?: number }, RegExp]>([
    [{}, /^As drinks of its strength keep\.$/],
    [{ abv: 8 }, /Its strength keeps it longer/],
    [{ abv: 3.5 }, /Light as it is/],
    [{ lots: [{ kindId: 'plastic-500' }] }, /^Plastic lets air in/],
    [{ lots: [{ kindId: 'swing-500' }] }, /Rubber rings breathe/],
    [{ lots: [{ kindId: 'sparkling-750' }] }, /A wired cork/],
    [{ lots: [{ kindId: 'sparkling-750' }, { kindId: 'swing-500' }] }, /Rubber rings breathe/],
    [{ sparkling: false }, /Still, with hardly any sulfite against air/],
    [{ sparkling: false, freeSo2MgPerL: 30 }, /^As drinks/],
    [{ wakesVolumes: 6 }, /Weeks only/],
  ])('says why: %j', (changes, why) => {
    expect(whyUntil({ ...crate, ...changes })).toMatch(why);
  });
  it('names fizz', () => {
    expect([fizzWord(0.9), fizzWord(1.5), fizzWord(2.6)]).toEqual(['still', 'prickle', 'lively']);
  });
});
