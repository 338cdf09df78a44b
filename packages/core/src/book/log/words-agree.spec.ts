import { careNotes } from '../care/care-notes.js';
import { isTooCold } from '../../ferment/verdict/judge-facts.js';
import { isWorking, provesFinished } from '../../ferment/verdict/verdict.js';
import { nextJobs } from '../plan/next-jobs.js';
import { dateAfter, daysBetween } from '../../matter/quantity/days.js';
import { YEAST_KINDS } from '../../base/reference/yeast-kinds-data.js';
import { madeSeason, type Season } from '../../testing/made-season.js';
import { judgeState } from '../state/judge-state.js';
import { replay } from './replay.js';

/** What verdict, evidence, job and care say of the same batch on the same day must not contradict one another. */
const SEASONS = 400;
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
