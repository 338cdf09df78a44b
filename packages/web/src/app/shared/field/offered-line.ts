import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatAutocomplete, MatAutocompleteTrigger, MatOption } from '@angular/material/autocomplete';
import { MatFormField } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';

let made = 0;

const plain = (text: string): string => text.trim().toLowerCase().replaceAll('_', ' ');

/** A typed field that offers known answers, filtered by what is typed; others may be typed. What it holds is its owner's matter. */
@Component({
  selector: 'trug-offered',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatFormField, MatInput, MatAutocomplete, MatAutocompleteTrigger, MatOption],
  host: { class: 'field' },
  template: `
    <label [for]="id">{{ label() }}</label>
    <mat-form-field class="ruled" appearance="outline" subscriptSizing="dynamic" [class.ruled-wrong]="isWrong()">
      <input
        matInput
        #line
        [id]="id"
        [name]="name()"
        autocomplete="off"
        [value]="text()"
        (input)="typed.emit(line.value)"
        (change)="left.emit(line.value)"
        (blur)="left.emit(line.value)"
        [placeholder]="placeholder()"
        [matAutocomplete]="offered"
        [matAutocompleteDisabled]="matching().length === 0"
        [attr.aria-invalid]="isWrong()"
        [attr.aria-describedby]="say() ? id + '-say' : null"
      />
      <mat-autocomplete #offered disableRipple (optionSelected)="typed.emit($event.option.value); picked.emit($event.option.value)">
        @for (offer of matching(); track offer) {
          <mat-option [value]="offer">{{ offer }}</mat-option>
        }
      </mat-autocomplete>
    </mat-form-field>
    <span [id]="id + '-say'" [class]="isWrong() ? 'field-error' : 'hint'" aria-live="polite">{{ say() }}</span>
  `,
})
export class OfferedLine {
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  readonly text = input.required<string>();
  readonly placeholder = input('');
  /** Known answers; others may be typed. */
  readonly offers = input.required<readonly string[]>();
  /** Those that what is typed leads to, until it is one of them. */
  protected readonly matching = computed(() => {
    const typed = plain(this.text());
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
  protected readonly id = `offered-${(made += 1)}`;
}
