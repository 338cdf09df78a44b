import { computed, inject, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import type { ScribbleContext } from '@trug/core/book/scribble/parse-scribble';
import { namedYeasts } from '@trug/core/book/scribble/scribble-yeast';
import { injectWeightsOf } from '../../shared/kitchen';
import { selectOwnSugars } from '../../state/own-things.selectors';
import { settingsFeature } from '../../state/settings.reducer';
import { selectSuppliesLeft } from '../../state/supplies.selectors';
import { Units } from '../../units/units';
import { LogWriter } from '../../writing/log-writer';

/** What a scribbled line is read by, but for the batches that it may name; call within an injection context. */
export function injectReadBy(): Signal<Omit<ScribbleContext, 'batches'>> {
  const store = inject<Store>(Store);
  const [units, writer] = [inject(Units), inject(LogWriter)];
  const supplies = store.selectSignal(selectSuppliesLeft);
  const sweets = store.selectSignal(selectOwnSugars);
  const settings = store.selectSignal(settingsFeature.selectSettings);
  const weightsOf = injectWeightsOf();
  return computed(() => ({
    yeasts: namedYeasts(supplies()),
    sweets: sweets(),
    weightsOf: weightsOf(),
    today: units.dateOf(writer.now()),
    gallon: settings().volume === 'imp-gal' ? ('imperial' as const) : ('us' as const),
    degrees: settings().temperature,
  }));
}
