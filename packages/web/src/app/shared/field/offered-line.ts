import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatAutocomplete, MatAutocompleteTrigger, MatOption } from '@angular/material/autocomplete';
import { MatFormField } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { controlled } from './controlled';

let made = 0;

const plain = (text: string): string => text.trim().toLowerCase().replaceAll('_', ' ');

/** A typed field that offers known answers, filtered by what is typed; others may be typed. */
@Component({
  selector: 'trug-offered',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatFormField, MatInput, MatAutocomplete, MatAutocompleteTrigger, MatOption],
  host: { class: 'field' },
  template: `
    <label [for]="id">{{ label() }}</label>
    <mat-form-field class="ruled" appearance="outline" subscriptSizing="dynamic" [class.ruled-wrong]="isRefused()">
      <input
        matInput
        #line
        [id]="id"
        [name]="name()"
        autocomplete="off"
        [value]="shown()"
        (input)="write(line.value)"
        (change)="left.emit(line.value)"
        (blur)="held.leave(); left.emit(line.value)"
        [placeholder]="placeholder()"
        [matAutocomplete]="offered"
        [matAutocompleteDisabled]="matching().length === 0"
        [attr.aria-invalid]="isRefused()"
        [attr.aria-describedby]="beneath() ? id + '-say' : null"
      />
      <mat-autocomplete #offered disableRipple (optionSelected)="write($event.option.value); picked.emit($event.option.value)">
        @for (offer of matching(); track offer) {
          <mat-option [value]="offer">{{ offer }}</mat-option>
        }
      </mat-autocomplete>
    </mat-form-field>
    <span [id]="id + '-say'" [class]="isRefused() ? 'field-error' : 'hint'" aria-live="polite">{{ beneath() }}</span>
  `,
})
export class OfferedLine {
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  /** What it holds where no form's control holds it. */
  readonly text = input<string | null>(null);
  readonly placeholder = input('');
  /** Known answers; others may be typed. */
  readonly offers = input.required<readonly string[]>();
  /** Those that what is typed leads to, until it is one of them. */
  protected readonly matching = computed(() => {
    const typed = plain(this.shown());
    const known = this.offers().map((offer) => ({ offer, words: plain(offer) }));
    return known.some(({ words }) => words === typed) ? [] : known.flatMap(({ offer, words }) => (words.includes(typed) ? [offer] : []));
  });
  /** Beneath the field. */
  readonly say = input('');
  readonly isWrong = input(false);
  readonly typed = output<string>();
  /** Picked from what was offered. */
  readonly picked = output<string>();
  /** What it holds as the maker leaves it. */
  readonly left = output<string>();
  protected readonly held = controlled('');
  protected readonly shown = computed(() => this.text() ?? this.held.value());
  protected readonly isRefused = computed(() => this.isWrong() || this.held.refused() !== null);
  protected readonly beneath = computed(() => this.held.refused() ?? this.say());
  protected readonly id = `offered-${(made += 1)}`;

  protected write(text: string): void {
    this.held.set(text);
    this.typed.emit(text);
  }
}
