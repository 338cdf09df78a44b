import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import type { Entry, EntryKind, EntryPayloads } from '@trug/core';
import { justAfter } from '@trug/core/book/entry/act-moment';
import { putBack, takeBack } from '@trug/core/book/entry/take-back';
import { daysBetween, MOST_DAYS_AHEAD } from '@trug/core/matter/quantity/days';
import { newId } from '../browser/new-id';
import type { BatchView } from '../state/batch-views.selectors';
import { BatchApiActions, BatchPageActions, type Filing } from '../state/batches.actions';
import { batchesFeature } from '../state/batches.reducer';
import { Clock } from '../state/clock';
import { NO_ANSWER } from '../state/trug-api';
import { refusalByContract, refusalByCore } from './check-before-filing';
import { Courier, type Sent } from './courier';
import { DoneAt } from './done-at';
import type { Filled } from './draft';
import { Says } from './says';
import { viewWithLog } from './view-with-log';

/** An act before it has an id and a time of writing. */
export type Act = {
  readonly [K in EntryKind]: { readonly kind: K; readonly payload: EntryPayloads[K]; readonly note?: string; readonly at?: string };
}[EntryKind];

const TAKEN_BACK = 'Taken back. It is still in the log, struck out.';

/**
 * The only way to write in a log. It asks the contract and the core first, shows what is written at once, sends it once however often it
 * is pressed, waits for the answer so that a refusal finds the form as it was, and offers to take every write back.
 */
@Injectable({ providedIn: 'root' })
export class LogWriter {
  private readonly router = inject(Router);
  private readonly courier = inject(Courier);
  private readonly says = inject(Says);
  private readonly clock = inject(Clock);
  private readonly doneAt = inject(DoneAt);
  private readonly store = inject<Store>(Store);
  private readonly batches = this.store.selectSignal(batchesFeature.selectEntities);

  /** When what is filed was done: now by the server's clock, which may stand at another day than this machine's, or as the maker says. */
  now(): string {
    return this.doneAt.at() ?? this.clock.now();
  }

  /** An entry as it will be sent. Without a day of its own it comes after everything the batch's log already holds. */
  entry(batchId: string, act: Act, lastEntryAt: string | null = null): Entry {
    const clock = this.clock.now();
    // What a wrong clock dated far ahead is no reason to date anything else ahead.
    const follows = lastEntryAt !== null && lastEntryAt >= clock && daysBetween(clock, lastEntryAt) < MOST_DAYS_AHEAD / 2;
    const done = act.kind === 'corrected' ? null : this.doneAt.at();
    const now = done ?? (follows ? justAfter(lastEntryAt) : clock);
    return { id: newId(), batchId, at: act.at ?? now, writtenAt: clock, note: act.note ?? '', kind: act.kind, payload: act.payload } as Entry;
  }

  /**
   * Files acts on a batch, all or none, and goes back to its page, or stays where it is.
   *
   * @param from - the form they were typed into: nothing is filed while a field of it cannot be used, and it is forgotten once they are
   * @returns why they cannot be filed; null once the server has them
   */
  async write(view: BatchView, acts: readonly Act[], said: string, from: Filled | 'stay' | null = null): Promise<string | null> {
    const form = from === 'stay' ? null : from;
    const unusable = form?.wrong() ?? null;
    if (unusable !== null) return unusable;
    const here = await viewWithLog(this.store, view);
    if (here === null) return NO_ANSWER;
    const entries = acts.map((act) => this.entry(view.batch.id, act, here.state.lastEntryAt));
    const refused =
      (await refusalByContract(entries)) ?? (await refusalByCore(here, entries)) ?? (await this.file({ batches: [], entries }, said, acts)).refused;
    if (refused !== null) return refused;
    form?.forget();
    if (from !== 'stay') await this.router.navigate(['/batch', view.batch.id]);
    return null;
  }

  /**
   * Files acts on several batches, all or none.
   *
   * @param each - the batches with what is done to them
   * @param from - the form they were typed into, forgotten once they are filed
   * @returns why they cannot be filed; null once the server has them
   */
  async writeEach(each: readonly { readonly view: BatchView; readonly act: Act }[], said: string, from: Filled): Promise<string | null> {
    const unusable = from.wrong();
    if (unusable !== null) return unusable;
    const entries: Entry[] = [];
    for (const { view: told, act } of each) {
      const view = await viewWithLog(this.store, told);
      if (view === null) return NO_ANSWER;
      const entry = this.entry(view.batch.id, act, view.state.lastEntryAt);
      const refused = (await refusalByContract([entry])) ?? (await refusalByCore(view, [entry]));
      if (refused !== null) return `${view.batch.name}: ${refused}`;
      entries.push(entry);
    }
    const { refused } = await this.file(
      { batches: [], entries },
      said,
      each.map(({ act }) => act),
    );
    if (refused === null) from.forget();
    return refused;
  }

