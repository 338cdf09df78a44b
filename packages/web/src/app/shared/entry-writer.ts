import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import type { Entry, EntryKind, EntryPayloads } from '@trug/core';
import { checkEntryAgainst } from '@trug/core/log/check-entry';
import { judgeState } from '@trug/core/log/judge-state';
import { replay } from '@trug/core/log/replay';
import { NO_ANSWER } from '../state/cellarbook.api';
import { newId } from './new-id';
import { filter, firstValueFrom } from 'rxjs';
import { BatchApiActions, BatchPageActions } from '../state/batches.actions';
import type { BatchView } from '../state/batch-views.selectors';
import { cupboardFeature } from '../state/cupboard.reducer';

/** An act before it has an id and a time of writing. */
export type Act = {
  readonly [K in EntryKind]: { readonly kind: K; readonly payload: EntryPayloads[K]; readonly note?: string; readonly at?: string };
}[EntryKind];

/** Writes acts down on a batch, after asking the contract and the core whether they may be filed. */
@Injectable({ providedIn: 'root' })
export class EntryWriter {
  private readonly actions = inject(Actions);
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly loadedNow = this.store.selectSignal(cupboardFeature.selectNow);
  private readonly openedAtMs = Date.now();

  /** Now by the server's clock, which may stand at another day than this machine's. */
  now(): string {
    return new Date(Date.parse(this.loadedNow()) + (Date.now() - this.openedAtMs)).toISOString();
  }

  /** An entry as it will be sent. Without a day of its own it comes after everything the batch's log already holds. */
  entry(batchId: string, act: Act, lastEntryAt: string | null = null): Entry {
    const clock = this.now();
    const now = lastEntryAt !== null && lastEntryAt >= clock ? new Date(Date.parse(lastEntryAt) + 1000).toISOString() : clock;
    return { id: newId(), batchId, at: act.at ?? now, writtenAt: now, note: act.note ?? '', kind: act.kind, payload: act.payload } as Entry;
  }

  /**
   * Files acts on a batch, all or none, and goes back to its page, or stays where it is.
   *
   * @returns why they cannot be filed; null once the server has them
   */
  async write(view: BatchView, acts: readonly Act[], said: string, then: 'to-batch' | 'stay' = 'to-batch'): Promise<string | null> {
    const entries = acts.map((act) => this.entry(view.batch.id, act, view.state.lastEntryAt));
    const refused = (await refusalByContract(entries)) ?? refusalByCore(view, entries);
    if (refused !== null) return refused;
    // The answer is awaited before the form is left, so that a refusal finds everything still in it.
    const answer = firstValueFrom(
      this.actions.pipe(
        ofType(BatchApiActions.entriesFiled, BatchApiActions.entriesRefused),
        filter((action) => action.entries === entries),
      ),
    );
    this.store.dispatch(BatchPageActions.entriesWritten({ entries, said }));
    const answered = await answer;
    if (answered.type === BatchApiActions.entriesRefused.type) return answered.problem.detail;
    if (then === 'to-batch') await this.router.navigate(['/batch', view.batch.id]);
    return null;
  }
}

/** The contract's rules come with class-validator, which is loaded when something is first written. */
async function refusalByContract(entries: readonly Entry[]): Promise<string | null> {
  const contract = await import('@trug/contract').catch(() => null);
  if (contract === null) return NO_ANSWER;
  for (const entry of entries) {
    const check = contract.checkEntry(entry);
    if (!check.ok) return check.fields.map((f) => f.message).join(' ');
  }
  return null;
}

function refusalByCore(view: BatchView, entries: readonly Entry[]): string | null {
  let log: readonly Entry[] = view.batch.entries;
  for (const entry of entries) {
    const state = replay(log);
    const check = checkEntryAgainst(state, judgeState(state, entry.at)?.value ?? null, entry);
    if (check.refusal !== null) return check.refusal;
    const danger = check.dangers[0];
    if (danger) return `${danger.text} ${danger.whatToDo}`;
    log = [...log, entry];
    const issue = replay(log).issues.find((i) => i.entryId === entry.id);
    if (issue) return `That does not add up: ${issue.text}.`;
  }
  return null;
}
