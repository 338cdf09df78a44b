import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import type { SupplyUse } from '@trug/core';
import { supplyFor, type Need } from '@trug/core/book/cupboard/supply-for';
import { selectSuppliesLeft } from '../../state/supplies.selectors';
import { Units } from '../../units/units';
import { controlOf } from '../field/control-of';
import { TickField } from '../field/tick-field';
import { supplyAmount } from './supply-words';
import { appFeature } from '../../state/app.reducer';

/** A tick that takes what goes in out of the cupboard; nothing where the cupboard has none of it. */
@Component({
  selector: 'trug-supply-take',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, TickField],
  template: `
    @if (found().length > 0) {
      <trug-tick name="take" [formControl]="control">Take it out of the cupboard: {{ words() }}</trug-tick>
    }
  `,
})
export class SupplyTake {
  private readonly units = inject(Units);
  private readonly supplies = inject(Store).selectSignal(selectSuppliesLeft);
  private readonly now = inject(Store).selectSignal(appFeature.selectNow);
  readonly needs = input<readonly Need[]>([]);
  readonly taken = model(true);
  protected readonly control = controlOf(this.taken);
  protected readonly found = computed(() =>
    this.needs().flatMap((need) => {
      const found = supplyFor(need, this.supplies(), this.now());
      return found ? [found] : [];
    }),
  );
  /** Packets of one size are named by it once. */
  protected readonly words = computed(() =>
    this.found()
      .map(({ supply, use, isPast }) => {
        const packetless = supply.unit === 'packet' ? { ...supply, packetG: null } : supply;
        const name = this.needs().length > 1 ? ` ${supply.name}` : '';
        return `${supplyAmount({ ...packetless, amount: use.amount }, this.units)}${name}, of ${supplyAmount({ ...supply, amount: supply.left }, this.units)} there${isPast ? ', past its date' : ''}`;
      })
      .join(' and '),
  );
  /** What an entry should say was taken; undefined when nothing was. */
  readonly uses = computed((): readonly SupplyUse[] | undefined => {
    const uses = this.found().map((f) => f.use);
    return this.taken() && uses.length > 0 ? uses : undefined;
  });
}
