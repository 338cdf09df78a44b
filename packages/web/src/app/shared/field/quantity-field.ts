import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import type { Dimension, ParsedQuantity } from '@trug/core';
import { attempt, type Attempt } from '@trug/core/errors/attempt';
import { Units } from '../units/units';

let made = 0;

/** What a quantity field shows for a text: nothing typed, a figure, or why it cannot be read. */
export function readQuantity(units: Units, text: string, dimension: Dimension): Attempt<ParsedQuantity> | null {
  return text.trim() === '' ? null : attempt(() => units.parse(text, dimension));
}

/** A field that takes a quantity in any unit, as typed; the text is the maker's and is never rewritten. */
@Component({
  selector: 'trug-quantity',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'field' },
  template: `
    <label [for]="id">{{ label() }}</label>
    <input
      [id]="id"
      [attr.name]="name()"
      inputmode="text"
      autocomplete="off"
      [value]="text()"
      (input)="text.set($any($event.target).value)"
      [placeholder]="placeholder()"
      [attr.aria-invalid]="problem() !== null"
      [attr.aria-describedby]="id + '-say'"
    />
    <span [id]="id + '-say'" [class]="problem() ? 'field-error' : 'hint'" aria-live="polite">{{ problem() ?? hint() }}</span>
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
  readonly text = model('');
  protected readonly id = `quantity-${(made += 1)}`;
  protected readonly problem = computed(() => {
    const read = readQuantity(this.units, this.text(), this.dimension());
    if (read?.ok === false) return `“${this.text()}” is not a ${this.dimension()} Trug can read. ${EXAMPLES[this.dimension()]}`;
    return this.error();
  });
}

const EXAMPLES: Readonly<Record<Dimension, string>> = {
  volume: 'Write it as 20 L, 5 gal or 750 mL.',
  mass: 'Write it as 250 g, 1.2 kg or 1 lb 4 oz.',
  temperature: 'Write it as 18 C or 64 F.',
  gravity: 'Write it as 1.048 or 12 Bx.',
  pressure: 'Write it as 2.5 bar or 36 psi.',
};
