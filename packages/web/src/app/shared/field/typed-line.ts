import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatFormField } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';

let made = 0;

/** The face of every typed field: its label above, paper to write on, and a hint or a refusal beneath. What it holds is its owner's matter. */
@Component({
  selector: 'trug-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatFormField, MatInput],
  host: { class: 'field' },
  template: `
    @if (label()) {
      <label [for]="id">{{ label() }}</label>
    }
    <mat-form-field class="ruled" appearance="outline" subscriptSizing="dynamic" [class.ruled-wrong]="isWrong()">
      @if (rows() > 1) {
        <textarea
          matInput
          #box
          [id]="id"
          [name]="name()"
          [rows]="rows()"
          [value]="text()"
          (input)="typed.emit(box.value)"
          (blur)="left.emit(box.value)"
          [placeholder]="placeholder()"
          [attr.maxlength]="longest()"
          [attr.aria-label]="spoken()"
          [attr.aria-invalid]="isWrong()"
          [attr.aria-describedby]="say() ? id + '-say' : null"
        ></textarea>
      } @else {
        <input
          matInput
          #line
          [id]="id"
          [name]="name()"
          [attr.inputmode]="inputmode()"
          autocomplete="off"
          [value]="text()"
          (input)="typed.emit(line.value)"
          (change)="left.emit(line.value)"
          (blur)="left.emit(line.value)"
          [placeholder]="placeholder()"
          [attr.maxlength]="longest()"
          [attr.aria-label]="spoken()"
          [attr.aria-invalid]="isWrong()"
          [attr.aria-describedby]="say() ? id + '-say' : null"
        />
      }
    </mat-form-field>
    <span [id]="id + '-say'" [class]="isWrong() ? 'field-error' : 'hint'" aria-live="polite">{{ say() }}</span>
  `,
  styles: `
    /* A figure needs little margin, and in a narrow column none. */
    :host(.slim) input {
      width: calc(100% + 1rem);
      margin-inline: -0.5rem;
    }
    :host(.slim.tight) input {
      width: calc(100% + 1.75rem);
      margin-inline: -0.875rem;
      text-align: center;
    }
  `,
})
export class TypedLine {
  /** Above the field; none where a table's head says it, which then is spoken. */
  readonly label = input('');
  readonly spoken = input<string | null>(null);
  readonly name = input.required<string>();
  readonly text = input.required<string>();
  readonly placeholder = input('');
  readonly inputmode = input<'text' | 'decimal' | 'numeric'>('text');
  /** More than one makes it a sheet to write on. */
  readonly rows = input(1);
  readonly longest = input<number | null>(null);
  /** Beneath the field. */
  readonly say = input('');
  readonly isWrong = input(false);
  readonly typed = output<string>();
  /** What it holds as the maker leaves it. */
  readonly left = output<string>();
  protected readonly id = `line-${(made += 1)}`;
}
