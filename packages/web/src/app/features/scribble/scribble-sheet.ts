import { afterNextRender, ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { Entry } from '@trug/core';
import { actMoment } from '@trug/core/book/entry/act-moment';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import { LONGEST_SCRIBBLE, parseScribble } from '@trug/core/book/scribble/parse-scribble';
import { scribbleLines } from '@trug/core/book/scribble/scribble-lines';
import type { SaidReading, ScribbledEntry } from '@trug/core/book/scribble/scribble-types';
import { injectNarrow } from '../../browser/narrow';
import { CautionList } from '../../shared/caution/caution-list';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { injectGauges } from '../../shared/gauges';
import { Icon } from '../../shared/icon/icon';
import { Refusal } from '../../shared/refusal/refusal';
import { Tape } from '../../shared/tape/tape';
import { injectBatchView } from '../../state/batch-of-page';
import { selectBatchViews, type BatchView } from '../../state/batch-views.selectors';
import { isInUse } from '../../state/in-use';
import { placesFeature } from '../../state/resources.reducer';
import { settingsFeature } from '../../state/settings.reducer';
import { selectSuppliesLeft } from '../../state/supplies.selectors';
import { vesselsFeature } from '../../state/vessels.reducer';
import { momentProblemText } from '../../units/moment-words';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { batchDraftKey, createDraft, leaveDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';
import { injectReadBy } from './read-by';
import { guessText, PAGE_WORDS } from './scribble-words';

const EMPTY = { line: '', batchId: '' };
/** What is poured away or drunk up has no more to be written about it here. */
const isOn = ({ state }: BatchView): boolean => state.liquid !== null || state.keg !== null || state.crates.length > 0;

/** One line, as it would stand on tape: what Trug makes of it is shown before any of it is filed. */
@Component({
  selector: 'trug-scribble-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, CautionList, SelectField, TextField, Icon, Refusal, Tape, SaidPipe],
  templateUrl: './scribble-sheet.html',
  styleUrl: './scribble-sheet.scss',
})
export class ScribbleSheet {
  private readonly store = inject<Store>(Store);
  private readonly writer = inject(LogWriter);
  private readonly units = inject(Units);
  /** The batch whose page lies beneath; null on a place. */
  readonly batchOfPage = input<string | null>(null);
  readonly closed = output();
  protected readonly longest = LONGEST_SCRIBBLE;
  protected readonly pages = PAGE_WORDS;
  /** A line that does not fit goes on beneath. */
  protected readonly rows = computed(() => (this.narrow() ? 2 : 1));
  private readonly narrow = injectNarrow();
  protected readonly example = computed(() => `back jar ${this.units.gravity(1.012)} at ${this.units.temperature(18)}, eggy, stirred`);
  protected readonly draft = createDraft('scribble', EMPTY);
  private readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  private readonly views = this.store.selectSignal(selectBatchViews);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectVesselById);
  private readonly supplies = this.store.selectSignal(selectSuppliesLeft);
  private readonly readBy = injectReadBy();
  private readonly places = this.store.selectSignal(placesFeature.selectAll);
  private readonly gauges = injectGauges();
  private readonly settings = this.store.selectSignal(settingsFeature.selectSettings);
  private readonly on = computed(() => this.views().filter(isOn));
  private readonly parsed = computed(() =>
    parseScribble(this.fields().line, {
      batches: this.on().map(({ batch, state }) => ({
        id: batch.id,
        names: [batch.name, ...state.vessels.flatMap(({ vesselId }) => this.vessels().get(vesselId)?.name ?? [])],
      })),
      ...this.readBy(),
    }),
  );
  /** Those it may be about, where the line leaves it open. */
  protected readonly choices = computed(() => {
    const { batchIds } = this.parsed();
    if (batchIds.length === 1) return [];
    const may = batchIds.length > 1 ? this.on().filter(({ batch }) => batchIds.includes(batch.id)) : this.on();
    return may.map(({ batch, state }) => ({ id: batch.id, name: batch.name, note: this.standsIn(state.vessels) }));
  });
  protected readonly batchId = computed(() => {
    const [named] = this.parsed().batchIds;
    if (named !== undefined && this.parsed().batchIds.length === 1) return named;
    const chosen = this.fields().batchId || (this.batchOfPage() ?? '');
    return this.choices().some(({ id }) => id === chosen) ? chosen : '';
  });
  protected readonly view = injectBatchView(this.batchId);
  private readonly moment = computed(() => {
    const { day, hour } = this.parsed();
    return actMoment({ day, hour, now: this.writer.now(), lastEntryAt: this.view()?.state.lastEntryAt ?? null, zone: this.units.zone() });
  });
  /** Why it cannot have been done then. */
  protected readonly untimely = computed(() => {
    const moment = this.moment();
    const last = this.view()?.state.lastEntryAt ?? null;
    return moment.ok ? null : momentProblemText(moment.why, last === null ? null : this.units.moment(last));
  });
  protected readonly when = computed(() => {
    const moment = this.moment();
    return moment.ok && moment.at !== null ? this.units.moment(moment.at) : 'now';
  });
  protected readonly lines = computed(() => {
    const view = this.view();
    const moment = this.moment();
    if (!view || !moment.ok) return [];
    return scribbleLines(this.parsed().said, {
      batchId: view.batch.id,
      log: view.log,
      zone: this.units.zone(),
      method: view.method,
      school: this.settings().strengthSchool,
      at: moment.at ?? this.writer.now(),
      gauges: this.gauges().map((g) => ({ ...g, own: g.id !== g.kind })),
      supplies: this.supplies(),
      places: this.places().filter(isInUse),
    });
  });
  protected readonly shown = computed(() =>
    this.lines().map((line) => (line.is === 'act' ? { ...line, ...this.words(line.act), guesses: line.guesses.map(guessText).join('; ') } : line)),
  );
  private readonly acts = computed(() => this.lines().flatMap((line) => (line.is === 'act' ? [line.act] : [])));
  protected readonly cautions = computed(() => [
    ...new Map(this.lines().flatMap((line) => (line.is === 'unread' ? [] : line.cautions.map((c) => [c.id, c] as const)))).values(),
  ]);

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => host.querySelector<HTMLElement>('input, textarea')?.focus());
    this.draft.form.valueChanges.subscribe(() => this.refusal.set(null));
  }

  private standsIn(vessels: BatchView['state']['vessels']): string {
    return vessels.flatMap(({ vesselId }) => this.vessels().get(vesselId)?.name ?? []).join(', ');
  }

  private words(act: ScribbledEntry): { readonly lead: string; readonly rest: string; readonly note: string } {
    // Kind and payload belong together: both come from one act.
    const entry = { id: '', batchId: this.batchId(), at: '', writtenAt: '', note: '', ...act } as Entry;
    return { ...describeEntry(entry, this.units.preferences()), note: act.note ?? '' };
  }

  /** What is asked about a reading is answered on its page, which finds it typed. */
  protected goOn(reading: SaidReading | null): void {
    if (reading?.gravity) {
      const sample = reading.sampleC === null ? '' : this.units.temperature(reading.sampleC);
      leaveDraft(batchDraftKey('reading', this.batchId()), { gravity: reading.gravity, sample });
    }
    this.closed.emit();
  }

  /** Enter files a line, on however many rows it stands. */
  protected enter(event: Event): void {
    if (!(event.target instanceof HTMLTextAreaElement)) return;
    event.preventDefault();
    void this.file();
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const filed = this.fields();
    const moment = this.moment();
    if (!view) this.refusal.set(this.choices().length > 0 ? 'Say which batch it is about.' : 'There is no batch yet to write about: begin one first.');
    else if (!moment.ok) this.refusal.set(this.untimely());
    else if (this.acts().length === 0) this.refusal.set('There is nothing in that line yet that can be filed.');
    else {
      const { at } = moment;
      const left = this.lines().flatMap((line) => (line.is === 'unread' ? [line.text] : []));
      const acts = this.acts().map((act) => (at === null ? act : { ...act, at }));
      const refused = await this.writer.write(view, acts, `Written down for ${view.batch.name}.`, 'stay');
      this.refusal.set(refused);
      if (refused !== null) return;
      const isDone = left.length === 0 && this.fields().line === filed.line;
      // What could not be read, or was typed meanwhile, stays to be put right, beside the batch it was about.
      this.draft.clear(filed, isDone ? EMPTY : { line: left.join(', '), batchId: view.batch.id });
      if (isDone) this.closed.emit();
    }
  }
}
