import { storyOf } from '../book/state/share-story.js';
import { judgeState } from '../book/state/judge-state.js';
import type { BatchState } from '../book/state/batch-state.js';
import { checkEntryAgainst } from '../book/log/check-entry.js';
import { replay } from '../book/log/replay.js';
import type { Entry } from '../book/entry/entry.js';
import type { Random } from '../base/numeric/random.js';
import { liquidFromReadings } from '../matter/liquid/liquid-from-readings.js';
import { rawGravity, type LogMaker } from './made-logs.js';
import { gravityOf, JUICE, pass, pick, type Truth } from './season-truth.js';

export interface Run {
  readonly log: Entry[];
  readonly truth: Truth;
  readonly acts: string[];
}

export function begin(random: Random, make: LogMaker): Run {
  const taGPerL = 3 + 5 * random.uniform();
  const sg = Math.round((1.042 + 0.04 * random.uniform()) * 1000) / 1000;
  const measured = random.uniform() < 0.5;
  const solids = (sg - 1) / 0.000383;
  // What is not sugar differs from what anybody would assume, by up to a point and a half of gravity.
  const otherGPerL = taGPerL + 5 + 5 + 0.5 + (random.uniform() * 2 - 1) * 3;
  const truth: Truth = {
    litres: 20,
    sugarG: (solids - otherGPerL) * 20,
    malicG: taGPerL * 1.1 * 20,
    alcoholG: 0,
    otherG: otherGPerL * 20,
    warmestC: 18,
    tempC: 18,
    day: 0,
    limitAbv: random.uniform() < 0.2 ? 5 + 3 * random.uniform() : 14,
    yeast: false,
    pace: 0.08 + 0.12 * random.uniform(),
    lazyG: random.uniform() < 0.3 ? 6 * random.uniform() : 0,
    stuck: false,
    bacteria: true,
    so2MgPerL: 0,
    stemOffSg: (random.uniform() * 2 - 1) * 0.0006,
    fruit: { sugarG: 0, malicG: 0 },
    juice: 1,
    leaching: 0.03,
  };
  truth.sugarG = sugarFor(truth, sg);
  const filled = make.filled({ gravity: rawGravity(sg), ph: 3.5, taGPerL: measured ? taGPerL : null });
  return { log: [filled], truth, acts: [`filled ${sg}`] };
}

/** Sugar that gives a must its gravity, found by halving. */
export function sugarFor(t: Truth, sg: number): number {
  let [lo, hi] = [0, 400 * t.litres];
  for (let i = 0; i < 60; i += 1) {
    const mid = (lo + hi) / 2;
    if (gravityOf({ ...t, sugarG: mid }) < sg) lo = mid;
    else hi = mid;
  }
  return lo;
}

/** One act, with what it does in truth; sometimes the day a maker waits first. */
export function act(run: Run, random: Random, make: LogMaker): Entry {
  const { truth: t, acts } = run;
  pass(t, pick(random, [0.25, 1, 2, 4, 7, 8, 15]));
  const kind = pick(random, [
    'read',
    'read',
    'read',
    'read',
    'sweetened',
    'sugar',
    'water',
    'juice',
    'cold',
    'warm',
    'malolactic',
    'stabilised',
    'sulfite',
    'rack',
    'pitch',
    'test',
    'fruit',
    'lift',
    'correct',
  ]);
  acts.push(`${t.day.toFixed(1)} ${kind}`);
  switch (kind) {
    case 'sweetened':
    case 'sugar': {
      const massG = Math.round(pick(random, [20, 100, 300, 800]) * random.uniform());
      return kind === 'sweetened'
        ? make.entry('sweetened', t.day, { sweetenerId: 'sucrose', massG })
        : make.entry('addition', t.day, { what: 'fermentable', fermentableId: 'dextrose-anhydrous', massG });
    }
    case 'water':
      return make.entry('addition', t.day, { what: 'water', volumeL: 1 });
    case 'juice':
      return make.poured(t.day, 1 + 2 * random.uniform(), 1.05, 'juice');
    case 'cold':
    case 'warm':
      return make.entry('moved', t.day, { place: kind, tempC: kind === 'cold' ? 3 : 18 });
    case 'malolactic':
      return make.malolactic(t.day, { done: random.uniform() < 0.4, turnedFraction: 1 });
    case 'stabilised':
      return make.entry('stabilised', t.day, { so2MgPerL: pick(random, [30, 60, 100, 140]), sorbateMgPerL: pick(random, [60, 150, 200]) });
    case 'sulfite':
      return make.entry('addition', t.day, { what: 'sulfite', so2MgPerL: pick(random, [30, 100]) });
    case 'rack':
      return make.racked(t.day, t.litres * 0.98);
    case 'pitch':
      return make.pitched(t.day);
    case 'test':
      return make.entry('tested', t.day, { by: 'sugar-test', sugarGPerL: Math.max(0, t.sugarG / t.litres + random.normal()), acknowledged: [] });
    case 'fruit':
      return make.entry('infused', t.day, { infusionId: pick(random, ['raspberry', 'cherry', 'plum']), massG: Math.round(2500 * random.uniform()), days: 10 });
    case 'lift': {
      const fruit = replay(run.log).infusions[0];
      if (fruit) return make.entry('lifted', t.day, { infusedId: fruit.id, name: 'fruit' });
      return make.read(t.day, readOff(t, random), t.tempC);
    }
    case 'correct': {
      const target = run.log.filter((e) => e.kind === 'reading' || e.kind === 'moved').at(-1);
      if (target) return make.entry('corrected', t.day, { entryId: target.id, replacement: null });
      return make.read(t.day, readOff(t, random), t.tempC);
    }
    default:
      return make.read(t.day, readOff(t, random), t.tempC);
  }
}

