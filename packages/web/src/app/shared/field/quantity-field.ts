import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Dimension, ParsedQuantity, UnitId } from '@trug/core';
import { attempt, type Attempt } from '@trug/core/base/errors/attempt';
import { typedQuantity, type ReadingHints } from '../../units/typed-quantity';
import { Units } from '../../units/units';
import { controlled, type Controlled } from './controlled';
import { TypedLine } from './typed-line';

const COUNTED: ReadonlySet<UnitId> = new Set(['tsp', 'tbsp', 'cup', 'tablet', 'lemon', 'tea-bag', 'drop', 'packet']);

/** What a quantity field shows for a text: nothing typed, a figure, or why it cannot be read. */
export function readQuantity(units: Units, text: string, dimension: Dimension, hints: ReadingHints = {}): Attempt<ParsedQuantity> | null {
  return text.trim() === '' ? null : attempt(() => typedQuantity(text, dimension, units.preferences(), hints));
}

/** The canonical figure of what was read; null where there is none. */
export const numberIn = (read: Attempt<ParsedQuantity> | null): number | null => (read?.ok === true ? read.value.value : null);

/** Why the first of some read fields cannot be used; null when all can. */
export const firstRefusal = (reads: readonly (Attempt<unknown> | null)[]): string | null =>
  reads.flatMap((read) => (read?.ok === false ? [read.error.message] : []))[0] ?? null;

/** A field that takes a quantity in any unit, as typed; the text is the maker's and is never rewritten. */
@Component({
  selector: 'trug-quantity',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TypedLine],
  template: `
    <trug-line
      [label]="label()"
      [name]="name()"
      [text]="held.value()"
      (typed)="held.set($event)"
      (left)="held.leave()"
      [placeholder]="placeholder()"
      [say]="say()"
      [inputmode]="inputmode()"
      [isWrong]="problem() !== null || isAsked()"
    />
  `,
})
export class QuantityField {
  private readonly units = inject(Units);
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  readonly dimension = input.required<Dimension>();
  readonly placeholder = input('');
  readonly hint = input('');
  /** A refusal from elsewhere, such as a limit; shown when the text itself can be read. */
  readonly error = input<string | null>(null);
  /** Whether something about it has to be answered first. */
  readonly isAsked = input(false);
  readonly inputmode = input<'text' | 'decimal'>('text');
  /** What a bare number means here, and what a spoon or tablet of it weighs. */
  readonly hints = input<ReadingHints>({});
  protected readonly held: Controlled<string> = controlled('', () => this.unusable());
  private readonly read = computed(() => readQuantity(this.units, this.held.value(), this.dimension(), this.hints()));
  private readonly unusable = computed((): string | null => {
    const read = this.read();
    return read?.ok === false ? read.error.message : this.error();
  });
  protected readonly problem = computed(() => this.unusable() ?? this.held.refused());
  /** A figure without its unit, a spoonful or a rough amount is said back as it was taken. */
  protected readonly say = computed(() => {
    const read = this.read();
    if (this.problem() !== null || read?.ok !== true) return this.problem() ?? this.hint();
    const { assumedUnit, value, unit } = read.value;
    const counted = COUNTED.has(unit) && this.dimension() === 'mass';
    if (!assumedUnit && !counted && unit !== 'Bx' && unit !== 'potential' && unit !== 'points') return this.hint();
    const back = this.units.text(this.dimension(), value);
    if (assumedUnit && back === this.held.value().trim()) return this.hint();
    return counted ? `taken as ${back}; weigh it if you can` : `taken as ${back}`;
  });
}
