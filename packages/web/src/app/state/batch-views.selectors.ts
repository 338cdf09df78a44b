import type { BatchDto, VersionedSettings } from '@trug/contract/plain';
import type { BatchState, BatchSummary, Entry, StrengthSchool, Verdict, Worked } from '@trug/core';
import { judgeState } from '@trug/core/book/state/judge-state';
import { methodById, type Method } from '@trug/core/book/plan/method';
import type { Job } from '@trug/core/book/plan/job';
import { nextJobs } from '@trug/core/book/plan/next-jobs';
import { wantedJobs, type PutOff } from '@trug/core/book/plan/put-off';
import { createSelector } from '@ngrx/store';
import { folded } from './lazy-fold';
import { batchesFeature } from './batches.reducer';
import { appFeature } from './app.reducer';
import { settingsFeature } from './settings.reducer';

/** A batch with everything derived from its log. */
export interface BatchView {
  readonly batch: BatchDto;
  /** Its log, in the order filed; empty while only its summary is here. */
  readonly log: readonly Entry[];
  readonly summary: BatchSummary;
  readonly state: BatchState;
  readonly verdict: Worked<Verdict> | null;
  /** What its log asks for. */
  readonly jobs: readonly Job[];
  /** The same as the maker wants it: some are put off, some done without. */
  readonly due: readonly Job[];
  readonly method: Method;
  /** When it was seen so, ISO 8601. */
  readonly now: string;
}

/** A job with the batch it belongs to. */
export interface BatchJob extends Job {
  readonly batch: BatchDto;
}

/** Summaries and views by batch object: a batch that did not change is not replayed again, however often the clock ticks. */
const summaries = new WeakMap<BatchDto, BatchSummary>();
const states = new WeakMap<BatchSummary, BatchState>();
const views = new WeakMap<
  BatchDto,
  { readonly now: string; readonly zone: string; readonly school: StrengthSchool; readonly putOff: readonly PutOff[]; readonly view: BatchView }
>();

/** What its log tells, from the log where it is here and as the server sent it otherwise. */
function summaryOf(batch: BatchDto): BatchSummary {
  const cached = summaries.get(batch);
  if (cached) return cached;
  const summary = batch.entries === null ? batch.summary : folded(batch.entries);
  if (summary !== null) summaries.set(batch, summary);
  return summary ?? batch.summary;
}

/** The state with its days counted in the maker's zone; the same object for as long as neither changes. */
function stateIn(summary: BatchSummary, zone: string): BatchState {
  const cached = states.get(summary);
  if (cached?.zone === zone) return cached;
  const state = { ...summary.state, zone };
  states.set(summary, state);
  return state;
}

function viewOf(batch: BatchDto, now: string, { timeZone: zone, strengthSchool: school, putOff }: VersionedSettings): BatchView {
  const cached = views.get(batch);
  if (cached?.now === now && cached.zone === zone && cached.school === school && cached.putOff === putOff) return cached.view;
  const summary = summaryOf(batch);
  const state = stateIn(summary, zone);
  const method = methodById(batch.methodId);
  const verdict = judgeState(state, now, { school, waits: method.waits });
  const jobs = nextJobs({ batchId: batch.id, batchName: batch.name, state, verdict: verdict?.value ?? null, method, today: now });
  const view = { batch, log: batch.entries ?? [], summary, state, verdict, jobs, due: wantedJobs(jobs, putOff, now, zone), method, now };
  views.set(batch, { now, zone, school, putOff, view });
  return view;
}

/** The maker's time zone. */
export const selectZone = createSelector(settingsFeature.selectSettings, (settings) => settings.timeZone);

/** What every batch's log tells, without the day. */
export const selectSummaries = createSelector(batchesFeature.selectAll, (batches): readonly BatchSummary[] => batches.map(summaryOf));

/** Every batch, newest first, with what its log tells. */
export const selectBatchViews = createSelector(batchesFeature.selectAll, appFeature.selectNow, settingsFeature.selectSettings, (batches, now, settings) =>
  now === '' ? [] : batches.map((batch) => viewOf(batch, now, settings)),
);

const URGENCIES = ['overdue', 'today', 'week', 'later'] as const;

/** Every job of every batch, most urgent first. */
export const selectJobs = createSelector(selectBatchViews, (all) =>
  all
    .flatMap((view) => view.due.map((job): BatchJob => ({ ...job, batch: view.batch })))
    .sort((a, b) => URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency) || (a.dueAt < b.dueAt ? -1 : 1)),
);
