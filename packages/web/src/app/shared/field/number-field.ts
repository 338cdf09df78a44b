import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { attempt, type Attempt } from '@trug/core/base/errors/attempt';
import { parseFigure, type TypedFigureId } from '@trug/core/matter/typed/typed-figures';
import { controlled, type Controlled } from './controlled';
import { TypedLine } from './typed-line';

/** What a number field shows for a text: nothing typed, a figure, or why it cannot be. */
export function readNumber(text: string, figure: TypedFigureId): Attempt<number> | null {
  return text.trim() === '' ? null : attempt(() => parseFigure(text, figure));
}

/** The figure typed, where there is one that can be right. */
export function numberOf(text: string, figure: TypedFigureId): number | null {
  const read = readNumber(text, figure);
  return read?.ok === true ? read.value : null;
}

/** A field that takes a plain figure, such as a pH; what is typed is the maker's and is never rewritten. */
@Component({
  selector: 'trug-number',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TypedLine],
  template: `
    <trug-line
      inputmode="decimal"
      [label]="label()"
      [name]="name()"
      [text]="held.value()"
      (typed)="held.set($event)"
      (left)="held.leave()"
      [placeholder]="placeholder()"
      [say]="problem() ?? hint()"
      [isWrong]="problem() !== null"
    />
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
  protected readonly held: Controlled<string> = controlled('', () => this.unusable());
  private readonly unusable = computed((): string | null => {
    const read = readNumber(this.held.value(), this.figure());
    return read?.ok === false ? read.error.message : this.error();
  });
  protected readonly problem = computed(() => this.unusable() ?? this.held.refused());
}