/** What a test finds of the sugar that is in the drink itself. */
export const sugarTest = (t: Truth, make: LogMaker): Entry =>
  make.entry('tested', t.day, { by: 'sugar-test', sugarGPerL: Math.max(0, t.sugarG / t.litres), acknowledged: [] });

/** What the maker reads: the truth, the stem's own error, the eye's, and the marks of the scale. */
export const readOff = (t: Truth, random: Random): number => Math.round((gravityOf(t) + t.stemOffSg + 0.0004 * random.normal()) * 2000) / 2000;

/** A figure that is not the drink's: of another batch, or with a wrong digit. */
export function mistyped({ truth: t, acts }: Run, random: Random, make: LogMaker): Entry {
  const sg = pick(random, [0.985, 0.992, 0.996, 1.01, 1.04, 1.09]);
  acts.push(`${t.day.toFixed(1)} mistyped ${sg}`);
  return make.read(t.day, sg, t.tempC);
}

/** Whether the server would take an act, no danger acknowledged. */
export function accepts(log: readonly Entry[], entry: Entry): boolean {
  const state = replay(log);
  const { refusal, dangers } = checkEntryAgainst(state, judgeState(state, entry.at)?.value ?? null, entry);
  if (refusal !== null || dangers.length > 0) return false;
  const known = new Set(state.issues.map((i) => i.entryId));
  return replay([...log, entry]).issues.every((i) => known.has(i.entryId));
}

/** Half of a drink as a batch of its own begins with it, with all that is known of it. */
export function shareOf(state: BatchState, day: number): (make: LogMaker, volumeL: number) => Entry {
  return (make, volumeL) => {
    const liquid = { ...(state.liquid ?? liquidFromReadings({ volumeL, sg: 1.05 })), volumeL };
    const story = storyOf(state, volumeL);
    const part = { from: 'batch' as const, sourceId: 'WHOLE', name: 'the whole', liquid, yeastId: state.yeastId, ...(story ? { story } : {}) };
    return make.entry('blended', day, { parts: [part], vessels: [{ vesselId: 'S', volumeL }], tempC: state.placeC });
  };
}

/** The core knows no machine; only how long this runs is asked of it. */
declare const process: { readonly env: Readonly<Record<string, string | undefined>> };
/** `npm run torture` runs many more. */
export const SEASONS = process.env['TRUG_LONG'] === '1' ? 6000 : 1000;
export const KINDS = [
  'crown-330',
  'crown-500',
  'swing-500',
  'sparkling-750',
  'plastic-500',
  'wine-750',
  'own:crown-500:660:3.2:-:Thin',
  'own:sparkling-750:1500:6.8:8:Great',
] as const;

/** Primed with sugar, or with as much in juice, whose label may be a fifth off. */
export function primedWith(make: LogMaker, truth: Truth, { massG, withJuice }: { readonly massG: number; readonly withJuice: boolean }): Entry {
  const { payload, ...entry } = make.primed(truth.day + 0.01, withJuice ? massG / JUICE.sugar : massG);
  return { ...entry, payload: withJuice ? { ...payload, fermentableId: 'apple-juice' } : payload } as Entry;
}
