import { bottleSafety } from '../../finish/bottle/bottle-safety.js';
import { BOTTLE_KINDS } from '../../base/reference/bottle-kinds.js';
import { provesFinished } from '../../ferment/verdict/verdict.js';
import { forecast } from '../../ferment/forecast/forecast.js';
import { forecastWords, likelyEndOn } from '../../ferment/forecast/forecast-words.js';
import { checkBottling } from '../state/bottling-check.js';
import { forecastInputOf } from '../outlook/forecast-of.js';
import { judgeState } from '../state/judge-state.js';
import { replay } from '../log/replay.js';
import { sealedGasOf } from '../state/sealed-gas-of.js';
import { sealWay } from '../state/sealing.js';
import { STAGES } from '../state/batch-state.js';
import { dateAfter } from '../../matter/quantity/days.js';
import { madeSeason, type Season } from '../../testing/made-season.js';
import { nextJobs } from './next-jobs.js';
import { pathStops } from './path-stops.js';

/** Forecast, path and bench beside verdict and jobs: each batch costs a forecast, so they are fewer than where only words are looked at. */
const SEASONS = 60;
const MEMBERS = 300;
const HOTTEST_C = 25;

const isoOf = (text: string, today: string): string | null => {
  const found = /(\d{1,2}) (\w{3})(?: (\d{4}))?/.exec(text);
  if (!found) return null;
  const day = new Date(`${found[1] ?? ''} ${found[2] ?? ''} ${found[3] ?? today.slice(0, 4)} UTC`).toISOString().slice(0, 10);
  // A day without its year lies in the months ahead.
  return found[3] === undefined && day < dateAfter(today, -30) ? `${Number(day.slice(0, 4)) + 1}${day.slice(4)}` : day;
};

function contradictions({ log, today, method }: Season): readonly string[] {
  const state = replay(log);
  const verdict = judgeState(state, today, { waits: method.waits })?.value;
  const question = forecastInputOf(state, today);
  const pitchedAt = state.pitch?.at;
  if (!verdict || pitchedAt === undefined) return ['no verdict'];
  const { status } = verdict;
  const ended = provesFinished(status);
  const day = dateAfter(today, 0);
  const found = question ? forecast({ ...question, members: MEMBERS }).value : null;
  const endOn = found ? likelyEndOn(found, { pitchedAt, status }) : null;
  const lead = found ? forecastWords(found, { pitchedAt, today, status }).lead : '';
  const jobs = nextJobs({ batchId: 'B', batchName: 'Lot', state, verdict, method, today });
  const stops = pathStops({ state, method, startedAt: log[0]?.at ?? today, now: today, status, endOn, readOn: verdict.next.dueOn, jobs });
  const here = stops.find((s) => s.state === 'here')?.stage;
  const ahead = stops.filter((s) => s.state === 'ahead').flatMap((s) => isoOf(s.line, today) ?? []);
  const rackOn = isoOf(stops.find((s) => s.stage === 'rack')?.line ?? '', today);
  const last = state.readings.at(-1)?.sg;
  const way = sealWay(state, verdict);
  const gas = sealedGasOf(state);
  const glass = BOTTLE_KINDS.filter((k) => k.closure !== 'screw');
  const said = `${status}; ${lead}; ${stops.map((s) => `${s.stage} ${s.line}`).join(', ')}; ${jobs.map((j) => `${j.kind} ${j.dueAt}`).join(', ')}; ${way}`;
  const reading = jobs.find((j) => j.kind === 'read' || j.kind === 'second-reading')?.dueAt.slice(0, 10);
  const due = jobs.find((j) => j.kind === 'rack' || j.kind === 'bottle')?.dueAt.slice(0, 10);
  return [
    [(here === 'ferment') !== !ended, 'the path stands elsewhere than the verdict'],
    [ahead.some((on) => on < day), 'the path names a day that has passed'],
    [[...ahead].sort().join() !== ahead.join(), 'the path runs backwards'],
    [stops.map((s) => s.stage).join() !== STAGES.join(), 'the path lost a stop'],
    [endOn !== null && rackOn !== null && rackOn < endOn, 'racks before the forecast sees its end'],
    [rackOn !== null && !ended && reading !== undefined && rackOn < reading, 'racks before the reading that would prove it'],
    [ended && due !== undefined && due >= day && !stops.some((s) => isoOf(s.line, today) === due), 'the path goes on by another day than the job'],
    [/^Done about/.test(lead) && (status === 'stalled' || status === 'not-started' || status === 'too-cold'), 'names a day for what stands still'],
    [ended && found !== null && !lead.startsWith('It has ended'), 'forecasts what has ended'],
    [/^Done about/.test(lead) && (isoOf(lead, today) ?? day) < day, 'forecasts the past'],
    [/^Done about/.test(lead) !== (endOn !== null && endOn > day), 'path and forecast name other days'],
    [
      found !== null && last !== undefined && found.finalSg.p90 > Math.min(...(question?.readings ?? []).map((r) => r.sg), 2) + 0.0025,
      'ends above what was read',
    ],
    [found !== null && found.band.some((b) => !(b.p10 <= b.p50 && b.p50 <= b.p90)), 'a band out of order'],
    [!ended && (way === 'proven' || way === 'ended-high'), 'the bench proves what the verdict does not'],
    [ended && way === 'unproven', 'the verdict proves what the bench does not'],
    [jobs.some((j) => j.detail.includes('inished at')) && status !== 'finished-dry', 'a job calls finished what the verdict does not'],
    [jobs.some((j) => j.kind === 'bottle') && way === 'unproven', 'a job bottles what the bench refuses'],
    // What the bench lets into glass without a word, its own sum of the gas must hold, and nothing may work in it.
    [
      gas !== null &&
        glass.some(
          (kind) =>
            checkBottling({ way, gas, bottles: [{ kindId: kind.id, count: 20 }], hottestC: HOTTEST_C }).cautions.every((c) => c.severity !== 'danger') &&
            (way === 'unproven' ||
              bottleSafety({ gas, provenFinished: true, bottle: kind, bottleCount: 20, hottestC: HOTTEST_C }).value.verdict === 'do-not-bottle'),
        ),
      'the bench lets into glass what it would not hold',
    ],
  ].flatMap(([is, what]) => (is === true ? [`${String(what)}: ${said}`] : []));
}

it(`forecast, path and bench contradict verdict and jobs in none of ${SEASONS} batches made at random`, () => {
  const wrong = Array.from({ length: SEASONS }, (_none, seed) => madeSeason(5000 + seed)).flatMap((season) =>
    contradictions(season).map((is) => `${season.what}: ${is}`),
  );
  expect(wrong).toEqual([]);
});
