// The forecast's ensemble beside its limit, and the growth model beside a general solver.
import { performance } from 'node:perf_hooks';
import odex from 'odex';
import { liquidFromReadings, forecast, gravityOf, yeastById } from '../packages/core/dist/index.js';
import { fermentRates, fermentSetting, startOf, typicalTraits } from '../packages/core/dist/ferment/forecast/ferment-model.js';
import { cardinalFactor } from '../packages/core/dist/ferment/forecast/cardinal-temperature.js';
import { integrateFerment, STEP_DAYS } from '../packages/core/dist/ferment/forecast/integrate-ferment.js';
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

/** 1,000 members over 200 days with 30 readings. */
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
  say(`Forecast, ${MEMBERS} members over ${DAYS} days with ${READINGS} readings: ${ms.toFixed(0)} ms (${ratio(ms, FORECAST_LIMIT_MS)})`);
  benchIntegration();
}

/** The growth model's own course by its fixed steps, and by a general solver with error control to half a point. */
function benchIntegration() {
  const yeast = yeastById('crisp-cider');
  const setting = fermentSetting(must, yeast, 0.25);
  const traits = typicalTraits(setting);
  const heat = cardinalFactor(TEMP_C, yeast.tempC);
  const steps = Math.ceil(DAYS / STEP_DAYS);
  const heats = new Float64Array(steps).fill(heat);
  const out = new Float64Array(steps + 1);
  const own = timed(() => integrateFerment(setting, traits, { heat: heats, driftFrom: steps, feeds: [] }, out));
  const general = timed(() => {
    const start = startOf(setting);
    const solver = new odex.Solver(4);
    solver.absoluteTolerance = 1e-4;
    solver.relativeTolerance = 1e-4;
    solver.solve(
      (_t, [yeastGPerL, nitrogenMgPerL, sugarGPerL, served]) => {
        const r = fermentRates({ yeastGPerL, nitrogenMgPerL: Math.max(0, nitrogenMgPerL), sugarGPerL: Math.max(0, sugarGPerL), served }, heat, setting, traits);
        return [r.yeastGPerL, r.nitrogenMgPerL, r.sugarGPerL, r.served];
      },
      0,
      [start.yeastGPerL, start.nitrogenMgPerL, start.sugarGPerL, start.served],
      DAYS,
    );
  });
  say(`Growth model over ${DAYS} days: ${(own / general).toFixed(2)} × odex (${general.toFixed(1)} ms)`);
}

/** Median of a hundred runs, ms. */
function timed(run) {
  return median(
    Array.from({ length: 100 }, () => {
      const before = performance.now();
      run();
      return performance.now() - before;
    }),
  );
}
