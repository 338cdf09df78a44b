import * as fc from 'fast-check';
import { sulfiteDose } from '../../juice/adjust/sulfite-dose.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { dryGravityOf, fermentableGPerL } from '../../matter/liquid/views.js';
import { arbitraryJuice, SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin } from '../../testing/expect-within.js';
import { BOTTLE_KINDS, bottleById, type BottleKind } from '../../base/reference/bottle-kinds.js';
import { ownBottleId } from '../../base/reference/own-bottle-id.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { bottleSafety } from './bottle-safety.js';
import { bottlePressure, co2Solubility, residualCo2 } from './co2-solubility.js';
import { primingSugar } from './priming-sugar.js';
import { pressureBand, withPriming, type SealedGas } from './sealed-gas.js';

const arbitraryDry = arbitraryJuice.map((l) => fermentTo(l, dryGravityOf(l)));
const volumes = fc.double({ min: 1.2, max: 3.5, noNaN: true });
const warmth = fc.double({ min: 2, max: 28, noNaN: true });
const anyRated = bottleById('crown-500');
const sugarG = fc.double({ min: 0, max: 200, noNaN: true });
const gasOf = (liquid: Liquid): SealedGas => ({ liquid, weighedGPerL: 0, sugarSdGPerL: 2.5, malolactic: 'possible', warmestSinceEndC: 18 });

describe('fizz, whatever the drink', () => {
  it('is made of what stayed, what was left and what was primed, and of nothing else', () => {
    fc.assert(
      fc.property(arbitraryDry, volumes, warmth, (liquid, targetVolumes, warmestSinceEndC) => {
        fc.pre(targetVolumes > residualCo2({ warmestSinceEndC }));
        const p = primingSugar({ liquid, targetVolumes, warmestSinceEndC, fermentableId: 'sucrose', mode: 'bulk' }).value;
        expectWithin(p.residualVolumes + p.fromLeftoverVolumes + p.fromPrimingVolumes, targetVolumes, { abs: 1e-9 });
        expectWithin(p.massG, p.gPerL * liquid.volumeL, { abs: 1e-6 });
      }),
      SEED,
    );
  });
  it('needs more sugar the warmer the drink has been, and less the sweeter it still is', () => {
    fc.assert(
      fc.property(arbitraryDry, warmth, (liquid, warmestSinceEndC) => {
        const gPerL = (l: typeof liquid, c: number): number =>
          primingSugar({ liquid: l, targetVolumes: 3, warmestSinceEndC: c, fermentableId: 'sucrose', mode: 'bulk' }).value.gPerL;
        expect(gPerL(liquid, warmestSinceEndC + 1)).toBeGreaterThan(gPerL(liquid, warmestSinceEndC));
        const sweeter = { ...liquid, hexoseGPerL: liquid.hexoseGPerL + 1 };
        expect(gPerL(sweeter, warmestSinceEndC)).toBeLessThan(gPerL(liquid, warmestSinceEndC));
      }),
      SEED,
    );
  });
  it('presses harder the warmer the bottle and the smaller its gas space', () => {
    fc.assert(
      fc.property(volumes, warmth, (co2Volumes, tempC) => {
        expect(bottlePressure({ co2Volumes, tempC: tempC + 1 })).toBeGreaterThan(bottlePressure({ co2Volumes, tempC }));
        expect(bottlePressure({ co2Volumes, tempC })).toBeGreaterThan(bottlePressure({ co2Volumes, tempC, headspaceFraction: 0.05 }));
        expectWithin(bottlePressure({ co2Volumes: co2Solubility(tempC), tempC }), 0, { abs: 1e-9 });
      }),
      SEED,
    );
  });
});

describe('bottleSafety, whatever the bottle', () => {
  it('trusts a stronger bottle more, and no bottle with a ferment that may still run', () => {
    fc.assert(
      fc.property(arbitraryDry, sugarG, fc.double({ min: 15, max: 40, noNaN: true }), (liquid, massG, hottestC) => {
        const gas = withPriming(gasOf(liquid), { fermentableId: 'sucrose', massG });
        const chance = (limitBar: number): number =>
          bottleSafety({ gas, provenFinished: true, hottestC, bottle: { ...anyRated, limitBar } }).value.chanceOverLimit;
        expect(chance(6)).toBeLessThanOrEqual(chance(4) + 1e-12);
        const own = (limitBar: number): BottleKind => bottleById(ownBottleId({ name: 'Own', likeId: 'crown-500', sizeMl: 660, limitBar, hotLimitBar: null }));
        expect(bottleSafety({ gas, provenFinished: true, hottestC, bottle: own(6) }).value.chanceOverLimit).toBe(chance(6));
        for (const bottle of BOTTLE_KINDS) {
          expect(bottleSafety({ gas, provenFinished: false, hottestC, bottle }).value.verdict).toBe('do-not-bottle');
        }
      }),
      { ...SEED, numRuns: 60 },
    );
  });
  it('gives a chance between none and certain, and a band that holds the likely pressure', () => {
    fc.assert(
      fc.property(arbitraryJuice, fc.double({ min: 0.2, max: 1, noNaN: true }), sugarG, (juice, share, massG) => {
        const liquid = fermentTo(juice, juice.otherSolidsGPerL >= 0 ? dryGravityOf(juice) + (1 - share) * 0.01 : dryGravityOf(juice));
        const input = withPriming(gasOf(liquid), { fermentableId: 'sucrose', massG });
        const { chanceOverLimit } = bottleSafety({ gas: input, provenFinished: true, hottestC: 25, bottle: anyRated }).value;
        expect(chanceOverLimit).toBeGreaterThanOrEqual(0);
        expect(chanceOverLimit).toBeLessThanOrEqual(1);
        const band = pressureBand(input, 20);
        expect(band.lowBar <= band.likelyBar && band.likelyBar <= band.highBar).toBe(true);
        expect(fermentableGPerL(liquid)).toBeGreaterThanOrEqual(-1e-6);
      }),
      { ...SEED, numRuns: 100 },
    );
  });
});

describe('sulfiteDose, whatever the juice', () => {
  it('never passes the usual cap and never takes sulfite out', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2.8, max: 4.4, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        fc.constantFrom('juice' as const, 'storage' as const, 'storage-low' as const),
        (ph, there, aim) => {
          const { so2MgPerL } = sulfiteDose({ ph, volumeL: 10, aim, form: 'tablet', totalSo2MgPerL: there, freeSo2MgPerL: there / 2 }).value;
          expect(so2MgPerL).toBeGreaterThanOrEqual(0);
          expect(so2MgPerL + Math.min(200, there)).toBeLessThanOrEqual(200 + 1e-9);
        },
      ),
      SEED,
    );
  });
  it('needs more to keep a drink the higher its pH, until the cap', () => {
    const dose = (ph: number): number => sulfiteDose({ ph, volumeL: 10, aim: 'storage-low', form: 'potassium-metabisulfite' }).value.so2MgPerL;
    for (let ph = 3; ph < 4; ph += 0.1) expect(dose(ph + 0.1)).toBeGreaterThanOrEqual(dose(ph));
  });
});
