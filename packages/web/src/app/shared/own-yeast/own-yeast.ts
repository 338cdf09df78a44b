import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { attempt } from '@trug/core/base/errors/attempt';
import { USUAL_PACKET_G } from '@trug/core/book/cupboard/kitchen-weights';
import { LONGEST_OWN_YEAST, OWN_STANDS_ABV, OWN_WARMTH_C, ownYeastId } from '@trug/core/base/reference/own-yeast-id';
import { USUAL_YEAST_ID, WILD_YEAST_ID } from '@trug/core/base/reference/yeast-kinds';
import { YEAST_KINDS } from '@trug/core/base/reference/yeast-kinds-data';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { NumberField, numberOf } from '../field/number-field';
import { numberIn, QuantityField, readQuantity } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { injectKeepOwn } from '../keep-own';
import { Refusal } from '../refusal/refusal';

const EMPTY = { name: '', like: USUAL_YEAST_ID, stands: '', from: '', to: '', grams: '', count: '' };

/** A yeast of the maker's own, put in the cupboard by what its packet says. It may stand within a form. */
@Component({
  selector: 'trug-own-yeast',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, NumberField, QuantityField, SaidPipe, SelectField, TextField, Refusal],
  template: `
    <details>
      <summary class="link">Another, by its packet</summary>
      <p class="hint">A yeast of yours that is none of these: what stands on its packet counts, and else the kind it is most like.</p>
      <div class="fields" [formGroup]="draft.form">
        <trug-text label="What it is called" name="ownYeastName" formControlName="name" placeholder="Orchard gold" [longest]="longest" />
        <trug-select label="Most like" name="ownYeastLike" formControlName="like" [options]="kinds" />
        <trug-number label="Stands, %" name="ownYeastStands" figure="abv" placeholder="12" formControlName="stands" />
        <trug-quantity label="Warm from" name="ownYeastFrom" dimension="temperature" [placeholder]="units.temperature(15)" formControlName="from" />
        <trug-quantity label="up to" name="ownYeastTo" dimension="temperature" [placeholder]="units.temperature(24)" formControlName="to" />
        <trug-number label="One packet holds, g" name="ownYeastGrams" figure="packetG" [placeholder]="usualG" formControlName="grams" />
        <trug-number label="How many packets" name="ownYeastCount" figure="count" placeholder="1" formControlName="count" />
      </div>
      @if (refusal(); as why) {
        <trug-refusal [why]="why | said" />
      }
      <button class="btn" type="button" (click)="add()">Keep it</button>
    </details>
  `,
  styles: `
    :host {
      display: block;
      margin-top: 0.75rem;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(11rem, 100%), 1fr));
      gap: 0.75rem 1rem;
      margin-block: 0.75rem;
    }
  `,
})
export class OwnYeastForm {
  private readonly keep = injectKeepOwn();
  protected readonly units = inject(Units);
  /** The id by which it is pitched from now on. */
  readonly made = output<string>();
  protected readonly longest = LONGEST_OWN_YEAST;
  protected readonly usualG = String(USUAL_PACKET_G);
  protected readonly kinds = YEAST_KINDS.filter((kind) => kind.id !== WILD_YEAST_ID).map(({ id, name }) => ({ id, name }));
  protected readonly draft = createDraft('own-yeast', EMPTY);
  protected readonly refusal = signal<string | null>(null);

  protected async add(): Promise<void> {
    const { name, like, stands, from, to, grams, count } = this.draft.fields();
    const standsAbv = numberOf(stands, 'abv');
    const celsius = (text: string): number | null => numberIn(readQuantity(this.units, text, 'temperature'));
    const [fromC, toC] = [celsius(from), celsius(to)];
    if (this.draft.wrong() !== null || name.trim() === '' || standsAbv === null || fromC === null || toC === null) {
      this.refusal.set(this.draft.wrong() ?? 'Write what it is called, the strength it stands and the warmth it asks for, as its packet has them.');
      return;
    }
    const made = attempt(() => ownYeastId({ name, likeId: like, standsAbv, tempC: [fromC, toC] }));
    if (!made.ok) {
      this.refusal.set(
        `A yeast stands ${OWN_STANDS_ABV.min} to ${OWN_STANDS_ABV.max} %, and works between ${OWN_WARMTH_C.min} and ${OWN_WARMTH_C.max} °C, the cooler figure first. Look at the packet again.`,
      );
      return;
    }
    const refused = await this.keep({
      ...{ kind: 'yeast', refId: made.value, name: name.trim() },
      ...{ amount: numberOf(count, 'count') ?? 1, unit: 'packet', packetG: numberOf(grams, 'packetG') ?? USUAL_PACKET_G },
    });
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.fields.set(EMPTY);
    this.made.emit(made.value);
  }
}
