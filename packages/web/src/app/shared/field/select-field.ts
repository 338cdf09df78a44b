import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatFormField } from '@angular/material/form-field';
import { MatOptgroup, MatOption, MatSelect, MatSelectTrigger } from '@angular/material/select';
import { controlled } from './controlled';

/** One of many that can be chosen. */
export interface Choice {
  readonly id: string;
  readonly name: string;
  /** Why one would choose it, as a second line. */
  readonly note?: string;
  /** Under which heading it stands. */
  readonly group?: string;
}

let made = 0;

/** A field in which one of many is chosen. */
@Component({
  selector: 'trug-select',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatFormField, MatSelect, MatSelectTrigger, MatOption, MatOptgroup],
  host: { class: 'field', '[attr.data-chosen]': 'value()' },
  template: `
    @if (label()) {
      <label [id]="id + '-label'" [for]="id">{{ label() }}</label>
    }
    <mat-form-field class="ruled" appearance="outline" subscriptSizing="dynamic">
      <mat-select
        [id]="id"
        disableRipple
        [value]="value()"
        (selectionChange)="held.set($event.value)"
        (closed)="held.leave()"
        [disabled]="held.isDisabled()"
        [aria-label]="spoken() ?? ''"
        [aria-labelledby]="label() ? id + '-label' : ''"
        [attr.aria-describedby]="hint() ? id + '-say' : null"
      >
        <mat-select-trigger>{{ chosen() }}</mat-select-trigger>
        @if (none(); as words) {
          <mat-option value="" data-value="">{{ words }}</mat-option>
        }
        @for (part of parts(); track part.group) {
          @if (part.group === '') {
            @for (choice of part.choices; track choice.id) {
              <mat-option [value]="choice.id" [attr.data-value]="choice.id"
                >{{ choice.name }}
                @if (choice.note) {
                  <span class="option-note">{{ choice.note }}</span>
                }
              </mat-option>
            }
          } @else {
            <mat-optgroup [label]="part.group">
              @for (choice of part.choices; track choice.id) {
                <mat-option [value]="choice.id" [attr.data-value]="choice.id">{{ choice.name }}</mat-option>
              }
            </mat-optgroup>
          }
        }
      </mat-select>
    </mat-form-field>
    @if (hint()) {
      <span class="hint" [id]="id + '-say'">{{ hint() }}</span>
    }
  `,
})
export class SelectField {
  readonly label = input('');
  readonly spoken = input<string | null>(null);
  readonly options = input.required<readonly Choice[]>();
  /** What is said where nothing is chosen; nothing then is one of the choices. */
  readonly none = input('');
  /** What holds while the maker has chosen nothing, or what is there no more. */
  readonly usual = input('');
  readonly hint = input('');
  protected readonly held = controlled('');
  protected readonly value = computed(() => (this.options().some(({ id }) => id === this.held.value()) ? this.held.value() : this.usual()));
  protected readonly id = `select-${(made += 1)}`;
  /** The choices under their headings, those of one heading together. */
  protected readonly parts = computed(() => {
    const groups = new Map<string, Choice[]>();
    for (const choice of this.options()) groups.set(choice.group ?? '', [...(groups.get(choice.group ?? '') ?? []), choice]);
    return [...groups].map(([group, choices]) => ({ group, choices }));
  });
  protected readonly chosen = computed(() => this.options().find((choice) => choice.id === this.value())?.name ?? this.none());
}
