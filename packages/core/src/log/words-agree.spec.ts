import { careNotes } from '../care/care-notes.js';
import { isTooCold } from '../ferment/judge-facts.js';
import { isWorking, provesFinished } from '../ferment/verdict.js';
import { seededRandom, type Random } from '../numeric/random.js';
import { METHODS } from '../plan/method.js';
import { nextJobs } from '../plan/next-jobs.js';
import { dateAfter, daysBetween } from '../quantity/days.js';
import { YEAST_KINDS } from '../reference/yeast-kinds-data.js';
import { FERMENT_FAMILIES, trueFerment } from '../testing/ferment-families.js';
import { logOf } from '../testing/made-logs.js';
import type { Entry } from './entry.js';
import { judgeState } from './judge-state.js';
import { replay } from './replay.js';

/**
 * Whole batches made at random, over every family of ferment, kind of yeast, place, method and stage, looked at on random
 * days. What verdict, evidence, job and care say of the same batch on the same day must not contradict one another.
 */
const SEASONS = 400;
const pick = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random.uniform() * all.length)] ?? (all[0] as T);

interface Season {
  readonly log: readonly Entry[];
  readonly today: string;
  readonly method: (typeof METHODS)[number];
  readonly what: string;
}

function madeSeason(seed: number): Season {
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

/** What is wrong with the words of a season, if anything. */
function contradictions({ log, today, method }: Season): readonly string[] {
  const state = replay(log);
  const verdict = judgeState(state, today, { waits: method.waits })?.value;
  if (!verdict) return ['no verdict'];
  const care = careNotes(state, verdict, { today, vessels: [] });
  const jobs = nextJobs({ batchId: 'B', batchName: 'Lot', state, verdict, method, today });
  const { sentence, evidence, next, status } = verdict;
  const said = [sentence, next.text, ...evidence.map((e) => e.text), ...care.map((n) => n.text), ...jobs.map((j) => `${j.title}. ${j.detail}`)];
  const words = said.join(' | ');
  const last = state.readings.at(-1);
  const since = state.readings.filter((r) => r.at > (state.pitchedAt ?? ''));
  const heading = /heading for about (\d\.\d+)/.exec(sentence);
  const warm = /Move it to (-?\d+)–(-?\d+) °C/.exec(next.text);
  const fell = /in the last (?:(\d+) days|day) read/.exec(words);
  const tempC = state.placeC;
  const yeast = YEAST_KINDS.find((y) => y.id === state.yeastId);
  const day = dateAfter(today, 0);
  const ended = provesFinished(status);
  const reads = jobs.filter((j) => j.kind === 'read' || j.kind === 'second-reading');
  // Tomorrow nothing new is known, so the day of the next reading is the same.
  const tomorrow = judgeState(state, new Date(Date.parse(today) + 86_400_000).toISOString(), { waits: method.waits })?.value;
  return [
    [/NaN|undefined|Infinity|null|−0|-0\.0/.test(words), 'is garbled'],
    [/(?<![\d.])1 (?:days|points|readings|weeks|hours)\b|(?<![\d.])0 points\b|\d\.0 points/.test(words), 'counts oddly'],
    [heading !== null && last !== undefined && Number(heading[1]) > last.sg + 0.0005, 'heads above where it is'],
    [/No reading so far|no reading since the yeast/.test(words) && since.length > 0 && !verdict.questionedIds.includes(last?.id ?? ''), 'denies its readings'],
    [next.on < day, 'names a day that has passed'],
    [next.kind === 'read' && next.dueOn >= day && next.on !== next.dueOn, 'has two days for one reading'],
    [next.kind === 'read' && reads.some((j) => j.dueAt.slice(0, 10) !== next.dueOn), 'has another day in its job'],
    [tomorrow !== undefined && tomorrow.status === status && tomorrow.next.dueOn !== next.dueOn, 'slides on each day'],
    [warm !== null && tempC !== null && tempC > Number(warm[1]), 'warms by cooling'],
    [ended && (reads.length > 0 || next.kind === 'read' || next.kind === 'restart'), 'is finished and goes on'],
    [!ended && jobs.some((j) => j.kind === 'bottle' || j.kind === 'rack'), 'goes on and is finished'],
    [/Finished|Settled|Stopped at/.test(sentence) !== ended, 'calls an end that is none'],
    [isWorking(status) && jobs.some((j) => j.kind === 'restart' || j.kind === 'warm'), 'works and is stuck'],
    [care.some((n) => n.text.includes('It sleeps')) && yeast !== undefined && !isTooCold(yeast, tempC), 'sleeps and wakes'],
    [/It sleeps: steady readings prove nothing/.test(words) && /would prove it/.test(words), 'proves asleep'],
    [ended && care.some((n) => n.id === 'cold' || n.id === 'heat' || n.id === 'foam'), 'cares for yeast that has done'],
    [
      fell !== null && last !== undefined && Number(fell[1] ?? 1) > Math.ceil(daysBetween(state.pitchedAt ?? last.at, last.at)) + 1,
      'counts more days than there were',
    ],
    [verdict.steadySince !== null && !ended, 'rests and works'],
    [verdict.steadySince !== null && last !== undefined && daysBetween(verdict.steadySince, last.at) < 6.4, 'rests for less than a week'],
  ].flatMap(([is, what]) => (is === true ? [`${String(what)}: ${words}`] : []));
}

describe('what is said of a batch', () => {
  it(`contradicts itself in none of ${SEASONS} made at random`, () => {
    const wrong = Array.from({ length: SEASONS }, (_none, seed) => madeSeason(seed + 1)).flatMap((season) =>
      contradictions(season).map((is) => `${season.what}: ${is}`),
    );
    expect(wrong).toEqual([]);
  });
});
