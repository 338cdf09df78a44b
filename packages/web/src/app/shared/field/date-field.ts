import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { DateAdapter, MAT_DATE_FORMATS, MAT_DATE_LOCALE, type MatDateFormats } from '@angular/material/core';
import { MatDatepicker, MatDatepickerInput, MatDatepickerToggle } from '@angular/material/datepicker';
import { MatFormField, MatSuffix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { controlled, type Controlled } from './controlled';
import { MakersDateAdapter } from './makers-date-adapter';
import { NO_DAY } from './no-day';

const DAYS: MatDateFormats = {
  parse: { dateInput: null },
  display: {
    dateInput: { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' },
    monthYearLabel: { month: 'short', year: 'numeric' },
    dateA11yLabel: { day: 'numeric', month: 'long', year: 'numeric' },
    monthYearA11yLabel: { month: 'long', year: 'numeric' },
  },
};

let made = 0;

/** The day a picker shows, which it keeps as this machine's midnight, as `2026-10-16`. */
function isoDayOf(day: Date): string {
  return `${String(day.getFullYear()).padStart(4, '0')}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;
}

function dateOf(isoDay: string): Date | null {
  const [year, month, day] = isoDay.split('-').map(Number);
  return isoDay === NO_DAY || year === undefined || month === undefined || day === undefined ? null : new Date(year, month - 1, day);
}

/** A field for a day, as `2026-10-16`: picked from a calendar, or typed as the calendar writes it. A day has no zone of its own. */
@Component({
  selector: 'trug-date',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatFormField, MatInput, MatSuffix, MatDatepicker, MatDatepickerInput, MatDatepickerToggle],
  providers: [
    { provide: DateAdapter, useClass: MakersDateAdapter },
    { provide: MAT_DATE_FORMATS, useValue: DAYS },
    // Day before month, as it is written everywhere else in Trug.
    { provide: MAT_DATE_LOCALE, useValue: 'en-GB' },
  ],
  host: { class: 'field' },
  template: `
    @if (label()) {
      <label [for]="id">{{ label() }}</label>
    }
    <mat-form-field class="ruled" appearance="outline" subscriptSizing="dynamic" [class.ruled-wrong]="problem() !== null">
      <input
        matInput
        #box
        [id]="id"
        [name]="name()"
        autocomplete="off"
        [matDatepicker]="picker"
        [value]="date()"
        (dateChange)="picked($event.value, box.value)"
        (blur)="held.leave()"
        [attr.aria-label]="spoken()"
        [attr.aria-invalid]="problem() !== null"
        [attr.aria-describedby]="problem() ? id + '-say' : null"
      />
      <mat-datepicker-toggle matSuffix [disableRipple]="true" [for]="picker" />
      <mat-datepicker #picker />
    </mat-form-field>
    @if (problem(); as say) {
      <span class="field-error" [id]="id + '-say'" aria-live="polite">{{ say }}</span>
    }
  `,
})
export class DateField {
  readonly label = input('');
  readonly spoken = input<string | null>(null);
  readonly name = input.required<string>();
  protected readonly held: Controlled<string> = controlled('', () => this.problem());
  protected readonly id = `date-${(made += 1)}`;
  protected readonly date = computed(() => (this.held.value() === '' ? null : dateOf(this.held.value())));
  protected readonly problem = computed((): string | null => (this.held.value() === NO_DAY ? 'That is no day. Write it as 16 Oct 2026, or pick it.' : null));

  protected picked(date: Date | null, typed: string): void {
    if (date !== null && !Number.isNaN(date.getTime())) this.held.set(isoDayOf(date));
    else this.held.set(typed.trim() === '' ? '' : NO_DAY);
  }
}
