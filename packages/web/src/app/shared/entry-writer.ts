import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import type { Problem } from '@trug/contract/plain';
import type { Entry, EntryKind, EntryPayloads } from '@trug/core';
import { checkEntryAgainst } from '@trug/core/log/check-entry';
import { judgeState } from '@trug/core/log/judge-state';
import { replay } from '@trug/core/log/replay';
import { MOST_DAYS_AHEAD, daysBetween } from '@trug/core/quantity/days';
import { filter, firstValueFrom } from 'rxjs';
import { NO_ANSWER } from '../state/cellarbook.api';
import { BatchApiActions, BatchPageActions, type BatchDraft } from '../state/batches.actions';
import type { BatchView } from '../state/batch-views.selectors';
import { Clock } from './clock';
import { newId } from './new-id';
import { isAnswered, Outbox } from './outbox/outbox';
import { TwoVersions } from './two-versions/two-versions';

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
  private readonly outbox = inject(Outbox);
  private readonly versions = inject(TwoVersions);
  private readonly clock = inject(Clock);

  /** Now by the server's clock, which may stand at another day than this machine's. */
  now(): string {
    return this.clock.now();
  }

  /** An entry as it will be sent. Without a day of its own it comes after everything the batch's log already holds. */
  entry(batchId: string, act: Act, lastEntryAt: string | null = null): Entry {
    const clock = this.now();
    // What a wrong clock dated far ahead is no reason to date anything else ahead.
    const follows = lastEntryAt !== null && lastEntryAt >= clock && daysBetween(clock, lastEntryAt) < MOST_DAYS_AHEAD / 2;
    const now = follows ? new Date(Date.parse(lastEntryAt) + 1000).toISOString() : clock;
    return { id: newId(), batchId, at: act.at ?? now, writtenAt: clock, note: act.note ?? '', kind: act.kind, payload: act.payload } as Entry;
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
    const problem = await this.file(entries, said, acts);
    if (problem !== null) return problem.detail;
    if (then === 'to-batch') await this.router.navigate(['/batch', view.batch.id]);
    return null;
  }

  /**
   * Sends entries that were checked, each once however often it is pressed.
   *
   * @param says - what the maker said, by which a repeat is known; the entries themselves when nothing else is known
   * @returns why the server refused them; null once it has them
   */
  async file(entries: readonly Entry[], said: string, says: unknown = entries): Promise<Problem | null> {
    const key = `entries:${entries.map((e) => `${e.batchId}:${e.kind}${e.kind === 'corrected' ? e.payload.entryId : ''}`).join('+')}`;
    const sending = { key, body: entries, freshIds: entries.map((e) => e.id), now: this.now(), says };
    const { answer, body } = await this.outbox.send(sending, (sent) => this.answerTo(sent, said), isAnswered);
    if (answer?.code !== 'conflict' || body.length === 0) return answer;
    // An earlier try had arrived after all, and was changed since: the maker says which of the two is meant.
    const also = await this.versions.ofEntries(answer.current, body);
    if (also === null) return answer;
    this.outbox.settle(key);
    return also.length === 0 ? null : this.file(also, said);
  }

  /** Begins a batch with its first entries, once however often it is pressed; gives the batch as it was sent. */
  async begin(draft: BatchDraft, says: unknown, about: (sent: BatchDraft) => void): Promise<string | null> {
    const sending = { key: 'begin', body: draft, freshIds: [draft.batch.id, ...draft.entries.map((e) => e.id)], now: this.now(), says };
    const { answer } = await this.outbox.send(
      sending,
      async (sent) => {
        about(sent);
        const answered = firstValueFrom(
          this.actions.pipe(
            ofType(BatchApiActions.batchStored, BatchApiActions.batchRefused),
            filter((action) => ('problem' in action ? action.batchId : action.batch.id) === sent.batch.id),
          ),
        );
        this.store.dispatch(BatchPageActions.batchBegun({ draft: sent }));
        const action = await answered;
        return 'problem' in action ? action.problem : null;
      },
      isAnswered,
    );
    if (answer?.code !== 'conflict') return answer?.detail ?? null;
    // An earlier try had arrived, and the form was changed since: what is in it now is another batch.
    this.outbox.settle('begin');
    return `${answer.detail}. What you sent first was begun after all: look on the shelf. Press again to begin this one beside it.`;
  }

  private async answerTo(entries: readonly Entry[], said: string): Promise<Problem | null> {
    // The answer is awaited before the form is left, so that a refusal finds everything still in it.
    const answered = firstValueFrom(
      this.actions.pipe(
        ofType(BatchApiActions.entriesFiled, BatchApiActions.entriesRefused),
        filter((action) => action.entries === entries),
      ),
    );
    this.store.dispatch(BatchPageActions.entriesWritten({ entries, said }));
    const action = await answered;
    return 'problem' in action ? action.problem : null;
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
  let { log } = view;
  for (const entry of entries) {
    const state = replay(log, view.state.zone);
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
