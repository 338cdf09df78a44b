import type { InstrumentDto } from '@trug/contract';
import { DAY_MS, gravityOf, replay, standInReading, type Entry, type StandInReading } from '@trug/core';

/** The made-up maker's instruments; a device stands in the batch named. */
export const DEMO_INSTRUMENTS: readonly (Pick<InstrumentDto, 'kind' | 'name' | 'calibratedAtC' | 'offset' | 'posts'> & {
  readonly checkedDaysAgo: number | null;
  readonly batch: string | null;
})[] = [
  { kind: 'hydrometer', name: 'Long glass one', calibratedAtC: 20, offset: -0.001, posts: false, checkedDaysAgo: 62, batch: null },
  { kind: 'refractometer', name: 'Press-day refractometer', calibratedAtC: 20, offset: 0, posts: false, checkedDaysAgo: 240, batch: null },
  { kind: 'ph-meter', name: 'Pen pH meter', calibratedAtC: 20, offset: 0.06, posts: false, checkedDaysAgo: 12, batch: null },
  { kind: 'floating-hydrometer', name: 'The float', calibratedAtC: 20, offset: 0, posts: true, checkedDaysAgo: null, batch: 'Carton No. 4' },
];

/** The made-up maker's places, each with its usual year, January to December, °C. */
export const DEMO_PLACES: readonly { readonly name: string; readonly monthlyC: readonly number[] }[] = [
  { name: 'the shed', monthlyC: [3, 4, 7, 10, 14, 17, 19, 19, 16, 12, 8, 4] },
  { name: 'the back room', monthlyC: [12, 12, 13, 15, 17, 19, 20, 20, 18, 16, 14, 13] },
];

/** Where the float has been: in which batch, from the pitch until so many days ago. */
export const DEMO_FLOAT_IN: readonly { readonly batch: string; readonly untilDaysAgo: number }[] = [
  { batch: 'Gate Blend', untilDaysAgo: 9 },
  { batch: 'Carton No. 4', untilDaysAgo: 0 },
];

const EVERY_MS = 15 * 60_000;
/** Picked so that the made float reads a little high. */
const SEED = 4;
const FOAM_UNTIL = 0.5;

/**
 * What the float sent while a batch's log was written: it follows the log's own readings, with a float's faults.
 *
 * @param log - the batch as told
 * @param untilMs - when it was taken out
 * @returns readings as a device posts them
 */
export function floatTrace(log: readonly Entry[], untilMs: number): readonly (StandInReading & { readonly at: string })[] {
  const { pitchedAt, must, readings, temps } = replay(log);
  if (pitchedAt === null || !must) return [];
  const sinceMs = Date.parse(pitchedAt);
  const known = [{ ms: sinceMs, sg: gravityOf(must) }, ...readings.filter((r) => r.at > pitchedAt).map((r) => ({ ms: Date.parse(r.at), sg: r.sg }))];
  const endSg = known.at(-1)?.sg ?? 1;
  const startSg = known[0]?.sg ?? 1;
  const sgAt = smoothThrough(known);
  const trace: (StandInReading & { readonly at: string })[] = [];
  for (let ms = sinceMs; ms <= untilMs; ms += EVERY_MS) {
    const sg = sgAt(ms);
    const gone = (startSg - sg) / Math.max(0.001, startSg - endSg);
    const placeC = temps.filter((t) => Date.parse(t.at) <= ms).at(-1)?.tempC ?? 15;
    const truth = {
      sg,
      tempC: placeC + 0.6 * Math.sin((2 * Math.PI * ms) / DAY_MS),
      ph: 3.4,
      massG: 0,
      foam: gone > 0.05 && gone < FOAM_UNTIL ? 1 : 0,
    };
    const reading = standInReading({ kind: 'floating-hydrometer', seed: SEED, sinceMs, atMs: ms, truth });
    if (reading) trace.push({ at: new Date(ms).toISOString(), ...reading });
  }
  return trace;
}

/** A falling curve through points without kinks or bumps. @source monotone cubic: Fritsch & Carlson (1980), SIAM J. Numer. Anal. 17 */
function smoothThrough(points: readonly { readonly ms: number; readonly sg: number }[]): (ms: number) => number {
  const slope = points.slice(1).map((p, i) => (p.sg - (points[i]?.sg ?? p.sg)) / Math.max(1, p.ms - (points[i]?.ms ?? 0)));
  const tangent = points.map((_p, i) => {
    const [before, after] = [slope[i - 1], slope[i]];
    if (before === undefined) return 0;
    if (after === undefined) return before * 0.5;
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after);
  });
  return (ms) => {
    const i = points.findIndex((p, k) => ms >= p.ms && ms <= (points[k + 1]?.ms ?? -Infinity));
    const [a, b] = [points[i], points[i + 1]];
    if (!a || !b) return points.at(-1)?.sg ?? 1;
    const h = b.ms - a.ms;
    const t = (ms - a.ms) / h;
    const [ta, tb] = [(tangent[i] ?? 0) * h, (tangent[i + 1] ?? 0) * h];
    return (2 * t ** 3 - 3 * t ** 2 + 1) * a.sg + (t ** 3 - 2 * t ** 2 + t) * ta + (3 * t ** 2 - 2 * t ** 3) * b.sg + (t ** 3 - t ** 2) * tb;
  };
}
