import type { Entry } from '../book/entry/entry.js';
import { seededRandom, type Random } from '../base/numeric/random.js';
import { METHODS } from '../book/plan/method.js';
import { YEAST_KINDS } from '../base/reference/yeast-kinds-data.js';
import { FERMENT_FAMILIES, trueFerment } from './ferment-families.js';
import { logOf } from './made-logs.js';

const pick = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random.uniform() * all.length)] ?? (all[0] as T);

/** A batch made at random, and the day on which it is looked at. */
export interface Season {
  readonly log: readonly Entry[];
  readonly today: string;
  readonly method: (typeof METHODS)[number];
  readonly what: string;
}

/**
 * Whole batches made at random, over every family of ferment, kind of yeast, place, method and stage.
 *
 * @param seed - which
 * @returns the batch, and a day on which to look at it
 */
export function madeSeason(seed: number): Season {
  const random = seededRandom(seed);
  const make = logOf();
  const family = pick(random, FERMENT_FAMILIES);
  const truth = trueFerment(family, random);
  const yeast = pick(random, YEAST_KINDS);
  const tempC = Math.round(1 + 26 * random.uniform());
  const log: Entry[] = [make.filled(), make.entry('pitched', 0.1, { yeastId: yeast.id, massG: 5, method: 'sprinkled', juiceC: 18 })];
  const until = 2 + random.uniform() ** 2 * 200;
  let day = 0.5 + random.uniform() * 8;
  while (day < until) {
    const noise = 0.0007 * random.normal();
    const sg = Math.round((truth.sgAt(day) + noise) * 1000) / 1000;
    log.push(make.read(day, random.uniform() < 0.02 ? sg + 0.1 : sg, random.uniform() < 0.5 ? tempC : undefined));
    if (random.uniform() < 0.04) log.push(make.entry('moved', day + 0.01, { place: 'shed', tempC: Math.round(1 + 24 * random.uniform()) }));
    if (random.uniform() < 0.03) log.push(make.entry('addition', day + 0.02, { what: 'water', volumeL: 0.5 }));
    if (random.uniform() < 0.02) log.push(make.entry('addition', day + 0.02, { what: 'fermentable', fermentableId: 'sucrose', massG: 200 }));
    if (random.uniform() < 0.02) log.push(make.entry('pitched', day + 0.03, { yeastId: 'neutral-champagne', massG: 5, method: 'sprinkled', juiceC: 18 }));
    day += 0.7 + random.uniform() * 24;
  }
  const today = make.at(until + random.uniform() * 30);
  return { log, today, method: pick(random, METHODS), what: `seed ${seed}, ${family}, ${yeast.id}, ${tempC} °C` };
}
