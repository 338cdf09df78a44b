import type { BatchDto, Problem } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { createFeature, createReducer, on } from '@ngrx/store';
import { BatchApiActions, BatchPageActions } from './batches.actions';
import { CellarbookApiActions } from './cellarbook.actions';
import { LarderApiActions } from './larder.actions';

/** Batches as the app holds them. */
export interface BatchesState extends EntityState<BatchDto> {
  /** Whether the first load has come. */
  readonly loaded: boolean;
  /** Why the last load or new batch was refused; null when it was not. */
  readonly problem: Problem | null;
  readonly sending: boolean;
}

const adapter = createEntityAdapter<BatchDto>({ sortComparer: (a, b) => (a.startedAt < b.startedAt ? 1 : -1) });
const initial: BatchesState = adapter.getInitialState({ loaded: false, problem: null, sending: false });

function withEntries(state: BatchesState, entries: readonly Entry[]): BatchesState {
  const changes = [...new Set(entries.map((e) => e.batchId))].flatMap((id) => {
    const log = state.entities[id]?.entries;
    if (!log) return [];
    const known = new Set(log.map((e) => e.id));
    return [{ id, changes: { entries: [...log, ...entries.filter((e) => e.batchId === id && !known.has(e.id))] } }];
  });
  return adapter.updateMany(changes, state);
}

function withoutEntries(state: BatchesState, entries: readonly Entry[]): BatchesState {
  const gone = new Set(entries.map((e) => e.id));
  const changes = [...new Set(entries.map((e) => e.batchId))].flatMap((id) => {
    const log = state.entities[id]?.entries;
    return log ? [{ id, changes: { entries: log.filter((e) => !gone.has(e.id)) } }] : [];
  });
  return adapter.updateMany(changes, state);
}

/** A log that is here stays, though it may be older than the summary: what is newer is fetched. */
const withKnownLog = (batch: BatchDto, known: BatchDto | undefined): BatchDto =>
  batch.entries === null && known?.entries ? { ...batch, entries: known.entries, ...(known.unreadable ? { unreadable: known.unreadable } : {}) } : batch;

/** Whether a log is here that ends elsewhere than the one its summary was made of. */
export const isBehind = ({ entries, summary: { head } }: BatchDto): boolean =>
  entries !== null && (entries.length !== head.count || (entries.at(-1)?.id ?? null) !== head.lastId);

/** Batches: entries are shown at once and taken back when the server refuses them. */
export const batchesFeature = createFeature({
  name: 'batches',
  reducer: createReducer(
    initial,
    on(CellarbookApiActions.loaded, (state, { book }) =>
      adapter.setAll(
        book.batches.map((batch) => withKnownLog(batch, state.entities[batch.id])),
        { ...state, loaded: true, problem: null },
      ),
    ),
    on(CellarbookApiActions.loadFailed, (state, { problem }) => ({ ...state, problem })),
    on(BatchPageActions.entriesWritten, (state, { entries }) => withEntries(state, entries)),
    on(BatchApiActions.entriesRefused, (state, { entries }) => withoutEntries(state, entries)),
    on(BatchPageActions.batchBegun, (state) => ({ ...state, sending: true, problem: null })),
    on(BatchApiActions.batchStored, (state, { batch }) => adapter.upsertOne(batch, { ...state, sending: false })),
    on(BatchApiActions.batchesRefreshed, (state, { batches }) => adapter.upsertMany([...batches], state)),
    on(LarderApiActions.pourStored, (state, { batches }) => adapter.upsertMany([...batches], state)),
    on(BatchApiActions.batchRefused, (state, { problem }) => ({ ...state, sending: false, problem })),
  ),
  extraSelectors: ({ selectBatchesState }) => ({ ...adapter.getSelectors(selectBatchesState) }),
});
