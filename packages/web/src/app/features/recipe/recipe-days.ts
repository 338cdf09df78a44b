import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Entry } from '@trug/core';
import { capital } from '@trug/core/base/worked/sentence';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import type { Recipe } from '@trug/core/book/recipe/recipe-of';
import { Units } from '../../units/units';

/** What is done, day by day, at the size asked for. */
@Component({
  selector: 'trug-recipe-days',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol class="card">
      @for (day of days(); track day.day) {
        <li>
          <h2>{{ day.day }}</h2>
          <ul>
            @for (step of day.steps; track step.id) {
              <li>
                @if (step.lead) {
                  <b>{{ step.lead }}</b>
                }
                {{ step.rest }}
                @if (step.isFixed) {
                  <span class="quiet">at any size</span>
                }
                @if (editable()) {
                  <button
                    class="link quiet off-paper"
                    type="button"
                    [attr.aria-label]="'Change ' + step.lead + ' ' + step.rest"
                    (click)="changeAsked.emit(step.id)"
                  >
                    change
                  </button>
                }
                @if (step.note) {
                  <i>{{ step.note }}</i>
                }
              </li>
            }
          </ul>
        </li>
      }
    </ol>
  `,
  styleUrl: './recipe-days.scss',
})
export class RecipeDays {
  private readonly units = inject(Units);
  readonly recipe = input.required<Recipe>();
  /** Whether its notes were made of a batch that is over. */
  readonly ofBatch = input(false);
  /** Ids of the steps that stay as they are at any size. */
  readonly fixed = input<ReadonlySet<string>>(new Set());
  readonly editable = input(false);
  /** The step that is to be put right. */
  readonly changeAsked = output<string>();
  protected readonly days = computed(() => {
    const preferences = this.units.preferences();
    const byDay = new Map<number, ReturnType<RecipeDays['stepOf']>[]>();
    for (const { afterDays, entry } of this.recipe().steps) byDay.set(afterDays, [...(byDay.get(afterDays) ?? []), this.stepOf(entry, preferences)]);
    return [...byDay].map(([day, steps]) => ({ day: day === 0 ? 'First day' : `Day ${day}`, steps }));
  });

  private stepOf(entry: Entry, preferences: ReturnType<Units['preferences']>) {
    // In a recipe a note is what to do, and needs no word before it.
    const words = entry.kind === 'note' ? { lead: '', rest: capital(entry.payload.text) } : describeEntry(entry, preferences);
    return { id: entry.id, isFixed: this.fixed().has(entry.id), ...words, note: this.noteOf(entry) };
  }

  /** Amounts in what was noted then are not this time's. */
  private noteOf(entry: Entry): string {
    const isReckoned = entry.kind === 'addition' && entry.payload.what === 'sulfite';
    return entry.note === '' || isReckoned || !this.ofBatch() ? entry.note : `noted then: ${entry.note}`;
  }
}
