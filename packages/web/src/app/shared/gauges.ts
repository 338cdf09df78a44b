import { computed, inject, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { gaugesOf, type Gauge } from '@trug/core/matter/measure/gauge';
import { isInUse } from '../state/in-use';
import { instrumentsFeature } from '../state/resources.reducer';
import { settingsFeature } from '../state/settings.reducer';

/**
 * What a gravity can be read with: the maker's own that nobody has put away, and plain ones by the settings where there are none.
 *
 * @returns hydrometers first; at least one of each kind; call within an injection context
 */
export function injectGauges(): Signal<readonly Gauge[]> {
  const store = inject(Store);
  const instruments = store.selectSignal(instrumentsFeature.selectAll);
  const settings = store.selectSignal(settingsFeature.selectSettings);
  return computed(() => gaugesOf(instruments().filter(isInUse), settings()));
}

/** Only those that float: what is read twice to be told apart is read on a stem. */
export const stemsOf = (gauges: readonly Gauge[]): readonly Gauge[] => gauges.filter(({ kind }) => kind === 'hydrometer');
