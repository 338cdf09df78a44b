import type { BatchDto } from '@trug/contract/plain';
import type { Entry, EntryOf } from '@trug/core';
import type { Called } from '@trug/core/book/kinds/renamed';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { createFeature, createReducer, on } from '@ngrx/store';
import { AppApiActions } from './app.actions';
import { BatchApiActions, BatchPageActions } from './batches.actions';

/** Batches as the app holds them. */
export type BatchesState = EntityState<BatchDto>;

const adapter = createEntityAdapter<BatchDto>({ sortComparer: (a, b) => (a.startedAt < b.startedAt ? 1 : -1) });
const initial: BatchesState = adapter.getInitialState();

/** What a batch is called by entries that call it otherwise; the server says so of what is struck out. */
function namedBy(entries: readonly Entry[], called: (entry: EntryOf<'renamed'>) => Called): Partial<Called> {
  const last = entries.findLast((e) => e.kind === 'renamed');
  if (last?.kind !== 'renamed') return {};
  const { name, tape } = called(last);
  return { name, tape };
}

function withEntries(state: BatchesState, entries: readonly Entry[]): BatchesState {
  const changes = [...new Set(entries.map((e) => e.batchId))].flatMap((id) => {
    const log = state.entities[id]?.entries;
    if (!log) return [];
    const known = new Set(log.map((e) => e.id));
    const more = entries.filter((e) => e.batchId === id && !known.has(e.id));
    return [{ id, changes: { ...namedBy(more, ({ payload }) => payload), entries: [...log, ...more] } }];
  });
  return adapter.updateMany(changes, state);
}

function withoutEntries(state: BatchesState, entries: readonly Entry[]): BatchesState {
  const gone = new Set(entries.map((e) => e.id));
  const changes = [...new Set(entries.map((e) => e.batchId))].flatMap((id) => {
    const log = state.entities[id]?.entries;
    if (!log) return [];
    const taken = log.filter((e) => gone.has(e.id));
    return [{ id, changes: { ...namedBy(taken, ({ payload }) => payload.was), entries: log.filter((e) => !gone.has(e.id)) } }];
  });
  return adapter.updateMany(changes, state);
}

/** A log that is here stays, though it may be older than the summary: what is newer is fetched. */
const withKnownLog = (batch: BatchDto, known: BatchDto | undefined): BatchDto =>
  batch.entries === null && known?.entries ? { ...batch, entries: known.entries, ...(known.unreadable ? { unreadable: known.unreadable } : {}) } : batch;

/** Whether a log is here that ends elsewhere than the one its summary was made of. */
export const isBehind = ({ entries, summary: { head } }: BatchDto): boolean =>
  entries !== null && (entries.length !== head.count || (entries.at(-1)?.id ?? null) !== head.lastId);

/** Whether a log was on its way while more was filed and told of: logs only grow, and another book comes with its list. */
const isOvertaken = ({ entries }: BatchDto, known: BatchDto | undefined): boolean => (entries?.length ?? 0) < (known?.summary.head.count ?? 0);

/** Batches: entries are shown at once and taken back when the server refuses them. */
export const batchesFeature = createFeature({
  name: 'batches',
  reducer: createReducer(
    initial,
    on(AppApiActions.loaded, (state, { snapshot }) =>
      adapter.setAll(
        snapshot.batches.map((batch) => withKnownLog(batch, state.entities[batch.id])),
        state,
      ),
    ),
    on(BatchPageActions.filingSent, (state, { sent }) => withEntries(state, sent.entries)),
    on(BatchApiActions.filingStored, (state, { batches }) => adapter.upsertMany([...batches], state)),
    on(BatchApiActions.logsFetched, (state, { batches }) =>
      adapter.upsertMany(
        batches.filter((batch) => !isOvertaken(batch, state.entities[batch.id])),
        state,
      ),
    ),
    on(BatchApiActions.filingRefused, (state, { sent }) => withoutEntries(state, sent.entries)),
    on(BatchApiActions.batchesRefreshed, (state, { batches }) =>
      adapter.upsertMany(
        batches.map((batch) => withKnownLog(batch, state.entities[batch.id])),
        state,
      ),
    ),
  ),
  extraSelectors: ({ selectBatchesState }) => ({ ...adapter.getSelectors(selectBatchesState) }),
});
