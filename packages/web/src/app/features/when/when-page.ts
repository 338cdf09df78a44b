import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MAT_DATE_LOCALE, provideNativeDateAdapter, type MatDateFormats } from '@angular/material/core';
import { MatDatepicker, MatDatepickerInput, MatDatepickerToggle } from '@angular/material/datepicker';
import { RouterLink } from '@angular/router';
import type { Entry } from '@trug/core';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { momentIn } from '@trug/core/matter/quantity/zone';
import { injectBatchView } from '../../state/batch-of-page';
import { Units } from '../../units/units';
import { SaidPipe } from '../../units/said.pipe';
import { LogWriter } from '../../writing/log-writer';

const DAYS: MatDateFormats = {
  parse: { dateInput: null },
  display: {
    dateInput: { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' },
    monthYearLabel: { month: 'short', year: 'numeric' },
    dateA11yLabel: { day: 'numeric', month: 'long', year: 'numeric' },
    monthYearA11yLabel: { month: 'long', year: 'numeric' },
  },
};
const HOUR = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/;

/** The day and hour an entry says it happened, put right: for one written on a wrong day, or while a clock was wrong. */
@Component({
  selector: 'trug-when-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, ReactiveFormsModule, RouterLink, MatDatepicker, MatDatepickerInput, MatDatepickerToggle],
  providers: [
    provideNativeDateAdapter(DAYS),
    // Day before month, as it is written everywhere else in Trug.
    { provide: MAT_DATE_LOCALE, useValue: 'en-GB' },
  ],
  template: `
    @if (entry(); as e) {
      <form class="page" [formGroup]="form" (ngSubmit)="file(e)">
        <div class="page-head">
          <h1>When was it?</h1>
          <span class="quiet">{{ words(e) }}, written down for {{ units.moment(e.at) }}</span>
        </div>
        <div class="sheet">
          <div class="field">
            <label for="day">Day</label>
            <div class="with-picker">
              <input id="day" name="day" formControlName="day" autocomplete="off" [matDatepicker]="picker" [attr.aria-invalid]="form.controls.day.invalid" />
              <mat-datepicker-toggle [for]="picker" />
              <mat-datepicker #picker />
            </div>
          </div>
          <div class="field">
            <label for="hour">Hour, on your clock</label>
            <input id="hour" name="hour" formControlName="hour" autocomplete="off" inputmode="numeric" placeholder="14:30" />
          </div>
          @if (refusal(); as why) {
            <p class="field-error" role="alert">{{ why | said }}</p>
          }
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
  styles: `
    .with-picker {
      display: grid;
      grid-template-columns: 1fr auto;
      align-items: center;
    }
  `,
})
export class WhenPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  readonly entryId = input.required<string>();
  private readonly view = injectBatchView(this.id);
  protected readonly refusal = signal<string | null>(null);
  /** The entry as it stands. */
  protected readonly entry = computed(() => effectiveEntries(this.view()?.log ?? []).entries.find((e) => e.id === this.entryId()) ?? null);
  protected readonly form = new FormGroup({ day: new FormControl<Date | null>(null), hour: new FormControl('', { nonNullable: true }) });

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
    const clock = HOUR.exec(hour.trim());
    if (!view || entry.kind === 'corrected') return;
    if (day === null || Number.isNaN(day.getTime())) {
      this.refusal.set('Pick the day it was, or write it as the picker does.');
      return;
    }
    if (!clock) {
      this.refusal.set('Write the hour as 14:30.');
      return;
    }
    const at = momentIn(dateOf(day), `${(clock[1] ?? '').padStart(2, '0')}:${clock[2] ?? ''}`, this.units.zone());
    const replacement = { kind: entry.kind, at, note: entry.note, payload: entry.payload };
    // The entry's own kind and payload stand beside one another again.
    const payload = { entryId: entry.id, replacement } as Extract<Entry, { kind: 'corrected' }>['payload'];
    this.refusal.set(await this.writer.write(view, [{ kind: 'corrected', payload, note: 'its day put right' }], 'Put right. What it said before is kept.'));
  }

  /** The maker's own day and hour; an untouched form follows what another window puts right. */
  private startFrom(at: string): void {
    if (this.form.dirty) return;
    const [year = 1970, month = 1, day = 1] = this.units.dateOf(at).split('-').map(Number);
    this.form.setValue({ day: new Date(year, month - 1, day), hour: this.units.hour(at) });
  }
}

/** The day a picker shows, which it keeps as this machine's midnight. */
function dateOf(day: Date): string {
  return `${String(day.getFullYear()).padStart(4, '0')}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;
}
