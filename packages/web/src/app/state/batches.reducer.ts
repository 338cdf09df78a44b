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
    const batch = state.entities[id];
    if (!batch) return [];
    const known = new Set(batch.entries.map((e) => e.id));
    return [{ id, changes: { entries: [...batch.entries, ...entries.filter((e) => e.batchId === id && !known.has(e.id))] } }];
  });
  return adapter.updateMany(changes, state);
}

function withoutEntries(state: BatchesState, entries: readonly Entry[]): BatchesState {
  const gone = new Set(entries.map((e) => e.id));
  const changes = [...new Set(entries.map((e) => e.batchId))].flatMap((id) => {
    const batch = state.entities[id];
    return batch ? [{ id, changes: { entries: batch.entries.filter((e) => !gone.has(e.id)) } }] : [];
  });
  return adapter.updateMany(changes, state);
}

/** Batches: entries are shown at once and taken back when the server refuses them. */
export const batchesFeature = createFeature({
  name: 'batches',
  reducer: createReducer(
    initial,
    on(CellarbookApiActions.loaded, (state, { book }) => adapter.setAll([...book.batches], { ...state, loaded: true, problem: null })),
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
