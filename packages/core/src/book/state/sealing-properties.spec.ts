import { bottleById } from '../../base/reference/bottle-kinds.js';
import { seededRandom, type Random } from '../../base/numeric/random.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { rawGravity, logOf, type LogMaker } from '../../testing/made-logs.js';
import { checkEntryAgainst } from '../log/check-entry.js';
import type { Entry } from '../entry/entry.js';
import type { BatchState } from './batch-state.js';
import { judgeState } from './judge-state.js';
import { storyOf } from './share-story.js';
import { replay } from '../log/replay.js';

/**
 * The bookkeeping of this test alone: masses in kilograms and litres, and what yeast and bacteria do to them, by constants
 * of its own. Nothing of it comes from the core, which is what is on trial.
 */
interface Truth {
  litres: number;
  /** Sugar that can still ferment, g as hexose. */
  sugarG: number;
  malicG: number;
  alcoholG: number;
  /** Everything else dissolved, g. */
  otherG: number;
  /** Warmest since anything last fermented, °C. */
  warmestC: number;
  tempC: number;
  day: number;
  /** Where the yeast gives up, % by volume. */
  limitAbv: number;
  yeast: boolean;
  /** Share of the sugar a day that ferments at 18 °C. */
  pace: number;
  /** Sugar below which this yeast stops although it could go on, g/L. */
  lazyG: number;
  stuck: boolean;
  /** Whether bacteria can turn the malic acid: sulfite after the end holds them, until yeast works again. */
  bacteria: boolean;
  /** Sulfite put in since yeast last worked, mg/L. */
  so2MgPerL: number;
  /** How far the maker's stem is off, SG. */
  stemOffSg: number;
  /** Fruit that steeps in it: what it still holds of sugar and malic acid, g. */
  fruit: { sugarG: number; malicG: number };
  /** Sugar in the juice it is primed with, beside what the label says. */
  juice: number;
  /** Share of that which comes out of it in a quarter of a day: whole fruit gives it up slowly. */
  leaching: number;
}

const pick = <T>(random: Random, list: readonly [T, ...T[]]): T => list[Math.floor(random.uniform() * list.length)] ?? list[0];
const abvOf = (t: Truth): number => t.alcoholG / t.litres / 7.89;
/** Specific gravity from solids and alcohol, by handbook slopes: 0.386 points a g/L of sugar, and alcohol's own curve. */
function gravityOf(t: Truth): number {
  const solids = (t.sugarG + t.otherG) / t.litres;
  const abv = abvOf(t);
  return 1 + solids * (0.0003869 - 0.0000000141 * solids) - abv * (0.001488 - 0.00001343 * abv);
}

function ferment(t: Truth, sugarG: number): void {
  if (sugarG / t.litres > 0.5) {
    t.bacteria = true;
    t.so2MgPerL = 0;
  }
  t.sugarG -= sugarG;
  t.alcoholG += sugarG * 0.469;
  t.otherG += sugarG * 0.04;
}

/** Sugar and malic acid in a gram of fruit, by food tables; citric acid makes no gas. */
const FRUIT = { raspberry: [0.044, 0.004], cherry: [0.128, 0.008], plum: [0.099, 0.01] } as const;

/** A share of what is left in the fruit comes out of it. */
function leach(t: Truth, share: number): void {
  for (const key of ['sugarG', 'malicG'] as const) {
    t[key] += t.fruit[key] * share;
    t.fruit[key] *= 1 - share;
  }
}

/** Lets days pass: yeast works by warmth, sleeps in the cold and stops at its limit; bacteria wait. */
function pass(t: Truth, days: number): void {
  for (let d = 0; d < days; d += 0.25) {
    leach(t, t.leaching);
    const awake = t.yeast && !t.stuck && t.tempC >= 8 && abvOf(t) < t.limitAbv && t.sugarG / t.litres > t.lazyG;
    if (awake) {
      ferment(t, Math.min(t.sugarG, (t.pace * (t.tempC - 5) * 0.25 * (t.sugarG + 4 * t.litres)) / 13));
      t.sugarG = Math.max(0, t.sugarG);
      t.warmestC = t.tempC;
    }
    t.warmestC = Math.max(t.warmestC, t.tempC);
  }
  t.day += days;
}

