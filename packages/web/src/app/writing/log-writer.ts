import { inject, Injectable, Injector } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import type { Problem, VersionedSettings, VesselDto } from '@trug/contract/plain';
import type { Entry, EntryKind, EntryPayloads } from '@trug/core';
import { justAfter } from '@trug/core/book/entry/act-moment';
import { putBack, takeBack } from '@trug/core/book/entry/take-back';
import { daysBetween, MOST_DAYS_AHEAD } from '@trug/core/matter/quantity/days';
import { filter, take } from 'rxjs';
import { newId } from '../browser/new-id';
import type { BatchView } from '../state/batch-views.selectors';
import { BatchApiActions, BatchPageActions, type Filing } from '../state/batches.actions';
import { batchesFeature } from '../state/batches.reducer';
import { Clock } from '../state/clock';
import { ResourceApiActions, ResourcePageActions, type Named } from '../state/resources.actions';
import { resourceById } from '../state/resources.reducer';
import { SettingsApiActions, SettingsPageActions } from '../state/settings.actions';
import { settingsFeature } from '../state/settings.reducer';
import { VesselApiActions, VesselPageActions, type VesselWrite } from '../state/vessels.actions';
import type { TwoVersions } from './two-versions/two-versions';
import { refusalByContract, refusalByCore, refusalOfResource } from './check-before-filing';
import { DoneAt } from './done-at';
import type { Filled } from './draft';
import { isAnswered, Outbox, type Sending } from './outbox';
import { Says } from './says';

/** An act before it has an id and a time of writing. */
export type Act = {
  readonly [K in EntryKind]: { readonly kind: K; readonly payload: EntryPayloads[K]; readonly note?: string; readonly at?: string };
}[EntryKind];

/** What became of something that was sent: why it was refused, and how it was sent. */
export interface Sent<B> {
  readonly refused: string | null;
  /** May carry the ids of an earlier try that was not answered. */
  readonly body: B;
}

const TAKEN_BACK = 'Taken back. It is still in the log, struck out.';

/**
 * The only way to write. It asks the contract and the core first, shows what is written at once, sends it once however often it
 * is pressed, waits for the answer so that a refusal finds the form as it was, and offers to take every write back.
 */
