import { liquidFromReadings } from '@trug/core/matter/liquid/liquid-from-readings';
import type { BatchWithLog } from '@trug/contract/plain';
import type { Entry, EntryKind, EntryPayloads, RawGravity } from '@trug/core';
import { judgeState } from '@trug/core/book/state/judge-state';
import { foldOf, summarise } from '@trug/core/book/summary/batch-summary';
import { methodById } from '@trug/core/book/plan/method';
import { nextJobs } from '@trug/core/book/plan/next-jobs';
import type { BatchView } from '../app/state/batch-views.selectors';

const START_MS = Date.UTC(2026, 9, 1, 10);
/** The sample batch's id. */
export const BATCH_ID = '01B00000000000000000000000';
let made = 0;

/** A day of the sample batch as an instant. */
export const dayAt = (day: number): string => new Date(START_MS + day * 86_400_000).toISOString();

export const rawGravity = (reading: number): RawGravity => ({ instrument: 'hydrometer', reading, sampleC: 20, calibratedAtC: 20, offsetSg: 0 });

/** An entry of the sample batch. */
export function sampleEntry<K extends EntryKind>(kind: K, day: number, payload: EntryPayloads[K], note = ''): Entry {
  made += 1;
  return { id: `01E${String(made).padStart(23, '0')}`, batchId: BATCH_ID, kind, at: dayAt(day), writtenAt: dayAt(day), note, payload } as Entry;
}

export const filled = (volumeL = 20): Entry =>
  sampleEntry('filled', 0, {
    source: 'shop juice',
    fruit: 'apple',
    volumeL,
    gravity: rawGravity(1.048),
    ph: null,
    taGPerL: null,
    tanninGPerL: null,
    yanMgPerL: null,
    vessels: [{ vesselId: 'V', volumeL }],
    tempC: 18,
  });
export const pitched = (): Entry => sampleEntry('pitched', 0.1, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 });
export const reading = (day: number, sg: number): Entry =>
  sampleEntry('reading', day, { gravity: rawGravity(sg), ph: null, taGPerL: null, placeC: 18, insistedOn: [], bubbles: null, smell: null });
export const finishedLog = (): Entry[] => [filled(), pitched(), reading(7, 1.012), reading(18, 0.999), reading(26, 0.999)];

/** The same, its malolactic change over and no sugar found in it: what it is primed with is all the fizz it gets. */
export const testedLog = (): Entry[] => [
  ...finishedLog(),
  sampleEntry('malolactic', 26.1, { turnedFraction: 1, wanted: true, bacteria: false, done: true }),
  sampleEntry('tested', 26.2, { by: 'sugar-test', sugarGPerL: 0, acknowledged: [] }),
];

/** A batch of these entries. */
export const sampleBatch = (entries: readonly Entry[]): BatchWithLog => ({
  id: BATCH_ID,
  name: 'Lot',
  methodId: 'carton-quick',
  tape: 'straw',
  startedAt: dayAt(0),
  summary: summarise(entries),
  entries,
});

/** The same, with everything derived from it on a day. */
export function sampleView(entries: readonly Entry[], today: number): BatchView {
  const summary = foldOf(entries);
  const { state } = summary;
  const method = methodById('carton-quick');
  const verdict = judgeState(state, dayAt(today), { waits: method.waits });
  const jobs = nextJobs({ batchId: BATCH_ID, batchName: 'Lot', state, verdict: verdict?.value ?? null, method, today: dayAt(today) });
  return { batch: sampleBatch(entries), log: entries, summary, state, verdict, jobs, due: jobs, method, now: dayAt(today) };
}

/** Three kilos steeped hot for four days in a bucket. */
export const SAMPLE_STEEP: EntryPayloads['steeped'] = {
  fruitKg: 3,
  fruitId: null,
  source: 'fruit of the garden',
  liquid: liquidFromReadings({ volumeL: 5.6, sg: 1.066, fruit: 'apple', taGPerL: 4, ph: 3.4, tanninGPerL: 0.3 }),
  hot: true,
  loose: false,
  waterL: 4,
  sugars: [{ fermentableId: 'sucrose', massG: 700 }],
  acidG: 8,
  teaCups: 2,
  driedFruitG: 0,
  days: 4,
  vessels: [{ vesselId: 'B', volumeL: 7.5 }],
  tempC: 20,
};