/** The gauge pressure once everything that could has fermented and turned, a year later at 25 °C. */
function pressureAfterAYear(t: Truth): number {
  // 44.01 g of gas from 134.09 g of malic acid and 88.02 from 180.16 g of hexose; a litre of gas weighs 1.9768 g.
  const made = (((t.bacteria ? t.malicG : 0) * 44.01) / 134.09 + (t.sugarG * 88.02) / 180.16) / t.litres / 1.9768;
  const abvEnd = abvOf(t) + t.sugarG / t.litres / 16.83;
  // Henry's constant of CO2 in water, 0.034 mol/(L atm) at 25 °C with 2400 K, less a hundredth for each % of alcohol.
  const heldPerAtm = (tempC: number, abv: number): number => 22.414 * 0.034 * Math.exp(2400 * (1 / (273.15 + tempC) - 1 / 298.15)) * (1 - 0.01 * abv);
  const still = 0.85 * heldPerAtm(t.warmestC, abvOf(t));
  const room = heldPerAtm(25, abvEnd) + 0.04 * (273.15 / 298.15);
  return ((still + made) / room) * 1.01325 - 1.01325 + 0.75;
}

interface Run {
  readonly log: Entry[];
  readonly truth: Truth;
  readonly acts: string[];
}

function begin(random: Random, make: LogMaker): Run {
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
function sugarFor(t: Truth, sg: number): number {
  let [lo, hi] = [0, 400 * t.litres];
  for (let i = 0; i < 60; i += 1) {
    const mid = (lo + hi) / 2;
    if (gravityOf({ ...t, sugarG: mid }) < sg) lo = mid;
    else hi = mid;
  }
  return lo;
}

/** One act, with what it does in truth; sometimes the day a maker waits first. */
function act(run: Run, random: Random, make: LogMaker): Entry {
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
      return make.entry('stabilised', t.day, { so2MgPerL: pick(random, [30, 60, 100]), sorbateMgPerL: pick(random, [60, 150, 200]) });
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
const sugarTest = (t: Truth, make: LogMaker): Entry =>
  make.entry('tested', t.day, { by: 'sugar-test', sugarGPerL: Math.max(0, t.sugarG / t.litres), acknowledged: [] });

/** What the maker reads: the truth, the stem's own error, the eye's, and the marks of the scale. */
const readOff = (t: Truth, random: Random): number => Math.round((gravityOf(t) + t.stemOffSg + 0.0004 * random.normal()) * 2000) / 2000;

/** A figure that is not the drink's: of another batch, or with a wrong digit. */
function mistyped({ truth: t, acts }: Run, random: Random, make: LogMaker): Entry {
  const sg = pick(random, [0.985, 0.992, 0.996, 1.01, 1.04, 1.09]);
  acts.push(`${t.day.toFixed(1)} mistyped ${sg}`);
  return make.read(t.day, sg, t.tempC);
}

/** Juice by food tables, g in a gram; the law lets its label be a fifth off. */
const JUICE = { sugar: 0.108, malic: 0.006, other: 0.012 } as const;

/** What an accepted act did in truth. */
function happen(t: Truth, entry: Entry): void {
  if (entry.kind === 'primed' && entry.payload.fermentableId === 'apple-juice') {
    const { massG } = entry.payload;
    t.sugarG += massG * JUICE.sugar * t.juice;
    t.malicG += massG * JUICE.malic;
    t.otherG += massG * JUICE.other;
    t.litres += (massG / 1000) * 0.954;
  } else if (entry.kind === 'sweetened' || entry.kind === 'primed' || (entry.kind === 'addition' && entry.payload.what === 'fermentable')) {
    const isSucrose = entry.kind !== 'addition';
    const { massG } = entry.payload as { massG: number };
    t.sugarG += massG * (isSucrose ? 360.31 / 342.3 : 1);
    t.litres += (massG / 1000) * 0.62;
  } else if (entry.kind === 'addition' && entry.payload.what === 'water') t.litres += entry.payload.volumeL;
  else if (entry.kind === 'blended') {
    for (const { liquid } of entry.payload.parts) {
      t.litres += liquid.volumeL;
      t.sugarG += (liquid.hexoseGPerL + (liquid.sucroseGPerL * 360.31) / 342.3) * liquid.volumeL;
      t.otherG += liquid.otherSolidsGPerL * liquid.volumeL;
      t.malicG += liquid.malicGPerL * liquid.volumeL;
    }
  } else if (entry.kind === 'stabilised' || (entry.kind === 'addition' && entry.payload.what === 'sulfite')) {
    // At pH 3.5 half a milligram of molecular sulfite takes 25 mg/L free; half of what goes in stays free.
    if (abvOf(t) > 2) t.so2MgPerL += (entry.payload as { so2MgPerL: number }).so2MgPerL;
    if (t.so2MgPerL >= 50) t.bacteria = false;
  } else if (entry.kind === 'infused') {
    const [sugar, malic] = FRUIT[entry.payload.infusionId as keyof typeof FRUIT];
    t.fruit.sugarG += entry.payload.massG * sugar;
    t.fruit.malicG += entry.payload.massG * malic;
    // Squeezed as it comes out, it leaves all it had.
  } else if (entry.kind === 'lifted') leach(t, 1);
  else if (entry.kind === 'moved') t.tempC = entry.payload.tempC;
  else if (entry.kind === 'pitched') {
    t.yeast = true;
    t.lazyG = 0;
  } else if (entry.kind === 'malolactic' && entry.payload.done) t.malicG = 0;
  else if (entry.kind === 'racked') {
    leach(t, 1);
    const litres = entry.payload.vessels.reduce((sum, v) => sum + v.volumeL, 0);
    const share = litres / t.litres;
    for (const key of ['sugarG', 'malicG', 'alcoholG', 'otherG'] as const) t[key] *= share;
    t.litres = litres;
  }
}

/** Whether the server would take an act, no danger acknowledged. */
function accepts(log: readonly Entry[], entry: Entry): boolean {
  const state = replay(log);
  const { refusal, dangers } = checkEntryAgainst(state, judgeState(state, entry.at)?.value ?? null, entry);
  if (refusal !== null || dangers.length > 0) return false;
  const known = new Set(state.issues.map((i) => i.entryId));
  return replay([...log, entry]).issues.every((i) => known.has(i.entryId));
}

/** Half of a drink as a batch of its own begins with it, with all that is known of it. */
function shareOf(state: BatchState, day: number): (make: LogMaker, volumeL: number) => Entry {
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
const SEASONS = process.env['TRUG_LONG'] === '1' ? 6000 : 1000;
const KINDS = [
  'crown-330',
  'crown-500',
  'swing-500',
  'sparkling-750',
  'plastic-500',
  'wine-750',
  'own:crown-500:660:3.2:-:Thin',
  'own:sparkling-750:1500:6.8:8:Great',
] as const;

/** What came of many seasons: bottles that burst, and how many were filled and poured back. */
interface Walked {
  readonly burst: readonly string[];
  readonly bottled: number;
  readonly pouredBack: number;
}

/** Primed with sugar, or with as much in juice, whose label may be a fifth off. */
function primedWith(make: LogMaker, truth: Truth, { massG, withJuice }: { readonly massG: number; readonly withJuice: boolean }): Entry {
  const { payload, ...entry } = make.primed(truth.day + 0.01, withJuice ? massG / JUICE.sugar : massG);
  return { ...entry, payload: withJuice ? { ...payload, fermentableId: 'apple-juice' } : payload } as Entry;
}

/** Walks seasons of acts to the bottle, as far as they are accepted; a slip is written after some of them. */
function walk(seasons: number, seed: number, slip: (run: Run, random: Random, make: LogMaker) => Entry | null): Walked {
  const random = seededRandom(seed);
  const burst: string[] = [];
  let [bottled, pouredBack] = [0, 0];
  for (let season = 0; season < seasons; season += 1) {
    const make = logOf();
    const run = begin(random, make);
    run.truth.juice = 0.8 + 0.4 * ((season * 0.618) % 1);
    const pitch = make.pitched(0.1);
    run.log.push(pitch);
    happen(run.truth, pitch);
    pass(run.truth, 10 + 30 * random.uniform());
    const count = 3 + Math.floor(random.uniform() * 9);
    for (let i = 0; i < count; i += 1) {
      const entry = act(run, random, make);
      if (!accepts(run.log, entry)) continue;
      run.log.push(entry);
      happen(run.truth, entry);
      const slipped = slip(run, random, make);
      if (slipped) run.log.push(slipped);
    }
    // The maker looks twice, as the craft asks, and goes for it.
    for (const wait of [1, 8, 7]) {
      pass(run.truth, wait);
      run.log.push(make.read(run.truth.day, readOff(run.truth, random), run.truth.tempC));
    }
    // Half of the seasons end in a share of the drink: the same drink, in a batch of its own.
    const share = season % 2 === 0 ? null : shareOf(replay(run.log), run.truth.day + 0.001);
    if (share) {
      const litres = run.truth.litres / 2;
      for (const key of ['sugarG', 'malicG', 'alcoholG', 'otherG', 'litres'] as const) run.truth[key] /= 2;
      run.log.splice(0, run.log.length, share(make, litres));
    }
    for (const kindId of KINDS) {
      const massG = pick(random, [0, 0, 40, 80, 120, 180]);
      const log = [...run.log];
      const truth = { ...run.truth, fruit: { ...run.truth.fruit } };
      if (massG > 0) {
        const primed = primedWith(make, truth, { massG, withJuice: season % 4 === 2 });
        if (!accepts(log, primed)) continue;
        log.push(primed);
        happen(truth, primed);
      }
      const entry = make.bottled(truth.day + 0.02, { kindId, count: 20, hottestC: pick(random, [5, 18, 25]) });
      if (!accepts(log, entry)) continue;
      bottled += 1;
      const bar = pressureAfterAYear(truth);
      const limit = bottleById(kindId).limitBar ?? 1.5;
      if (bar > limit) burst.push(`${kindId} ${bar.toFixed(2)} bar over ${limit}, primed ${massG} g: ${run.acts.join(', ')}`);
      if (kindId !== 'crown-500') continue;
      // Poured back, nothing from before the bottles opens a seal.
      const sealed = [...log, entry];
      const volumeL = (replay(sealed).liquid?.volumeL ?? 0) + 9.5;
      const back = make.entry('poured-back', truth.day + 20, { crateId: entry.id, bottles: [{ kindId, count: 20 }], vessels: [{ vesselId: 'V', volumeL }] });
      if (!accepts(sealed, back)) continue;
      pouredBack += 1;
      const again = make.bottled(truth.day + 21, { kindId: 'plastic-500', count: 2, hottestC: 5 });
      if (accepts([...sealed, back], again)) burst.push(`sealed again unproven: ${run.acts.join(', ')}`);
    }
  }
  return { burst, bottled, pouredBack };
}

describe('whatever a maker does that is accepted without a danger acknowledged', () => {
  it('no bottle passes its limit within a year at 25 °C, yeast and bacteria allowed to finish everything', () => {
    const { burst, bottled, pouredBack } = walk(SEASONS, 2026, () => null);
    expect(bottled).toBeGreaterThan(SEASONS / 4);
    expect(pouredBack).toBeGreaterThan(SEASONS / 20);
    expect(burst).toEqual([]);
  });

  it('nor where figures of another batch or with a wrong digit are in the log', () => {
    const { burst, bottled } = walk(SEASONS / 5, 4711, (run, random, make) => (random.uniform() < 0.2 ? mistyped(run, random, make) : null));
    expect(bottled).toBeGreaterThan(SEASONS / 40);
    expect(burst).toEqual([]);
  });

  it('nor where fruit steeps in a dry drink, is read and tested in between, and gives up its last as it is lifted', () => {
    const random = seededRandom(77);
    const burst: string[] = [];
    let [bottled, withFruit] = [0, 0];
    for (let season = 0; season < SEASONS / 2; season += 1) {
      const make = logOf();
      const run = begin(random, make);
      const { truth: t, log } = run;
      Object.assign(t, { lazyG: 0, limitAbv: 14, pace: 0.3, leaching: 0.004 + 0.02 * random.uniform() });
      const pitch = make.pitched(0.1);
      log.push(pitch);
      happen(t, pitch);
      const look = (): Entry => make.read(t.day, readOff(t, random), t.tempC);
      for (const wait of [40, 8]) {
        pass(t, wait);
        log.push(look());
      }
      // Nothing but the fruit is in doubt.
      for (const known of [make.malolactic(t.day, { done: true, turnedFraction: 1 }), sugarTest(t, make)]) {
        log.push(known);
        happen(t, known);
      }
      for (const wait of [0.25, 8, 8, 0.25, 8, 8, 8, 0.25]) {
        pass(t, wait);
        const fruit = replay(log).infusions[0];
        const kind = pick(random, fruit ? ['read', 'read', 'test', 'test', 'lift', 'rack'] : ['fruit', 'fruit', 'read', 'test']);
        const entry =
          kind === 'fruit'
            ? make.entry('infused', t.day, {
                infusionId: pick(random, ['raspberry', 'cherry', 'plum']),
                massG: 1000 + Math.round(5000 * random.uniform()),
                days: 10,
              })
            : kind === 'lift' && fruit
              ? make.entry('lifted', t.day, { infusedId: fruit.id, name: 'fruit' })
              : kind === 'rack'
                ? make.racked(t.day, t.litres * 0.98)
                : kind === 'test'
                  ? sugarTest(t, make)
                  : look();
        run.acts.push(`${t.day.toFixed(1)} ${kind}`);
        if (!accepts(log, entry)) continue;
        log.push(entry);
        happen(t, entry);
        for (const kindId of ['crown-500', 'swing-500', 'wine-750'] as const) {
          const run500 = make.bottled(t.day + 0.02, { kindId, count: 20, hottestC: 25 });
          if (!accepts(log, run500)) continue;
          bottled += 1;
          if (log.some((e) => e.kind === 'infused')) withFruit += 1;
          // What is still in the fruit comes along: somebody wrings the bag.
          const truth = { ...t, fruit: { ...t.fruit } };
          leach(truth, 1);
          const bar = pressureAfterAYear(truth);
          const limit = bottleById(kindId).limitBar ?? 1.5;
          if (bar > limit) burst.push(`${kindId} ${bar.toFixed(2)} bar over ${limit}: ${run.acts.join(', ')}`);
        }
      }
    }
    expect(bottled).toBeGreaterThan(SEASONS / 10);
    expect(withFruit).toBeGreaterThan(SEASONS / 40);
    expect(burst).toEqual([]);
  });
});
