import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { LONGEST_OWN_NAME, ownFermentableId } from '@trug/core/base/reference/own-fermentable';
import { attempt } from '@trug/core/base/errors/attempt';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { NumberField, numberOf } from '../field/number-field';
import { numberIn, QuantityField, readQuantity } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { injectKeepOwn } from '../keep-own';
import { Refusal } from '../refusal/refusal';

const EMPTY = { name: '', carbohydrate: '', lasting: '', look: 'clear', amount: '' };

/** A sweet thing of the maker's own, put in the cupboard by what its packet says. It may stand within a form. */
@Component({
  selector: 'trug-own-sugar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, NumberField, QuantityField, SelectField, TextField, Refusal],
  template: `
    <details [open]="open()">
      <summary class="link">Something else that is sweet</summary>
      <p class="hint">Sweets, jam, honey of your own: what its packet says of 100 g.</p>
      <div class="fields" [formGroup]="draft.form">
        <trug-text label="What it is" name="ownName" formControlName="name" placeholder="Boiled sweets" [longest]="longest" />
        <trug-number label="Carbohydrate in 100 g" name="ownCarbohydrate" figure="carbohydrateG" placeholder="95" formControlName="carbohydrate" />
        <trug-number
          label="Of it, does not ferment"
          name="ownLasting"
          figure="lastingG"
          placeholder="0"
          hint="Polyols and fibre. What is not said here counts as sugar."
          formControlName="lasting"
        />
        <trug-select label="It leaves the drink" name="ownLook" formControlName="look" [options]="looks" />
        <trug-quantity label="How much you have" name="ownAmount" dimension="mass" [placeholder]="units.mass(400)" formControlName="amount" />
      </div>
      <trug-refusal [why]="refusal()" />
      <button class="btn" type="button" (click)="add()">Keep it</button>
    </details>
  `,
  styles: `
    :host {
      display: block;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(11rem, 100%), 1fr));
      gap: 0.75rem 1rem;
      margin-block: 0.75rem;
    }
  `,
})
export class OwnSugar {
  private readonly keep = injectKeepOwn();
  protected readonly units = inject(Units);
  readonly open = input(false);
  /** The id by which it is added from now on. */
  readonly made = output<string>();
  protected readonly longest = LONGEST_OWN_NAME;
  protected readonly looks = [
    { id: 'clear', name: 'clear' },
    { id: 'hazy', name: 'hazy, as starch or gelatine do' },
  ];
  protected readonly draft = createDraft('own-sugar', EMPTY);
  protected readonly refusal = signal<string | null>(null);

  protected async add(): Promise<void> {
    const { name, carbohydrate, lasting, look, amount } = this.draft.fields();
    const carbohydrateG = numberOf(carbohydrate, 'carbohydrateG');
    const massG = numberIn(readQuantity(this.units, amount, 'mass'));
    if (this.draft.wrong() !== null || name.trim() === '' || carbohydrateG === null || massG === null || massG <= 0) {
      this.refusal.set(this.draft.wrong() ?? `Write what it is, its carbohydrate in 100 g and how much you have, such as ${this.units.mass(400)}.`);
      return;
    }
    const made = attempt(() => ownFermentableId({ name, carbohydrateG, lastingG: numberOf(lasting, 'lastingG') ?? 0, hazy: look === 'hazy' }));
    if (!made.ok) {
      this.refusal.set('More of it lasts than it holds. Look at the packet again.');
      return;
    }
    const refId = made.value;
    const refused = await this.keep({ kind: 'sugar', refId, name: name.trim(), amount: massG, unit: 'g' });
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.fields.set(EMPTY);
    this.made.emit(refId);
  }
}
