import { ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { VesselDto } from '@trug/contract/plain';
import { caution } from '@trug/core/base/cautions/catalogue';
import { CautionList } from '../../shared/caution/caution-list';
import { drinkLook } from '../../shared/vessel/drink-look';
import { Vessel, type DrinkLook } from '../../shared/vessel/vessel';
import { appFeature } from '../../state/app.reducer';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { selectDirtyVessels, selectFreeVessels } from '../../state/free-vessels';
import { isInUse } from '../../state/in-use';
import { vesselsFeature } from '../../state/vessels.reducer';
import { Units } from '../../units/units';
import { ResourceWriter } from '../../writing/resource-writer';
import { RetiredList } from './retired-list';
import { VesselForm } from './vessel-form';

const EMPTY_LOOK: DrinkLook = { fruit: 'apple', haze: 0, sedimentMm: 0, working: false };

/** The maker's vessels on their plank, which are free, which want cleaning, and a way to add one or put one right. */
@Component({
  selector: 'trug-vessel-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, Vessel, VesselForm, RetiredList, CautionList],
  templateUrl: './vessel-list.html',
  styleUrl: './vessel-list.scss',
})
export class VesselList {
  private readonly store = inject(Store);
  private readonly writer = inject(ResourceWriter);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly units = inject(Units);
  protected readonly caustic = [caution('caustic')];
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectAll);
  private readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly dirty = this.store.selectSignal(selectDirtyVessels);
  private readonly views = this.store.selectSignal(selectBatchViews);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  private readonly fragment = toSignal(inject(ActivatedRoute).fragment, { initialValue: null });
  /** The vessel that is put right, or a new one; null while neither. */
  protected readonly open = signal<VesselDto | 'new' | null>(null);
  protected readonly opened = computed(() => {
    const open = this.open();
    return open === 'new' ? null : open;
  });
  protected readonly cards = computed(() => {
    const free = new Set(this.free().map((v) => v.id));
    const dirty = new Map(this.dirty().map((d) => [d.vesselId, this.units.day(d.since)]));
    return this.vessels()
      .filter(isInUse)
      .map((vessel) => {
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
  protected readonly retired = computed(() => this.vessels().filter((v) => !isInUse(v)));
  protected readonly anyDirty = computed(() => this.dirty().length > 0);

  constructor() {
    // A job leads to the very vessel it is about.
    effect(() => {
      const id = this.fragment();
      if (id === null || !this.cards().some((card) => card.vessel.id === id)) return;
      setTimeout(() => this.host.nativeElement.querySelector<HTMLElement>(`[data-vessel="${id}"] button`)?.focus());
    });
  }

  protected cleaned(vessel: VesselDto): void {
    void this.writer.cleanVessel(vessel);
  }

  protected takeOut(id: string): void {
    const own = this.retired().find((v) => v.id === id);
    if (own) void this.writer.changeVessel(own, { retiredOn: null }, `${own.name} is in use again.`);
  }
}
