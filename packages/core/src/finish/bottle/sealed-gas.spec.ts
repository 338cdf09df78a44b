import { hexoseFrom } from '../../matter/liquid/additions.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { dryAbvOf, dryGravityOf } from '../../matter/liquid/views.js';
import { seededRandom } from '../../base/numeric/random.js';
import { bottlePressure } from './co2-solubility.js';
import { chanceOverPressure, gasParts, pressureBand, withPriming, type SealedGas } from './sealed-gas.js';

const juice = liquidFromReadings({ volumeL: 20, sg: 1.05, taGPerL: 6, ph: 3.5 });
const dry = { ...fermentTo(juice, dryGravityOf(juice)), malicGPerL: 3 };
const gas = (changes: Partial<SealedGas> & { readonly sugarGPerL?: number } = {}): SealedGas => {
  const { sugarGPerL = 0, ...rest } = changes;
  return { liquid: { ...dry, hexoseGPerL: sugarGPerL, sucroseGPerL: 0 }, weighedGPerL: 0, sugarSdGPerL: 1, malolactic: 'over', warmestSinceEndC: 15, ...rest };
};
/** Volumes of a g/L of hexose, and of malic acid: 0.489 and 44.01 ÷ 134.09, by 1.9768 g a volume. */
const [PER_SUGAR, PER_MALIC] = [0.489 / 1.9768, 0.3282 / 1.9768];
const AIR = { least: 0.6, most: 0.9 };

describe('gasParts', () => {
  it('splits the sugar into what was weighed in and what is left, each no more than there is', () => {
    const { weighed, leftover } = gasParts(gas({ sugarGPerL: 8, weighedGPerL: 5 }));
    expect([weighed / PER_SUGAR, leftover / PER_SUGAR]).toEqual([expect.closeTo(5, 2), expect.closeTo(3, 2)]);
    const more = gasParts(gas({ sugarGPerL: 4, weighedGPerL: 6 }));
    expect([more.weighed / PER_SUGAR, more.leftover]).toEqual([expect.closeTo(4, 2), 0]);
  });
  it('counts acid that can still turn, and gas held beyond what the open air leaves', () => {
    expect(gasParts(gas({ malolactic: 'possible' })).malic).toBeCloseTo(3 * PER_MALIC, 2);
    expect(gasParts(gas({ malolactic: 'under-way' })).malic).toBeCloseTo(3 * PER_MALIC, 2);
    expect(gasParts(gas()).malic).toBe(0);
    expect(gasParts(gas({ heldVolumes: 2.4 })).residual).toBe(2.4);
    expect(gasParts(gas({ heldVolumes: 0.1 })).residual).toBe(gasParts(gas()).residual);
  });
  it('knows priming by the scales: grams for the whole, spread over what it swells to', () => {
    const before = gas({ sugarGPerL: 4, weighedGPerL: 2 });
    const primed = withPriming(before, { fermentableId: 'sucrose', massG: 120 });
    const hexoseG = hexoseFrom({ fermentableId: 'sucrose', massG: 120 });
    expect(primed.weighedGPerL * primed.liquid.volumeL).toBeCloseTo(2 * 20 + hexoseG, 9);
  });
});

describe('pressureBand', () => {
  const at = (of: SealedGas, volumes: number, airBar: number): number =>
    bottlePressure({ co2Volumes: volumes, tempC: 25, headspaceFraction: 0.04, abv: dryAbvOf(of.liquid) }) + airBar;
  it.each<[string, SealedGas]>([
    ['weighed and left', gas({ sugarGPerL: 9, weighedGPerL: 6 })],
    ['little left', gas({ sugarGPerL: 0.5, weighedGPerL: 0, sugarSdGPerL: 2 })],
    ['malic acid', gas({ sugarGPerL: 6, weighedGPerL: 6, malolactic: 'possible' })],
  ])('goes from the least to the most there may be: %s', (_what, of) => {
    const { residual, weighed, leftover, leftoverSd, malic } = gasParts(of);
    const known = 1.645 * Math.hypot(0.05 * weighed, 0.05);
    const down = Math.hypot(known, Math.min(1.645 * leftoverSd, leftover));
    const up = Math.hypot(known, 1.645 * leftoverSd);
    const band = pressureBand(of, 25);
    expect(band.lowBar).toBeCloseTo(at(of, 0.6 * residual + weighed + leftover - down, AIR.least), 6);
    expect(band.likelyBar).toBeCloseTo(at(of, 0.8 * residual + weighed + leftover, 0.75), 6);
    expect(band.highBar).toBeCloseTo(at(of, residual + weighed + leftover + up + malic, AIR.most), 6);
  });
  it('never shows a vacuum', () => {
    expect(pressureBand(gas({ sugarSdGPerL: 0.1, warmestSinceEndC: 60 }), 0).lowBar).toBeGreaterThanOrEqual(0);
  });
});

describe('chanceOverPressure', () => {
  it.each<[string, SealedGas, number, number]>([
    ['weighed sugar in crown caps', gas({ sugarGPerL: 11, weighedGPerL: 11, sugarSdGPerL: 0.5 }), 4.2, 40],
    ['sugar left that is badly known', gas({ sugarGPerL: 4, weighedGPerL: 0, sugarSdGPerL: 3 }), 3.2, 10],
    ['acid that may turn', gas({ sugarGPerL: 6, weighedGPerL: 6, sugarSdGPerL: 1, malolactic: 'possible' }), 4.2, 40],
    ['one bottle', gas({ sugarGPerL: 10.5, weighedGPerL: 8, sugarSdGPerL: 1.5 }), 4.2, 1],
  ])('agrees with lots filled at random: %s', (_what, of, bar, bottleCount) => {
    const random = seededRandom(31);
    const { residual, weighed, leftover, leftoverSd, malic } = gasParts(of);
    const LOTS = 20_000;
    let over = 0;
    for (let lot = 0; lot < LOTS; lot += 1) {
      const held = residual * (0.6 + 0.4 * random.uniform());
      const air = AIR.least + (AIR.most - AIR.least) * random.uniform();
      const made = Math.max(0, leftover + leftoverSd * random.normal()) + weighed + malic + Math.hypot(0.05 * weighed, 0.05) * random.normal();
      let highest = -Infinity;
      for (let b = 0; b < bottleCount; b += 1) highest = Math.max(highest, random.normal());
      const volumes = Math.min(20, Math.max(0, held + made + Math.hypot(0.03 * weighed, 0.02) * highest));
      if (bottlePressure({ co2Volumes: volumes, tempC: 25, headspaceFraction: 0.04, abv: dryAbvOf(of.liquid) }) + air > bar) over += 1;
    }
    const share = over / LOTS;
    expect(share).toBeGreaterThan(0.005);
    expect(share).toBeLessThan(0.995);
    expect(Math.abs(chanceOverPressure(of, { bar, tempC: 25, bottleCount }) - share)).toBeLessThan(0.012);
  });
});
