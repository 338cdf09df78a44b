import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { dateAfter, dayText } from '@trug/core/matter/quantity/days';
import { Clock } from '../../state/clock';
import { Units } from '../../units/units';
import { controlled } from './controlled';
import { DateField } from './date-field';
import { SelectField } from './select-field';

const OTHER = 'other';
const DAYS_BY_NAME = [1, 2, 3, 4, 5, 6];
/** Where the calendar opens for a day that has no name any more. */
const WEEK = 7;

/** The day something happened, as `2026-10-16`, or nothing for now: the last days by name, an earlier one from a calendar. */
@Component({
  selector: 'trug-day',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, SelectField, DateField],
  template: `
    <trug-select [label]="label()" name="dayChoice" [none]="none()" [options]="days()" [formControl]="choice" />
    @if (isOther()) {
      @defer (on immediate) {
        <trug-date spoken="Which day" name="day" [formControl]="earlier" />
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      align-content: start;
    }
  `,
})
export class DayField {
  private readonly units = inject(Units);
  private readonly clock = inject(Clock);
  readonly label = input('Day');
  /** What it is called when no day is chosen. */
  readonly none = input('now');
  protected readonly held = controlled('');
  protected readonly choice = new FormControl('', { nonNullable: true });
  protected readonly earlier = new FormControl('', { nonNullable: true });
  private readonly named = computed(() =>
    DAYS_BY_NAME.map((ago) => {
      const id = this.daysAgo(ago);
      return { id, name: ago === 1 ? 'yesterday' : dayText(id, true) };
    }),
  );
  protected readonly days = computed(() => [...this.named(), { id: OTHER, name: 'an earlier day' }]);
  protected readonly isOther = computed(() => {
    const day = this.held.value();
    return day !== '' && !this.named().some(({ id }) => id === day);
  });

  constructor() {
    this.choice.valueChanges.subscribe((choice) => this.held.set(choice === OTHER ? this.daysAgo(WEEK) : choice));
    this.earlier.valueChanges.subscribe((day) => this.held.set(day));
    effect(() => {
      const [day, isOther] = [this.held.value(), this.isOther()];
      untracked(() => {
        this.choice.setValue(isOther ? OTHER : day, { emitEvent: false });
        if (isOther) this.earlier.setValue(day, { emitEvent: false });
      });
    });
  }

  private daysAgo(days: number): string {
    return dateAfter(this.units.dateOf(this.clock.now()), -days);
  }
}
