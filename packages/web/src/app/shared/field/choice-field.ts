import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { controlled } from './controlled';
import type { Choice } from './select-field';

let made = 0;

/** One of a few, all in sight, each with what speaks for it. */
@Component({
  selector: 'trug-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatRadioGroup, MatRadioButton],
  host: { class: 'field' },
  template: `
    @if (label()) {
      <span class="label" [id]="id">{{ label() }}</span>
    }
    <mat-radio-group [name]="name()" [value]="value()" (change)="held.set($event.value)" [attr.aria-labelledby]="label() ? id : null">
      @for (choice of options(); track choice.id) {
        <mat-radio-button disableRipple [value]="choice.id" [class.with-note]="choice.note"
          >{{ choice.name }}
          @if (choice.note) {
            <span class="option-note">{{ choice.note }}</span>
          }
        </mat-radio-button>
      }
    </mat-radio-group>
  `,
  styles: `
    mat-radio-group {
      display: flex;
      flex-wrap: wrap;
      gap: 0 1rem;
    }
    .with-note {
      flex-basis: 100%;
    }
  `,
})
export class ChoiceField {
  readonly label = input('');
  readonly name = input.required<string>();
  readonly options = input.required<readonly Choice[]>();
  /** What holds while what was chosen is not among them. */
  readonly usual = input('');
  protected readonly held = controlled('');
  protected readonly value = computed(() => (this.options().some(({ id }) => id === this.held.value()) ? this.held.value() : this.usual()));
  protected readonly id = `choice-${(made += 1)}`;
}
