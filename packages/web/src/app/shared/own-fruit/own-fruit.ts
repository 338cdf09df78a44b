import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { attempt } from '@trug/core/base/errors/attempt';
import { LIMITS } from '@trug/core/base/errors/limits';
import { ORCHARD_FRUIT } from '@trug/core/base/reference/fruit-library';
import { LONGEST_OWN_FRUIT, ownFruitId } from '@trug/core/base/reference/own-fruit-id';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { NumberField, numberOf } from '../field/number-field';
import { numberIn, QuantityField, readQuantity } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { injectKeepOwn } from '../keep-own';
import { Refusal } from '../refusal/refusal';

const EMPTY = { name: '', like: 'seedling-apple', sg: '', ta: '', ph: '' };

/** A fruit of the maker's own, by what it is like and what was once measured of its juice. It may stand within a form. */
@Component({
  selector: 'trug-own-fruit',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, NumberField, QuantityField, SelectField, TextField, Refusal],
  template: `
    <details>
      <summary class="link">A fruit of your own</summary>
      <p class="hint">A tree without a label, or one that is not here: what you once measured of its juice counts, and else the kind it is most like.</p>
      <div class="fields" [formGroup]="draft.form">
        <trug-text label="What you call it" name="ownFruitName" formControlName="name" placeholder="Gate tree" [longest]="longest" />
        <trug-select label="Most like" name="ownFruitLike" formControlName="like" [options]="kinds" />
        <trug-quantity label="Gravity of its juice" name="ownFruitSg" dimension="gravity" [placeholder]="units.gravity(1.052)" formControlName="sg" />
        <trug-number label="Acid, g/L" name="ownFruitTa" figure="taGPerL" placeholder="6.5" formControlName="ta" />
        <trug-number label="pH" name="ownFruitPh" figure="ph" placeholder="3.5" formControlName="ph" />
      </div>
      <trug-refusal [why]="refusal()" />
      <button class="btn" type="button" data-writes (click)="add()">Keep it</button>
    </details>
  `,
  styles: `
    :host {
      display: block;
      margin-block: 0.5rem;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(8.5rem, 100%), 1fr));
      gap: 0.75rem 1rem;
      margin-block: 0.75rem;
    }
  `,
})
export class OwnFruitForm {
  private readonly keep = injectKeepOwn();
  protected readonly units = inject(Units);
  /** The id by which it is weighed from now on. */
  readonly made = output<string>();
  protected readonly longest = LONGEST_OWN_FRUIT;
  protected readonly kinds = ORCHARD_FRUIT.map(({ id, name, group }) => ({ id, name, group }));
  protected readonly draft = createDraft('own-fruit', EMPTY);
  protected readonly refusal = signal<string | null>(null);

  protected async add(): Promise<void> {
    const { name, like, sg, ta, ph } = this.draft.fields();
    const wrong = this.draft.wrong() ?? (name.trim() === '' ? 'Write what you call it.' : null);
    if (wrong !== null) {
      this.refusal.set(wrong);
      return;
    }
    const read = numberIn(readQuantity(this.units, sg, 'gravity'));
    const made = attempt(() => ownFruitId({ name, likeId: like, sg: read, taGPerL: numberOf(ta, 'taGPerL'), ph: numberOf(ph, 'ph') }));
    if (!made.ok) {
      this.refusal.set(
        `A juice begins between ${this.units.gravity(LIMITS.juiceSg.min)} and ${this.units.gravity(LIMITS.juiceSg.max)}. Look at the figure again.`,
      );
      return;
    }
    // It grows again each year: none of it is used up.
    const refused = await this.keep({ kind: 'fruit', refId: made.value, name: name.trim(), amount: 0, unit: 'g' });
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.fields.set(EMPTY);
    this.made.emit(made.value);
  }
}
