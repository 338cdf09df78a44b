import { computed, inject, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { ownWeights, type WeightsOf } from '@trug/core/book/cupboard/own-spoons';
import { selectSuppliesLeft } from '../state/supplies.selectors';
import { LogWriter } from '../writing/log-writer';

/** What spoons, tablets and lemons weigh in the maker's own kitchen. */
export function injectWeightsOf(): Signal<WeightsOf> {
  const supplies = inject(Store).selectSignal(selectSuppliesLeft);
  const writer = inject(LogWriter);
  return computed(() => ownWeights(supplies(), writer.now()));
}
