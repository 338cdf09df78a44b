// The forecast's ensemble, beside integrating the same possible ferments one by one with a general solver.
import { performance } from 'node:perf_hooks';
import odex from 'odex';
import { liquidFromReadings, forecast, gravityOf, yeastById } from '../packages/core/dist/index.js';
import { fermentRates, fermentSetting, gravityAt, startOf } from '../packages/core/dist/forecast/ferment-model.js';
import { cardinalFactor } from '../packages/core/dist/forecast/cardinal-temperature.js';
import { rateBelief, traitsFrom, DIMENSIONS } from '../packages/core/dist/forecast/traits-prior.js';
import { seededRandom } from '../packages/core/dist/numeric/random.js';
import { say } from '../tools/lib.mjs';
import { median, ratio } from './figures.mjs';

const FORECAST_LIMIT_MS = 1000;
const MEMBERS = 1000;
const DAYS = 200;
const READINGS = 30;
const TEMP_C = 13;

const must = liquidFromReadings({ volumeL: 20, sg: 1.054, taGPerL: 6, ph: 3.45, yanMgPerL: 70 });

/** Thirty readings of a slow ferment. */
const readings = Array.from({ length: READINGS }, (_, i) => {
  const day = 2 + i * 3;
  const fallen = 1 / (1 + Math.exp(-(day - 40) / 11));
  return { day, sg: Math.round((gravityOf(must) - 0.055 * fallen) * 1000) / 1000 };
});

/** 1,000 members over 200 days with 30 readings, and the ratio to the general solver. */
export function benchForecast() {
  const input = {
    liquid: must,
    yeastId: 'crisp-cider',
    pitchGPerL: 0.25,
    readings,
    tempProfile: [{ day: 0, tempC: TEMP_C }],
    members: MEMBERS,
    horizonDays: DAYS,
  };
  const times = [];
  for (let i = 0; i < 7; i += 1) {
    const before = performance.now();
    forecast({ ...input, seed: i });
    times.push(performance.now() - before);
  }
  const ms = median(times);
  const general = generalSolverMs();
  say(
    `Forecast, ${MEMBERS} members over ${DAYS} days with ${READINGS} readings: ${ms.toFixed(0)} ms (${ratio(ms, FORECAST_LIMIT_MS)}), ` +
      `${(ms / general).toFixed(2)} × the same members by odex one by one (${general.toFixed(0)} ms)`,
  );
}

/** Every member from the prior, integrated with error control to half a point, its gravity taken daily. */
function generalSolverMs() {
  const yeast = yeastById('crisp-cider');
  const setting = fermentSetting(must, yeast, 0.25);
  const heat = cardinalFactor(TEMP_C, yeast.tempC);
  const random = seededRandom(3);
  const before = performance.now();
  let sum = 0;
  for (let k = 0; k < MEMBERS; k += 1) {
    const traits = traitsFrom(
      Float64Array.from({ length: DIMENSIONS }, () => random.normal()),
      setting,
      rateBelief([]),
    );
    const start = startOf(setting);
    const solver = new odex.Solver(4);
    solver.absoluteTolerance = 1e-4;
    solver.relativeTolerance = 1e-4;
    solver.denseOutput = true;
    const rates = (_t, [yeastGPerL, nitrogenMgPerL, sugarGPerL, served]) => {
      const r = fermentRates({ yeastGPerL, nitrogenMgPerL: Math.max(0, nitrogenMgPerL), sugarGPerL: Math.max(0, sugarGPerL), served }, heat, setting, traits);
      return [r.yeastGPerL, r.nitrogenMgPerL, r.sugarGPerL, r.served];
    };
    solver.solve(
      rates,
      0,
      [start.yeastGPerL, start.nitrogenMgPerL, start.sugarGPerL, start.served],
      DAYS,
      solver.grid(1, (_x, y) => {
        sum += gravityAt(y[2], setting, traits.endOffsetSg);
      }),
    );
  }
  if (!(sum > 0)) throw new Error('the general solver gave nothing');
  return performance.now() - before;
}
