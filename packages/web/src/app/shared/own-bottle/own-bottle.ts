import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { attempt } from '@trug/core/base/errors/attempt';
import { BOTTLE_KINDS, bottleById } from '@trug/core/base/reference/bottle-kinds';
import { LONGEST_OWN_BOTTLE, ownBottleId } from '@trug/core/base/reference/own-bottle-id';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { NumberField, numberOf } from '../field/number-field';
import { numberIn, QuantityField, readQuantity } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';
import { injectKeepOwn } from '../keep-own';
import { Refusal } from '../refusal/refusal';

const EMPTY = { name: '', like: 'crown-500', size: '', limit: '', hot: '', count: '' };

/** Of each way to close a bottle one kind stands for it: the size is the maker's own. */
const LIKE = [
  { id: 'crown-500', name: 'glass with a crown cap' },
  { id: 'swing-500', name: 'glass with a swing top' },
  { id: 'sparkling-750', name: 'heavy glass, cork and wire' },
  { id: 'plastic-500', name: 'fizzy-drink plastic' },
  { id: 'wine-750', name: 'glass made for no pressure' },
];

/** A kind of bottle of the maker's own, put in the cupboard by what is marked on it. It may stand within a form. */
@Component({
  selector: 'trug-own-bottle',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, NumberField, QuantityField, SaidPipe, SelectField, TextField, Refusal],
  template: `
    <details open>
      <summary class="link">A bottle of my own</summary>
      <p class="hint">
        What is marked on it counts, and else the kind it is made like. Write the pressure it is made to be used at, not the one at which such a bottle broke
        when it was tried; leave it empty where you do not know.
      </p>
      <div class="fields" [formGroup]="draft.form">
        <trug-text label="What you call it" name="ownBottleName" formControlName="name" placeholder="Tall brown" [longest]="longest" />
        <trug-select class="wide" label="Made like" name="ownBottleLike" formControlName="like" [options]="like" />
        <trug-quantity label="It holds" name="ownBottleSize" dimension="volume" [placeholder]="units.volume(0.66)" formControlName="size" />
        <trug-number label="How many" name="ownBottleCount" figure="count" placeholder="24" formControlName="count" />
        @if (madeLike().limitBar; as bar) {
          <trug-quantity label="Stands" name="ownBottleLimit" dimension="pressure" [placeholder]="units.pressure(bar)" formControlName="limit" />
        }
        @if (madeLike().hotLimitBar; as bar) {
          <trug-quantity label="Stands hot" name="ownBottleHot" dimension="pressure" placeholder="never heated" formControlName="hot" />
        }
      </div>
      @if (refusal(); as why) {
        <trug-refusal [why]="why | said" />
      }
      <button class="btn" type="button" (click)="add()">Keep this bottle</button>
    </details>
  `,
  styles: `
    :host {
      display: block;
      margin-block: 0.75rem;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(10rem, 100%), 1fr));
      gap: 0.75rem 1rem;
      margin-block: 0.75rem;
    }
    .wide {
      grid-column: 1 / -1;
    }
  `,
})
export class OwnBottleForm {
  private readonly keep = injectKeepOwn();
  protected readonly units = inject(Units);
  /** The id by which it is filled from now on, and how many there are. */
  readonly made = output<{ readonly id: string; readonly count: number }>();
  protected readonly longest = LONGEST_OWN_BOTTLE;
  protected readonly like = LIKE;
  protected readonly draft = createDraft('own-bottle', EMPTY);
  protected readonly refusal = signal<string | null>(null);
  protected readonly madeLike = computed(() => BOTTLE_KINDS.find(({ id }) => id === this.draft.fields().like) ?? bottleById('crown-500'));

  protected async add(): Promise<void> {
    const { name, size, limit, hot, count } = this.draft.fields();
    const litres = numberIn(readQuantity(this.units, size, 'volume'));
    const many = numberOf(count, 'count');
    if (this.draft.wrong() !== null || name.trim() === '' || litres === null || many === null || many <= 0) {
      this.refusal.set(this.draft.wrong() ?? `Write what you call it, what it holds, such as ${this.units.volume(0.66)}, and how many you have.`);
      return;
    }
    const like = this.madeLike();
    const bar = (text: string): number | null => numberIn(readQuantity(this.units, text, 'pressure'));
    const made = attempt(() =>
      ownBottleId({
        name,
        likeId: like.id,
        sizeMl: litres * 1000,
        limitBar: like.limitBar === null ? null : bar(limit),
        hotLimitBar: like.hotLimitBar === null ? null : bar(hot),
      }),
    );
    if (!made.ok) {
      this.refusal.set(whyNot(made.error));
      return;
    }
    const refused = await this.keep({ kind: 'bottles', refId: made.value, name: bottleById(made.value).name, amount: many, unit: 'bottle' });
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.fields.set(EMPTY);
    this.made.emit({ id: made.value, count: many });
  }
}

/** What is wrong with a bottle, and what to write instead. */
function whyNot({ details }: { readonly details: Readonly<Record<string, unknown>> }): string {
  const { field, min, max } = details;
  switch (field) {
    case 'sizeMl':
      return `A bottle holds between ${Number(min) / 1000} and ${Number(max) / 1000} L. Look at its mark again.`;
    case 'limitBar':
    case 'hotLimitBar':
      return `A bottle closed so is used at ${String(min)} to ${String(max)} bar. More is the pressure at which one broke: leave it empty where you do not know.`;
    default:
      return 'Give it a short name.';
  }
}
