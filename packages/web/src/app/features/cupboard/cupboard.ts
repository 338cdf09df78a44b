import type { VesselDto } from '@trug/contract/plain';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { VESSEL_KINDS, type VesselKindId } from '@trug/contract/plain';
import { caution } from '@trug/core/base/cautions/catalogue';
import { CautionList } from '../../shared/caution/caution-list';
import { newId } from '../../browser/new-id';
import { createDraft } from '../../writing/draft';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { selectDirtyVessels, selectFreeVessels } from '../../state/free-vessels';
import { Units } from '../../units/units';
import { drinkLook } from '../../shared/vessel/drink-look';
import { Vessel, type DrinkLook } from '../../shared/vessel/vessel';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { InstrumentList } from './instrument-list';
import { PlaceList } from './place-list';
import { SupplyList } from './supply-list';
import { countText } from '@trug/core/matter/quantity/count-text';
import { appFeature } from '../../state/app.reducer';
import { vesselsFeature } from '../../state/vessels.reducer';
import { LogWriter } from '../../writing/log-writer';
import { TextField } from '../../shared/field/text-field';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';

const EMPTY_LOOK: DrinkLook = { fruit: 'apple', haze: 0, sedimentMm: 0, working: false };

/** The cupboard: the maker's vessels, which are free, and a way to add one. */
@Component({
  selector: 'trug-cupboard',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, QuantityField, CautionList, Vessel, InstrumentList, PlaceList, SupplyList, TextField, SelectField, Refusal],
  templateUrl: './cupboard.html',
  styleUrl: './cupboard.scss',
})
export class Cupboard {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  protected readonly caustic = [caution('caustic')];
  protected readonly units = inject(Units);
  protected readonly countText = countText;
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectAll);
  private readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly dirty = this.store.selectSignal(selectDirtyVessels);
  private readonly views = this.store.selectSignal(selectBatchViews);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  protected readonly kinds = VESSEL_KINDS;
  protected readonly draft = createDraft('vessel', { name: '', kind: 'jar', capacity: '' });
  protected readonly refusal = signal<string | null>(null);
  protected readonly usual = computed(() => VESSEL_KINDS.find((k) => k.id === this.draft.fields().kind) ?? VESSEL_KINDS[0]);
  protected readonly cards = computed(() => {
    const free = new Set(this.free().map((v) => v.id));
    const dirty = new Map(this.dirty().map((d) => [d.vesselId, this.units.day(d.since)]));
    return this.vessels().map((vessel) => {
      const holder = this.views().find((v) => v.state.liquid && v.state.vessels.some((f) => f.vesselId === vessel.id));
      const fill = holder?.state.vessels.find((f) => f.vesselId === vessel.id)?.volumeL ?? 0;
      return {
        vessel,
        free: free.has(vessel.id),
        dirtySince: dirty.get(vessel.id) ?? null,
        holder: holder?.batch ?? null,
        fraction: fill / vessel.capacityL,
        look: holder ? drinkLook(holder.state, holder.verdict?.value ?? null, this.now()) : EMPTY_LOOK,
      };
    });
  });

  protected readonly anyDirty = computed(() => this.dirty().length > 0);

  protected cleaned(vessel: VesselDto): void {
    void this.writer.cleanVessel(vessel);
  }

  protected async add(): Promise<void> {
    const typed = this.draft.fields();
    const { name, kind, capacity } = typed;
    const read = readQuantity(this.units, capacity, 'volume');
    const capacityL = read === null ? this.usual().capacityL : read.ok ? read.value.value : 0;
    if (name.trim() === '' || !(capacityL >= 0.5 && capacityL <= 1000)) {
      this.refusal.set(this.units.say('Give it a name, and a size from 0.5 to 1000 L.'));
      return;
    }
    const vessel = { id: newId(), name: name.trim(), kind: kind as VesselKindId, capacityL };
    const { refused } = await this.writer.addVessel(vessel);
    this.refusal.set(refused);
    if (refused === null) this.draft.clear(typed, { name: '', kind, capacity: '' });
  }
}
