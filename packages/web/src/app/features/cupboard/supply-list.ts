import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import { SUPPLY_CATALOGUE, type SupplyOffer } from '@trug/core/book/cupboard/supply-catalogue';
import { calendarDays, dayText } from '@trug/core/matter/quantity/days';
import { kitchenWeights } from '@trug/core/book/cupboard/kitchen-weights';
import { createDraft } from '../../writing/draft';
import { readNumber } from '../../shared/field/number-field';
import { readQuantity } from '../../shared/field/quantity-field';
import { TextField } from '../../shared/field/text-field';
import { newId } from '../../browser/new-id';
import { supplyAmount } from '../../shared/supply-take/supply-words';
import { Units } from '../../units/units';
import { selectSuppliesLeft } from '../../state/supplies.selectors';
import { SaidPipe } from '../../units/said.pipe';
import { appFeature } from '../../state/app.reducer';
import { LogWriter } from '../../writing/log-writer';
import { DateField, NO_DAY } from '../../shared/field/date-field';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';

const EMPTY = { what: 'yeast:crisp-cider', amount: '', packetG: '', until: '' };
/** g in a packet of dry yeast when nothing else is said. @source usual home packets */
const PACKET_G = 5;

const keyOf = (offer: SupplyOffer): string => `${offer.kind}:${offer.refId ?? ''}`;
const GROUPS = [
  { name: 'Yeast', kinds: ['yeast'] },
  { name: 'Food and sulfite', kinds: ['nutrient', 'sulfite'] },
  { name: 'Acid, chalk and tannin', kinds: ['acid', 'carbonate', 'tannin'] },
  { name: 'For clearing', kinds: ['enzyme', 'bentonite', 'finings'] },
  { name: 'Sugars', kinds: ['sugar'] },
];

/** The packets and jars of the cupboard: what is left of each, and a way to put more in. */
@Component({
  selector: 'trug-supply-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, ReactiveFormsModule, TextField, DateField, SelectField, Refusal],
  templateUrl: './supply-list.html',
  styleUrl: './supply-list.scss',
})
export class SupplyList {
  private readonly writer = inject(LogWriter);
  private readonly store = inject(Store);
  private readonly units = inject(Units);
  private readonly stored = this.store.selectSignal(selectSuppliesLeft);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  protected readonly offers = computed(() =>
    GROUPS.flatMap(({ name: group, kinds }) =>
      SUPPLY_CATALOGUE.filter((o) => kinds.includes(o.kind)).map((o) => ({ id: keyOf(o), name: this.units.say(o.name), group })),
    ),
  );
  protected readonly draft = createDraft('supply', EMPTY);
  protected readonly refusal = signal<string | null>(null);
  protected readonly offer = computed(() => SUPPLY_CATALOGUE.find((o) => keyOf(o) === this.draft.fields().what));
  protected readonly rows = computed(() =>
    this.stored().map((s) => {
      const daysLeft = s.bestBefore === null ? null : calendarDays(this.units.dateOf(this.now()), s.bestBefore);
      return {
        id: s.id,
        name: s.name,
        left: s.left > 0 ? supplyAmount({ ...s, amount: s.left }, this.units) : 'used up',
        gone: s.left <= 0,
        old: daysLeft !== null && daysLeft < 0,
        until:
          s.bestBefore === null ? 'keeps' : `${dayText(s.bestBefore)} ${s.bestBefore.slice(0, 4)}${daysLeft !== null && daysLeft < 0 ? ', past its date' : ''}`,
      };
    }),
  );
  protected readonly amountLabel = computed(
    () => ({ packet: 'How many packets', g: 'How much', tablet: 'How many tablets', mL: 'How many mL' })[this.offer()?.unit ?? 'g'],
  );
  protected readonly amountHint = computed(() => (this.offer()?.unit === 'packet' ? '2' : this.offer()?.unit === 'tablet' ? '50' : '250 g'));

  protected async add(): Promise<void> {
    const offer = this.offer();
    const typed = this.draft.fields();
    const { amount: amountText, packetG: packetText, until } = typed;
    if (!offer) return;
    const amount = this.amountOf(offer, amountText);
    if (until === NO_DAY) {
      this.refusal.set('Write the day it is good until, or leave it empty.');
      return;
    }
    const packet = offer.unit === 'packet' ? readNumber(packetText, 'packetG') : null;
    if (typeof amount === 'string' || packet?.ok === false) {
      this.refusal.set(typeof amount === 'string' ? amount : packet?.ok === false ? packet.error.message : null);
      return;
    }
    const packetG = offer.unit === 'packet' ? (packet?.value ?? PACKET_G) : null;
    const { kind, refId, name, unit } = offer;
    const bestBefore = until === '' ? null : until;
    const resource = { id: newId(), version: 0, kind, refId, name, amount, unit, packetG, bestBefore };
    const { refused } = await this.writer.save({ of: 'supplies', resource }, `${name} is in the cupboard.`);
    this.refusal.set(refused);
    if (refused === null) this.draft.clear(typed, { ...EMPTY, what: typed.what });
  }

  /** How much there is of it, or why that cannot be read. */
  private amountOf({ unit, kind, refId }: SupplyOffer, text: string): number | string {
    if (unit === 'g') {
      const read = readQuantity(this.units, text, 'mass', { weights: kitchenWeights(kind, refId) });
      if (read?.ok !== true) return read?.error.message ?? `Write how much there is, such as ${this.amountHint()}.`;
      return read.value.value > 0 ? read.value.value : 'Write how much there is; none need not be put away.';
    }
    const read = readNumber(text, 'count');
    if (read?.ok !== true) return read?.error.message ?? 'Say how many there are, as a number such as 2.';
    return read.value > 0 ? read.value : 'Say how many there are; none need not be put away.';
  }
}
