import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { fruitById } from '@trug/core/base/reference/fruit-library';
import { calendarDays, dayText } from '@trug/core/matter/quantity/days';
import { OwnBottleForm } from '../../shared/own-bottle/own-bottle';
import { supplyAmount } from '../../shared/supply-take/supply-words';
import { appFeature } from '../../state/app.reducer';
import { selectSuppliesLeft, type SupplyLeft } from '../../state/supplies.selectors';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { suppliesFeature } from '../../state/resources.reducer';
import { ResourceWriter } from '../../writing/resource-writer';
import { Refusal } from '../../shared/refusal/refusal';
import { SupplyForm } from './supply-form';

/** The packets and jars of the cupboard: what is left of each, and a way to put more in or one right. */
@Component({
  selector: 'trug-supply-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OwnBottleForm, Refusal, SaidPipe, SupplyForm],
  templateUrl: './supply-list.html',
  styleUrl: './supply-list.scss',
})
export class SupplyList {
  private readonly store = inject(Store);
  private readonly units = inject(Units);
  private readonly writer = inject(ResourceWriter);
  private readonly kept = this.store.selectSignal(suppliesFeature.selectEntities);
  protected readonly refusal = signal<string | null>(null);
  private readonly stored = this.store.selectSignal(selectSuppliesLeft);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  /** The supply that is put right, or a new one; null while neither. */
  protected readonly open = signal<SupplyLeft | 'new' | null>(null);
  /** Whether the form for a kind of bottle was asked for. */
  protected readonly ownOpen = signal(false);
  protected readonly opened = computed(() => {
    const open = this.open();
    return open === 'new' ? null : open;
  });
  /** Fruit grows again: it is told by itself, and is never used up. */
  protected readonly fruit = computed(() =>
    this.stored().flatMap(({ id, kind, name, refId }) => (kind === 'fruit' && refId !== null ? [{ id, name, like: fruitById(refId).note }] : [])),
  );
  private readonly all = computed(() =>
    this.stored()
      .filter(({ kind }) => kind !== 'fruit')
      .map((supply) => {
        const { bestBefore, left } = supply;
        const daysLeft = bestBefore === null ? null : calendarDays(this.units.dateOf(this.now()), bestBefore);
        const old = daysLeft !== null && daysLeft < 0;
        return {
          supply,
          left: left > 0 ? supplyAmount({ ...supply, amount: left }, this.units) : 'used up',
          old,
          until: bestBefore === null ? 'keeps' : `${dayText(bestBefore)} ${bestBefore.slice(0, 4)}${old ? ', past its date' : ''}`,
        };
      }),
  );
  protected readonly rows = computed(() => this.all().filter(({ supply }) => supply.left > 0));
  protected readonly usedUp = computed(() => this.all().filter(({ supply }) => supply.left <= 0));

  /** A fruit that is there no more: juices and logs that name it hold all that it was. */
  protected async takeAway(id: string): Promise<void> {
    const resource = this.kept()[id];
    if (resource) this.refusal.set(await this.writer.remove({ of: 'supplies', resource }, `${resource.name} is taken away.`));
  }
}
