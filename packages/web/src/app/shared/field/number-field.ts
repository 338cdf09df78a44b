import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { attempt, type Attempt } from '@trug/core/base/errors/attempt';
import { firstRefusal } from './quantity-field';
import { parseFigure, type TypedFigureId } from '@trug/core/matter/typed/typed-figures';

let made = 0;

/** What a number field shows for a text: nothing typed, a figure, or why it cannot be. */
export function readNumber(text: string, figure: TypedFigureId): Attempt<number> | null {
  return text.trim() === '' ? null : attempt(() => parseFigure(text, figure));
}

/** The figure typed, where there is one that can be right. */
export function numberOf(text: string, figure: TypedFigureId): number | null {
  const read = readNumber(text, figure);
  return read?.ok === true ? read.value : null;
}

/** The first of some typed figures that cannot be used, in words for whoever pressed the button; null when all can. */
export const firstWrong = (typed: readonly (readonly [text: string, figure: TypedFigureId])[]): string | null =>
  firstRefusal(typed.map(([text, figure]) => readNumber(text, figure)));

/** A field that takes a plain figure, such as a pH; what is typed is the maker's and is never rewritten. */
@Component({
  selector: 'trug-number',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'field' },
  template: `
    <label [for]="id">{{ label() }}</label>
    <input
      [id]="id"
      [attr.name]="name()"
      inputmode="decimal"
      autocomplete="off"
      [value]="text()"
      (input)="text.set($any($event.target).value)"
      [placeholder]="placeholder()"
      [attr.aria-invalid]="problem() !== null"
      [attr.aria-describedby]="problem() || hint() ? id + '-say' : null"
    />
    @if (problem() ?? hint(); as say) {
      <span [id]="id + '-say'" [class]="problem() ? 'field-error' : 'hint'" aria-live="polite">{{ say }}</span>
    }
  `,
})
export class NumberField {
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  readonly figure = input.required<TypedFigureId>();
  readonly placeholder = input('');
  readonly hint = input('');
  /** A refusal from elsewhere; shown when the text itself can be read. */
  readonly error = input<string | null>(null);
  readonly text = model('');
  protected readonly id = `number-${(made += 1)}`;
  protected readonly problem = computed(() => {
    const read = readNumber(this.text(), this.figure());
    return read?.ok === false ? read.error.message : this.error();
  });
}
