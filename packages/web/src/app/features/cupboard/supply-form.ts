import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import type { SupplyDto } from '@trug/contract/plain';
import { isDosedByPacket } from '@trug/core/juice/adjust/enzyme-dose';
import { kitchenWeights, USUAL_PACKET_G } from '@trug/core/book/cupboard/kitchen-weights';
import { SUPPLY_CATALOGUE } from '@trug/core/book/cupboard/supply-catalogue';
import { broughtIn } from '@trug/core/book/cupboard/supply-for';
import { newId } from '../../browser/new-id';
import { DateField } from '../../shared/field/date-field';
import { NumberField, numberOf, readNumber } from '../../shared/field/number-field';
import { readQuantity } from '../../shared/field/quantity-field';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';
import { suppliesFeature } from '../../state/resources.reducer';
import type { SupplyLeft } from '../../state/supplies.selectors';
import { Units } from '../../units/units';
import { createRecordDraft } from '../../writing/record-draft';
import { holdToContract } from '../../writing/dto-validator';
import { ResourceWriter } from '../../writing/resource-writer';

const EMPTY = { what: 'yeast:crisp-cider', amount: '', packetG: '', until: '', teaspoonG: '', dose: '', paid: '' };

/** What is counted: of the catalogue, or of the cupboard. */
type Counted = Pick<SupplyDto, 'kind' | 'refId' | 'name' | 'unit'>;
const NOTHING: Counted = { kind: 'other', refId: null, name: '', unit: 'g' };

const keyOf = (offer: Pick<Counted, 'kind' | 'refId'>): string => `${offer.kind}:${offer.refId ?? ''}`;
const GROUPS = [
  { name: 'Yeast', kinds: ['yeast'] },
  { name: 'Food and sulfite', kinds: ['nutrient', 'sulfite'] },
  { name: 'Acid, chalk and tannin', kinds: ['acid', 'carbonate', 'tannin'] },
  { name: 'For clearing', kinds: ['enzyme', 'bentonite', 'finings'] },
  { name: 'Sugars', kinds: ['sugar'] },
];

