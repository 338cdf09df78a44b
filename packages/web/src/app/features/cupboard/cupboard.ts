import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { VESSEL_KINDS, type VesselKindId } from '@trug/contract/plain';
import { calendarDays, dayText, YEAST_KINDS, yeastById } from '@trug/core';
import { LarderWriter } from '../../shared/larder-writer';
import { larderFeature } from '../../state/larder.reducer';
import { newId } from '../../shared/new-id';
import { createDraft } from '../../shared/draft';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { selectFreeVessels } from '../../shared/free-vessels';
import { Units } from '../../shared/units/units';
import { drinkLook } from '../../shared/vessel/drink-look';
import { Vessel, type DrinkLook } from '../../shared/vessel/vessel';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { CupboardPageActions } from '../../state/cellarbook.actions';
import { cupboardFeature } from '../../state/cupboard.reducer';

const EMPTY_LOOK: DrinkLook = { fruit: 'apple', haze: 0, sedimentMm: 0, working: false };

/** The cupboard: the maker's vessels, which are free, and a way to add one. */
@Component({
  selector: 'trug-cupboard',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, RouterLink, QuantityField, Vessel],
  templateUrl: './cupboard.html',
  styleUrl: './cupboard.scss',
})
export class Cupboard {
  private readonly store = inject(Store);
  private readonly larder = inject(LarderWriter);
  protected readonly units = inject(Units);
  private readonly vessels = this.store.selectSignal(cupboardFeature.selectVessels);
  private readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly views = this.store.selectSignal(selectBatchViews);
  private readonly now = this.store.selectSignal(cupboardFeature.selectNow);
  protected readonly kinds = VESSEL_KINDS;
  protected readonly draft = createDraft('vessel', { name: '', kind: 'jar', capacity: '' });
  protected readonly refusal = signal<string | null>(null);
  protected readonly usual = computed(() => VESSEL_KINDS.find((k) => k.id === this.draft.fields().kind) ?? VESSEL_KINDS[0]);
  protected readonly cards = computed(() => {
    const free = new Set(this.free().map((v) => v.id));
    return this.vessels().map((vessel) => {
      const holder = this.views().find((v) => v.state.liquid && v.state.vessels.some((f) => f.vesselId === vessel.id));
      const fill = holder?.state.vessels.find((f) => f.vesselId === vessel.id)?.volumeL ?? 0;
      return {
        vessel,
        free: free.has(vessel.id),
        holder: holder?.batch ?? null,
        fraction: fill / vessel.capacityL,
        look: holder ? drinkLook(holder.state, holder.verdict?.value ?? null, this.now()) : EMPTY_LOOK,
      };
    });
  });

  private readonly stored = this.store.selectSignal(larderFeature.selectSupplies);
  protected readonly yeasts = YEAST_KINDS;
  protected readonly supplyDraft = createDraft('supply', { yeastId: 'crisp-cider', count: '1', packetG: '5', until: '' });
  protected readonly supplyRefusal = signal<string | null>(null);
  protected readonly supplies = computed(() =>
    this.stored().map((s) => {
      const old = s.bestBefore !== null && calendarDays(this.now(), s.bestBefore) < 0;
      const amount =
        s.unit === 'packet'
          ? `${s.amount} ${s.amount === 1 ? 'packet' : 'packets'} of ${s.packetG ?? 5} g`
          : s.unit === 'g'
            ? this.units.mass(s.amount)
            : `${s.amount} ${s.unit === 'tablet' ? 'tablets' : s.unit}`;
      return {
        id: s.id,
        name: s.name,
        amount,
        old,
        until: s.bestBefore === null ? 'keeps' : `${dayText(s.bestBefore)} ${s.bestBefore.slice(0, 4)}${old ? ', past its date' : ''}`,
      };
    }),
  );

  protected async addSupply(): Promise<void> {
    const { yeastId, count, packetG, until } = this.supplyDraft.fields();
    const [amount, grams] = [Number(count.replace(',', '.')), Number(packetG.replace(',', '.'))];
    if (!(amount > 0 && amount <= 1000) || !(grams >= 0.5 && grams <= 5000)) {
      this.supplyRefusal.set('Write how many packets, and the grams one of them holds.');
      return;
    }
    const { name } = yeastById(yeastId);
    const refused = await this.larder.saveSupply({
      id: newId(),
      version: 0,
      kind: 'yeast',
      refId: yeastId,
      name,
      amount,
      unit: 'packet',
      packetG: grams,
      bestBefore: until === '' ? null : until,
    });
    this.supplyRefusal.set(refused);
    if (refused === null) this.supplyDraft.fields.set({ yeastId, count: '1', packetG, until: '' });
  }

  protected add(): void {
    const { name, kind, capacity } = this.draft.fields();
    const read = readQuantity(this.units, capacity, 'volume');
    const capacityL = read === null ? this.usual().capacityL : read.ok ? read.value.value : 0;
    if (name.trim() === '' || !(capacityL >= 0.5 && capacityL <= 1000)) {
      this.refusal.set('Give it a name, and a size from half a litre to 1000 litres.');
      return;
    }
    const vessel = { id: newId(), name: name.trim(), kind: kind as VesselKindId, capacityL };
    this.store.dispatch(CupboardPageActions.vesselAdded({ vessel }));
    this.draft.fields.set({ name: '', kind, capacity: '' });
    this.refusal.set(null);
  }
}