  /**
   * Files entries and the batches that begin with them, all or none, each once however often it is pressed.
   *
   * @param says - what the maker said, by which a repeat is known; the filing itself when nothing else is known
   * @param press - which press of a button it is, where no form holds what is filed: another press is another act
   */
  async file(filing: Filing, said: string, says?: unknown, press = ''): Promise<Sent<Filing>> {
    const untimely = press === '' ? this.doneAt.problem() : null;
    if (untimely !== null) return { refused: untimely, body: filing };
    const begun = new Set(filing.batches.map((b) => b.id));
    const logs = [...new Set(filing.entries.map((e) => e.batchId).filter((id) => !begun.has(id)))];
    const isOneLog = begun.size === 0 && logs.length === 1;
    const sending = {
      key: isOneLog ? `${entriesKey(filing.entries)}${press}` : logs.length === 0 ? `begin:${filing.entries[0]?.kind ?? ''}` : `pour:${logs.join('+')}`,
      body: filing,
      freshIds: [...begun, ...filing.entries.map((e) => e.id)],
      now: this.clock.now(),
      says: says ?? filing,
    };
    const { answer, body } = await this.courier.send(sending, (sent) => BatchPageActions.filingSent({ sent }), [
      BatchApiActions.filingStored.type,
      BatchApiActions.filingRefused.type,
    ]);
    if (answer === null) this.says.written(said, () => void this.undo(body));
    if (answer?.code !== 'conflict' || body.entries.length === 0) return this.courier.told(answer, body);
    if (!isOneLog) {
      // An earlier try had arrived, and was changed since: what is in the form now is another beginning or pour.
      this.courier.settle(sending.key);
      return { refused: `${answer.detail}. What you sent first was filed after all: look on the shelf before you send this as well.`, body };
    }
    // An earlier try had arrived after all, and was changed since: the maker says which of the two is meant.
    const also = await (await this.courier.versions()).ofEntries(answer.current, body.entries);
    if (also === null) return this.courier.told(answer, body);
    this.courier.settle(sending.key);
    return also.length === 0 ? { refused: null, body } : this.file({ batches: [], entries: also }, said);
  }

  /** Strikes an entry out; it stays in the log. */
  async strikeOut(entry: Entry, said: string): Promise<string | null> {
    return this.correct(entry, takeBack(entry, this.logOf(entry.batchId)), 'struck out', said);
  }

  /** Puts back what was struck out, as it last stood. */
  async putBack(entry: Entry, said: string): Promise<string | null> {
    return this.correct(entry, putBack(entry.id, this.logOf(entry.batchId)), 'put back', said);
  }

  private logOf(batchId: string): readonly Entry[] {
    return this.batches()[batchId]?.entries ?? [];
  }

  private async correct(entry: Entry, payload: EntryPayloads['corrected'] | null, note: string, said: string): Promise<string | null> {
    if (payload === null) return null;
    const corrected = this.entry(entry.batchId, { kind: 'corrected', payload, note });
    return (await this.file({ batches: [], entries: [corrected] }, said, undefined, this.pressOn([corrected]))).refused;
  }

  /** Tells one press on lines of a log from the next: by how often those have been corrected so far. */
  private pressOn(corrections: readonly Entry[]): string {
    const ids = new Set(corrections.flatMap((e) => (e.kind === 'corrected' ? [e.payload.entryId] : [])));
    const logs = [...new Set(corrections.map((e) => e.batchId))].flatMap((id) => this.logOf(id));
    return `#${logs.filter((e) => e.kind === 'corrected' && ids.has(e.payload.entryId)).length}`;
  }

  /** Takes back what was filed together, last first: what came of an entry goes before it. */
  private async undo({ entries }: Filing): Promise<void> {
    const strikes = [...entries].reverse().flatMap((entry) => {
      const payload = takeBack(entry, this.logOf(entry.batchId));
      return payload ? [this.entry(entry.batchId, { kind: 'corrected', payload, note: 'taken back' })] : [];
    });
    const said = entries.every((e) => e.kind === 'corrected') ? 'Taken back.' : TAKEN_BACK;
    if (strikes.length > 0) await this.file({ batches: [], entries: strikes }, said, undefined, this.pressOn(strikes));
  }
}

const entriesKey = (entries: readonly Entry[]): string =>
  `entries:${entries.map((e) => `${e.batchId}:${e.kind}${e.kind === 'corrected' ? e.payload.entryId : ''}`).join('+')}`;