@Injectable({ providedIn: 'root' })
export class LogWriter {
  private readonly actions = inject(Actions);
  private readonly store = inject<Store>(Store);
  private readonly router = inject(Router);
  private readonly outbox = inject(Outbox);
  private readonly injector = inject(Injector);
  private readonly says = inject(Says);
  private readonly clock = inject(Clock);
  private readonly doneAt = inject(DoneAt);
  private readonly batches = this.store.selectSignal(batchesFeature.selectEntities);
  private readonly choices = this.store.selectSignal(settingsFeature.selectSettings);

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
    const entries = acts.map((act) => this.entry(view.batch.id, act, view.state.lastEntryAt));
    const refused =
      (await refusalByContract(entries)) ?? (await refusalByCore(view, entries)) ?? (await this.file({ batches: [], entries }, said, acts)).refused;
    if (refused !== null) return refused;
    form?.forget();
    if (from !== 'stay') await this.router.navigate(['/batch', view.batch.id]);
    return null;
  }

  /**
   * Files an act on each of several batches, all or none.
   *
   * @param each - the batches with what is done to them
   * @param from - the form they were typed into, forgotten once they are filed
   * @returns why they cannot be filed; null once the server has them
   */
  async writeEach(each: readonly { readonly view: BatchView; readonly act: Act }[], said: string, from: Filled): Promise<string | null> {
    const unusable = from.wrong();
    if (unusable !== null) return unusable;
    const entries: Entry[] = [];
    for (const { view, act } of each) {
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
    const { answer, body } = await this.send(sending, (sent) => BatchPageActions.filingSent({ sent }), [
      BatchApiActions.filingStored.type,
      BatchApiActions.filingRefused.type,
    ]);
    if (answer === null) this.says.written(said, () => void this.undo(body));
    if (answer?.code !== 'conflict' || body.entries.length === 0) return this.told(answer, body);
    if (!isOneLog) {
      // An earlier try had arrived, and was changed since: what is in the form now is another beginning or pour.
      this.outbox.settle(sending.key);
      return { refused: `${answer.detail}. What you sent first was filed after all: look on the shelf before you send this as well.`, body };
    }
    // An earlier try had arrived after all, and was changed since: the maker says which of the two is meant.
    const also = await (await this.versions()).ofEntries(answer.current, body.entries);
    if (also === null) return this.told(answer, body);
    this.outbox.settle(sending.key);
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

  /**
   * Keeps a juice, a supply, a place or an instrument.
   *
   * @param said - what to tell the maker
   * @param says - what the maker said, where the resource says more
   */
  async save(named: Named, said: string, says?: unknown): Promise<Sent<Named>> {
    const refused = await refusalOfResource(named);
    if (refused !== null) return { refused, body: named };
    const { of, resource } = named;
    const isNew = resource.version === 0;
    const key = `${of}:${isNew ? 'new' : resource.id}`;
    const before = isNew ? null : resourceById(this.store, resource.id);
    const sending = { key, body: named, freshIds: isNew ? [resource.id] : [], now: this.clock.now(), says };
    const { answer, body } = await this.send(sending, (sent) => ResourcePageActions.resourceSaved({ sent }), [
      ResourceApiActions.resourceStored.type,
      ResourceApiActions.resourceRefused.type,
    ]);
    if (answer === null) this.says.written(said, () => void this.undoResource(body, before));
    if (answer?.code !== 'conflict' || answer.current === undefined) return { refused: answer?.detail ?? null, body };
    // Another window was quicker, or an earlier try had arrived after all: both are shown, and the maker chooses or joins.
    const joined = await (await this.versions()).ofResource(body, answer.current);
    if (joined === null) return { refused: answer.detail, body };
    this.outbox.settle(key);
    return this.save(joined, said);
  }

  /** Puts a vessel in the cupboard, and tells under which id. */
  async addVessel(vessel: VesselDto): Promise<Sent<VesselDto>> {
    const key = 'vessels:new';
    const { answer, body } = await this.sendVessel({ act: 'add', vessel }, key, [vessel.id]);
    if (answer === null) this.says.written(`${vessel.name} is in the cupboard.`, () => void this.undoVessel({ act: 'remove', vessel: body.vessel }));
    if (answer?.code !== 'conflict') return { refused: answer?.detail ?? null, body: body.vessel };
    // An earlier try had arrived, and was changed since: this is another vessel.
    this.outbox.settle(key);
    return this.addVessel({ ...vessel, id: newId() });
  }

  /** Puts a vessel right, or away for good. */
  async changeVessel(was: VesselDto, changes: Partial<VesselDto>, said: string): Promise<string | null> {
    const vessel = { ...was, ...changes };
    const { answer } = await this.sendVessel({ act: 'change', vessel, was }, `vessels:${was.id}`, []);
    if (answer) return answer.detail;
    this.says.written(said, () => void this.undoVessel({ act: 'change', vessel: was, was: vessel }));
    return null;
  }

  /** Says that a vessel was cleaned now. */
  async cleanVessel(vessel: VesselDto): Promise<void> {
    const at = this.clock.now();
    const { answer } = await this.sendVessel({ act: 'clean', vessel, at }, `vessels:${vessel.id}`, []);
    if (answer) this.says.refused(answer.detail);
    else this.says.written(`${vessel.name} is clean.`, () => void this.undoVessel({ act: 'unclean', vessel, at }));
  }

  /** Changes some of the maker's choices, which are in force at once. */
  async choose(changes: Partial<VersionedSettings>, said = 'Kept.'): Promise<void> {
    const before = this.choices();
    const sent = { ...before, ...changes };
    const answer = await this.answerTo(SettingsPageActions.settingsChanged({ sent }), sent, [
      SettingsApiActions.settingsStored.type,
      SettingsApiActions.settingsRefused.type,
    ]);
    const fields = Object.keys(changes);
    const was = Object.fromEntries(Object.entries(before).filter(([field]) => fields.includes(field)));
    if (answer) this.says.refused(answer.detail);
    else this.says.written(said, () => void this.choose(was));
  }

  private logOf(batchId: string): readonly Entry[] {
    return this.batches()[batchId]?.entries ?? [];
  }

  /** What shows two versions side by side; loaded when there are two. */
  private async versions(): Promise<TwoVersions> {
    const { TwoVersions: versions } = await import('./two-versions/two-versions');
    return this.injector.get(versions);
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

  private async undoResource({ resource: { id } }: Named, before: Named | null): Promise<void> {
    const stored = resourceById(this.store, id);
    if (!stored) return;
    if (before !== null) {
      const { refused } = await this.save(onVersion(before, stored.resource.version), 'As it was before.');
      if (refused !== null) this.says.refused(refused);
      return;
    }
    const answer = await this.answerTo(ResourcePageActions.resourceRemoved({ sent: stored }), stored, [
      ResourceApiActions.resourceGone.type,
      ResourceApiActions.resourceRefused.type,
    ]);
    if (answer) this.says.refused(answer.detail);
  }

  private async undoVessel(sent: VesselWrite): Promise<void> {
    const { answer } = await this.sendVessel(sent, `vessels:${sent.vessel.id}`, []);
    if (answer) this.says.refused(answer.detail);
  }

  private sendVessel(write: VesselWrite, key: string, freshIds: readonly string[]): Promise<{ readonly answer: Problem | null; readonly body: VesselWrite }> {
    return this.send({ key, body: write, freshIds, now: this.clock.now(), aside: true }, (sent) => VesselPageActions.vesselSent({ sent }), [
      VesselApiActions.vesselStored.type,
      VesselApiActions.vesselGone.type,
      VesselApiActions.vesselRefused.type,
    ]);
  }

  private send<B extends object>(
    sending: Sending<B>,
    actionFor: (sent: B) => Action,
    answers: readonly string[],
  ): Promise<{ answer: Problem | null; body: B }> {
    return this.outbox.send(sending, (sent) => this.answerTo(actionFor(sent), sent, answers), isAnswered);
  }

  /** The answer is awaited before a form is left, so that a refusal finds everything still in it. */
  private async answerTo(action: Action, sent: object, answers: readonly string[]): Promise<Problem | null> {
    const answer = new Promise<Action & { readonly problem?: Problem }>((resolve) => {
      this.actions
        .pipe(
          ofType(...answers),
          filter((a: Action & { readonly sent?: unknown }) => a.sent === sent),
          take(1),
        )
        .subscribe(resolve);
    });
    this.store.dispatch(action);
    return (await answer).problem ?? null;
  }

  private told<B>(answer: Problem | null, body: B): Sent<B> {
    if (answer) this.says.refused(answer.detail);
    return { refused: answer?.detail ?? null, body };
  }
}

/** The same resource, to be stored on top of another version of it. */
const onVersion = (named: Named, version: number): Named => ({ of: named.of, resource: Object.assign({}, named.resource, { version }) }) as Named;

const entriesKey = (entries: readonly Entry[]): string =>
  `entries:${entries.map((e) => `${e.batchId}:${e.kind}${e.kind === 'corrected' ? e.payload.entryId : ''}`).join('+')}`;
