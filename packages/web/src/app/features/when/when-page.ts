import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import type { Entry } from '@trug/core';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { parseHour } from '@trug/core/matter/quantity/hour';
import { momentIn } from '@trug/core/matter/quantity/zone';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { MOMENT_WORDS } from '../../units/moment-words';
import { Units } from '../../units/units';
import { DateField, NO_DAY } from '../../shared/field/date-field';
import { TextField } from '../../shared/field/text-field';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../../shared/refusal/refusal';

/** The day and hour an entry says it happened, put right: for one written on a wrong day, or while a clock was wrong. */
@Component({
  selector: 'trug-when-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, ReactiveFormsModule, RouterLink, DateField, TextField, Refusal],
  template: `
    @if (entry(); as e) {
      <form class="page" [formGroup]="form" (ngSubmit)="file(e)">
        @if (view(); as v) {
          <trug-act-head [view]="v" act="When was it?" [says]="words(e) + ', written down for ' + units.moment(e.at)" />
        }
        <div class="sheet">
          <trug-date label="Day" name="day" formControlName="day" />
          <trug-text label="Hour, on your clock" name="hour" formControlName="hour" placeholder="14:30" />
          <trug-refusal [why]="refusal()" />
          <div class="acts">
            <button class="btn btn-main" type="submit">Put it right</button>
            <a class="link" [routerLink]="['/batch', id()]">Not yet</a>
          </div>
        </div>
      </form>
    } @else {
      <section class="page">
        <h1>No such entry</h1>
        <p>It may have been struck out in another window.</p>
        <a class="btn" [routerLink]="['/batch', id()]">To the batch</a>
      </section>
    }
  `,
})
export class WhenPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  readonly entryId = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly refusal = signal<string | null>(null);
  /** The entry as it stands. */
  protected readonly entry = computed(() => effectiveEntries(this.view()?.log ?? []).entries.find((e) => e.id === this.entryId()) ?? null);
  protected readonly form = new FormGroup({ day: new FormControl('', { nonNullable: true }), hour: new FormControl('', { nonNullable: true }) });

  constructor() {
    effect(() => {
      const at = this.entry()?.at;
      if (at !== undefined) untracked(() => this.startFrom(at));
    });
  }

  protected words(entry: Entry): string {
    const { lead, rest } = describeEntry(entry, this.units.preferences());
    return `${lead} ${rest}`.trim();
  }

  protected async file(entry: Entry): Promise<void> {
    const view = this.view();
    const { day, hour } = this.form.getRawValue();
    const clock = parseHour(hour);
    if (!view || entry.kind === 'corrected') return;
    if (day === '' || day === NO_DAY) {
      this.refusal.set(MOMENT_WORDS['no-day']);
      return;
    }
    if (clock === null) {
      this.refusal.set(MOMENT_WORDS['no-hour']);
      return;
    }
    const at = momentIn(day, clock, this.units.zone());
    const replacement = { kind: entry.kind, at, note: entry.note, payload: entry.payload };
    // The entry's own kind and payload stand beside one another again.
    const payload = { entryId: entry.id, replacement } as Extract<Entry, { kind: 'corrected' }>['payload'];
    this.refusal.set(await this.writer.write(view, [{ kind: 'corrected', payload, note: 'its day put right' }], 'Put right. What it said before is kept.'));
  }

  /** The maker's own day and hour; an untouched form follows what another window puts right. */
  private startFrom(at: string): void {
    if (this.form.dirty) return;
    this.form.setValue({ day: this.units.dateOf(at), hour: this.units.hour(at) });
  }
}
