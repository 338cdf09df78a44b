import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { controlled } from './controlled';
import type { Choice } from './select-field';

let made = 0;

/** One of a few short words, side by side. */
@Component({
  selector: 'trug-toggle',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonToggleGroup, MatButtonToggle],
  host: { class: 'field' },
  template: `
    @if (label()) {
      <span class="label" [id]="id">{{ label() }}</span>
    }
    <mat-button-toggle-group
      hideSingleSelectionIndicator
      [name]="id"
      [value]="held.value()"
      (change)="held.set($event.value)"
      [attr.aria-labelledby]="label() ? id : null"
      [attr.aria-label]="spoken()"
    >
      @for (choice of options(); track choice.id) {
        <mat-button-toggle disableRipple [value]="choice.id" [attr.data-value]="choice.id">{{ choice.name }}</mat-button-toggle>
      }
    </mat-button-toggle-group>
    @if (hint()) {
      <span class="hint">{{ hint() }}</span>
    }
  `,
  styles: `
    mat-button-toggle-group {
      flex-wrap: wrap;
      row-gap: 1px;
      background: var(--ink);
    }
    /* Those of a second line fill it. */
    mat-button-toggle {
      flex: 1 1 auto;
    }
  `,
})
export class ToggleField {
  readonly label = input('');
  readonly spoken = input<string | null>(null);
  readonly options = input.required<readonly Choice[]>();
  readonly hint = input('');
  protected readonly held = controlled('');
  protected readonly id = `toggle-${(made += 1)}`;
}
