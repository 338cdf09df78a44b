import type { BatchDto } from '@trug/contract/plain';
import type { BatchState, StrengthSchool, Verdict, Worked } from '@trug/core';
import { judgeState } from '@trug/core/log/judge-state';
import { replay } from '@trug/core/log/replay';
import { methodById, type Method } from '@trug/core/plan/method';
import { nextJobs, type Job } from '@trug/core/plan/next-jobs';
import { createSelector } from '@ngrx/store';
import { batchesFeature } from './batches.reducer';
import { cupboardFeature } from './cupboard.reducer';

/** A batch with everything derived from its log. */
export interface BatchView {
  readonly batch: BatchDto;
  readonly state: BatchState;
  readonly verdict: Worked<Verdict> | null;
  readonly jobs: readonly Job[];
  readonly method: Method;
  /** When it was seen so, ISO 8601. */
  readonly now: string;
}

/** A job with the batch it belongs to. */
export interface BatchJob extends Job {
  readonly batch: BatchDto;
}

/** States and views by batch object: a batch that did not change is not replayed again, however often the clock ticks. */
const states = new WeakMap<BatchDto, { readonly zone: string; readonly state: BatchState }>();
const views = new WeakMap<BatchDto, { readonly now: string; readonly zone: string; readonly school: StrengthSchool; readonly view: BatchView }>();

function stateOf(batch: BatchDto, zone: string): BatchState {
  const cached = states.get(batch);
  if (cached?.zone === zone) return cached.state;
  const state = replay(batch.entries, zone);
  states.set(batch, { zone, state });
  return state;
}

function viewOf(batch: BatchDto, now: string, zone: string, school: StrengthSchool): BatchView {
  const cached = views.get(batch);
  if (cached?.now === now && cached.zone === zone && cached.school === school) return cached.view;
  const state = stateOf(batch, zone);
  const method = methodById(batch.methodId);
  const verdict = judgeState(state, now, { school, waits: method.waits });
  const jobs = nextJobs({ batchId: batch.id, batchName: batch.name, state, verdict: verdict?.value ?? null, method, today: now });
  const view = { batch, state, verdict, jobs, method, now };
  views.set(batch, { now, zone, school, view });
  return view;
}

/** The maker's time zone. */
export const selectZone = createSelector(cupboardFeature.selectSettings, (settings) => settings.timeZone);

const selectSchool = createSelector(cupboardFeature.selectSettings, (settings) => settings.strengthSchool);

/** Every batch, newest first, with what its log tells. */
export const selectBatchViews = createSelector(batchesFeature.selectAll, cupboardFeature.selectNow, selectZone, selectSchool, (batches, now, zone, school) =>
  now === '' ? [] : batches.map((batch) => viewOf(batch, now, zone, school)),
);

const URGENCIES = ['overdue', 'today', 'week', 'later'] as const;

/** Every job of every batch, most urgent first. */
export const selectJobs = createSelector(selectBatchViews, (all) =>
  all
    .flatMap((view) => view.jobs.map((job): BatchJob => ({ ...job, batch: view.batch })))
    .sort((a, b) => URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency) || (a.dueAt < b.dueAt ? -1 : 1)),
);