/** A packet or jar that is put in, or one whose rest and date are put right. */
@Component({
  selector: 'trug-supply-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, NumberField, SelectField, TextField, DateField, Refusal],
  template: `
    <form class="card" (ngSubmit)="file()" [formGroup]="draft().form">
      @if (supply(); as own) {
        <h3>Put {{ units.say(own.name) }} right</h3>
      } @else {
        <h3>Add a packet or jar</h3>
        <trug-select label="What it is" name="supplyWhat" formControlName="what" [options]="offers()" />
      }
      <trug-text [label]="amountLabel()" name="supplyAmount" [placeholder]="amountHint()" formControlName="amount" />
      @if (offer().unit === 'packet') {
        <trug-text label="One packet holds, g" name="supplyG" placeholder="5" formControlName="packetG" />
      }
      @if (isSpooned()) {
        <trug-number
          label="A level teaspoon of it, g"
          name="supplySpoon"
          figure="teaspoonG"
          [placeholder]="usualSpoon()"
          hint="Weigh ten and take a tenth. Spoons that you write anywhere are counted by it."
          formControlName="teaspoonG"
        />
      }
      @if (isDosed()) {
        <trug-number
          label="Its packet says, g/L"
          name="supplyDose"
          figure="packetGPerL"
          placeholder="0.5"
          hint="What the packet asks for in a litre. It is taken wherever this goes in, unless you say otherwise."
          formControlName="dose"
        />
      }
      @defer (on immediate) {
        <trug-date label="Good until" name="supplyUntil" formControlName="until" />
      }
      <trug-number
        label="Paid for it"
        name="supplyPaid"
        figure="paid"
        placeholder="4.50"
        hint="For all that was brought in, in your own money. A bottle’s cost is told by it."
        formControlName="paid"
      />
      <trug-refusal [why]="refusal()" />
      <div class="acts">
        <button class="btn btn-main" type="submit">{{ supply() ? 'Write it down' : 'Put it in' }}</button>
        <button class="btn" type="button" (click)="done.emit()">{{ supply() ? 'Not yet' : 'Done' }}</button>
      </div>
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 0.875rem;
    }
    h3 {
      margin: 0;
    }
  `,
})
export class SupplyForm {
  private readonly writer = inject(ResourceWriter);
  private readonly stored = inject(Store).selectSignal(suppliesFeature.selectEntities);
  protected readonly units = inject(Units);
  /** The supply put right, with what is left of it; null for a new one. */
  readonly supply = input<SupplyLeft | null>(null);
  /** It is filed, or left as it was. */
  readonly done = output();
  protected readonly offers = computed(() =>
    GROUPS.flatMap(({ name: group, kinds }) =>
      SUPPLY_CATALOGUE.filter((o) => kinds.includes(o.kind)).map((o) => ({ id: keyOf(o), name: this.units.say(o.name), group })),
    ),
  );
  protected readonly draft = createRecordDraft('supply', this.supply, (own) => (own ? this.factsOf(own) : EMPTY));
  protected readonly refusal = signal<string | null>(null);
  protected readonly offer = computed((): Counted => {
    const { what } = this.draft().fields();
    return this.supply() ?? SUPPLY_CATALOGUE.find((o) => keyOf(o) === what) ?? NOTHING;
  });
  protected readonly amountLabel = computed(() => {
    const what = { packet: 'packets', g: '', tablet: 'tablets', mL: 'mL', bottle: 'bottles' }[this.offer().unit];
    if (this.supply()) return what === '' ? 'How much is left' : `How many ${what} are left`;
    return what === '' ? 'How much' : `How many ${what}`;
  });
  private readonly usualSpoonG = computed(() => kitchenWeights(this.offer().kind, this.offer().refId).gramsPerTeaspoon);
  /** Whether it is spooned at all: a powder, grains or a syrup. */
  protected readonly isSpooned = computed(() => this.usualSpoonG() !== undefined && this.offer().unit !== 'tablet');
  /** Whether how much goes in is what its packet says. */
  protected readonly isDosed = computed(() => isDosedByPacket(this.offer().kind));
  protected readonly usualSpoon = computed(() => String(this.usualSpoonG() ?? ''));
  protected readonly amountHint = computed(() => ({ packet: '2', tablet: '50', g: '250 g', mL: '250', bottle: '24' })[this.offer().unit]);

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.SupplyDto,
      read: ({ amount, packetG }) => {
        const offer = this.offer();
        const read = this.amountOf(offer, amount);
        return { amount: typeof read === 'number' ? read : null, packetG: offer.unit === 'packet' ? numberOf(packetG, 'packetG') : null };
      },
      typedInto: { amount: 'amount', packetG: 'packetG' },
    });
  }

  protected async file(): Promise<void> {
    const typed = this.draft().fields();
    const own = this.supply();
    const offer = this.offer();
    const wrong = this.draft().wrong();
    if (wrong !== null) {
      this.refusal.set(wrong);
      return;
    }
    const amount = this.amountOf(offer, typed.amount);
    const packet = offer.unit === 'packet' ? readNumber(typed.packetG, 'packetG') : null;
    if (typeof amount === 'string' || packet?.ok === false) {
      this.refusal.set(typeof amount === 'string' ? amount : packet?.ok === false ? packet.error.message : null);
      return;
    }
    const packetG = offer.unit === 'packet' ? (packet?.value ?? USUAL_PACKET_G) : null;
    const bestBefore = typed.until === '' ? null : typed.until;
    const paid = numberOf(typed.paid, 'paid') ?? undefined;
    const teaspoonG = this.isSpooned() ? (numberOf(typed.teaspoonG, 'teaspoonG') ?? undefined) : undefined;
    const doseGPerL = this.isDosed() ? (numberOf(typed.dose, 'packetGPerL') ?? undefined) : undefined;
    const resource = this.resourceOf(own, { amount, packetG, bestBefore, paid, teaspoonG, doseGPerL });
    if (!resource) return;
    const said = own ? `${resource.name} is kept as it is now.` : `${resource.name} is in the cupboard.`;
    const { refused } = await this.writer.save({ of: 'supplies', resource }, said);
    this.refusal.set(refused);
    if (refused !== null) return;
    if (!own) {
      // Jars and packets come in several: the next is asked for at once.
      this.draft().clear(typed, { ...EMPTY, what: typed.what });
      return;
    }
    this.draft().forget();
    this.done.emit();
  }

  private resourceOf(
    own: SupplyLeft | null,
    said: Pick<SupplyDto, 'amount' | 'packetG' | 'bestBefore' | 'paid' | 'teaspoonG' | 'doseGPerL'>,
  ): SupplyDto | null {
    if (!own) {
      const { kind, refId, name, unit } = this.offer();
      return { id: newId(), version: 0, kind, refId, name, unit, ...said };
    }
    const stored = this.stored()[own.id];
    return stored ? Object.assign({}, stored, said, { amount: broughtIn(stored.amount, own.left, said.amount) }) : null;
  }

  private factsOf({ id, kind, refId, left, unit, packetG, bestBefore }: SupplyLeft): typeof EMPTY {
    const amount = unit === 'g' ? this.units.mass(left) : String(left);
    return {
      what: keyOf({ kind, refId }),
      amount,
      packetG: packetG === null ? '' : String(packetG),
      until: bestBefore ?? '',
      teaspoonG: String(this.stored()[id]?.teaspoonG ?? ''),
      dose: String(this.stored()[id]?.doseGPerL ?? ''),
      paid: String(this.stored()[id]?.paid ?? ''),
    };
  }

  /** How much there is of it, or why that cannot be read. */
  private amountOf({ unit, kind, refId }: Pick<Counted, 'kind' | 'refId' | 'unit'>, text: string): number | string {
    const least = this.supply() ? 0 : Number.MIN_VALUE;
    if (unit === 'g') {
      const read = readQuantity(this.units, text, 'mass', { weights: kitchenWeights(kind, refId) });
      if (read?.ok !== true) return read?.error.message ?? `Write how much there is, such as ${this.amountHint()}.`;
      return read.value.value >= least ? read.value.value : 'Write how much there is; none need not be put away.';
    }
    const read = readNumber(text, 'count');
    if (read?.ok !== true) return read?.error.message ?? 'Say how many there are, as a number such as 2.';
    return read.value >= least ? read.value : 'Say how many there are; none need not be put away.';
  }
}
