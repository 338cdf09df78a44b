import { Solver } from 'odex';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { seededRandom } from '../../base/numeric/random.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { madeTraits } from '../../testing/made-traits.js';
import { fermentRates, fermentSetting, gravityAt, startOf, type FermentTraits } from './ferment-model.js';
import { integrateFerment, STEP_DAYS } from './integrate-ferment.js';

const must = liquidFromReadings({ volumeL: 20, sg: 1.055, taGPerL: 5.5, ph: 3.45, yanMgPerL: 80 });
const setting = fermentSetting(must, yeastById('crisp-cider'), 0.25);
const DAYS = 60;
const HEAT = 0.6;

/** The model's equations by a general solver with error control. */
function byOdex(traits: FermentTraits, days: number): number {
  const start = startOf(setting);
  const solver = new Solver(4);
  solver.absoluteTolerance = 1e-9;
  solver.relativeTolerance = 1e-9;
  const { y } = solver.solve(
    (_t, [yeastGPerL = 0, nitrogenMgPerL = 0, sugarGPerL = 0, served = 0]) => {
      const rates = fermentRates({ yeastGPerL, nitrogenMgPerL, sugarGPerL, served }, HEAT, setting, traits);
      return [rates.yeastGPerL, rates.nitrogenMgPerL, rates.sugarGPerL, rates.served];
    },
    0,
    [start.yeastGPerL, start.nitrogenMgPerL, start.sugarGPerL, start.served],
    days,
  );
  return gravityAt(y[2] ?? NaN, setting, traits.endOffsetSg);
}

describe('integrateFerment', () => {
  it('agrees with a general solver within half a point, for possible ferments of every kind', () => {
    const random = seededRandom(11);
    const steps = DAYS / STEP_DAYS;
    let furthest = 0;
    for (let k = 0; k < 40; k += 1) {
      const traits = madeTraits(setting, random);
      const out = new Float64Array(steps + 1);
      integrateFerment(setting, traits, { heat: new Float64Array(steps).fill(HEAT), driftFrom: steps, feeds: [] }, out);
      for (const day of [4, 8, 14, 25, DAYS]) furthest = Math.max(furthest, Math.abs((out[Math.round(day / STEP_DAYS)] ?? NaN) - byOdex(traits, day)));
    }
    expect(furthest).toBeLessThan(0.0005);
  });
});
