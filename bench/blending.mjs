// The blend solver and the reach map, beside an independent solver on the same problems.
import { performance } from 'node:perf_hooks';
import loadHighs from 'highs';
import { gravityOf, liquidFromReadings, reachableRegion, solveBlend, taOf } from '../packages/core/dist/index.js';
import { say } from '../tools/lib.mjs';
import { median, ratio } from './figures.mjs';

const SOLVE_LIMIT_MS = 3;
const OUTLINE_LIMIT_MS = 16;
const JUICES = 12;

/** A small repeatable source of chance. */
function seeded(seed) {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

function benches(count) {
  const chance = seeded(7);
  const between = (min, max) => min + (max - min) * chance();
  return Array.from({ length: count }, () => {
    const juices = Array.from({ length: JUICES }, (_, i) => {
      const volumeL = between(2, 30);
      const liquid = liquidFromReadings({
        volumeL,
        sg: between(1.04, 1.07),
        taGPerL: between(2, 11),
        ph: between(3, 4.3),
        tanninGPerL: between(0.2, 2.6),
      });
      return { id: `j${i}`, liquid, minL: 0, maxL: volumeL, costPerL: between(0.2, 3) };
    });
    return { juices, totalL: 60, targets: { sg: between(1.048, 1.06), taGPerL: between(4, 8), tanninGPerL: between(0.5, 2) }, use: 'closest' };
  });
}

/** The same least squares in the other solver's words. */
function asText({ juices, totalL, targets }) {
  const terms = (values) => values.map((v, i) => `${v < 0 ? '-' : '+'} ${Math.abs(v).toFixed(12)} x${i}`).join(' ');
  const rows = [
    [juices.map((j) => (gravityOf(j.liquid) - targets.sg) * 1000), 'r0'],
    [juices.map((j) => (taOf(j.liquid) - targets.taGPerL) / 0.3), 'r1'],
    [juices.map((j) => (j.liquid.tanninGPerL - targets.tanninGPerL) / 0.2), 'r2'],
  ];
  return [
    'Minimize',
    ' obj: [ r0 ^2 + r1 ^2 + r2 ^2 ] / 2',
    'Subject To',
    ` sum: ${terms(juices.map(() => 1))} = 1`,
    ...rows.map(([values, r]) => ` c${r}: ${terms(values)} - 1 ${r} = 0`),
    'Bounds',
    ...juices.map((j, i) => ` 0 <= x${i} <= ${(j.maxL / totalL).toFixed(12)}`),
    ...rows.map(([, r]) => ` ${r} free`),
    'End',
  ].join('\n');
}

function timesOf(work, problems) {
  for (const p of problems.slice(0, 20)) work(p);
  return problems.map((p) => {
    const before = performance.now();
    work(p);
    return performance.now() - before;
  });
}

/** Median time to solve a blend of twelve juices and to draw its reach. */
export async function benchBlending() {
  const problems = benches(200);
  const highs = await loadHighs();
  const texts = problems.map(asText);
  const ownMs = median(timesOf(solveBlend, problems));
  const otherMs = median(
    timesOf((text) => {
      try {
        highs.solve(text);
      } catch {
        // It gives up on a few of these; the time it took still counts.
      }
    }, texts),
  );
  say(
    `blend of ${JUICES} juices to three targets: ${ownMs.toFixed(2)} ms median, ${ratio(ownMs, SOLVE_LIMIT_MS)} of ${SOLVE_LIMIT_MS} ms; ${(ownMs / otherMs).toFixed(2)} × the independent solver on the same problems`,
  );
  for (const y of ['taGPerL', 'ph']) {
    const outlineMs = median(timesOf(({ juices, totalL }) => reachableRegion({ juices, totalL, axes: { x: 'sg', y } }), problems));
    say(
      `outline of what ${JUICES} juices reach, ${y === 'ph' ? 'pH' : 'acid'} upwards: ${outlineMs.toFixed(1)} ms median, ${ratio(outlineMs, OUTLINE_LIMIT_MS)} of ${OUTLINE_LIMIT_MS} ms; ${(outlineMs / otherMs).toFixed(1)} × one solve of the independent solver`,
    );
  }
}
