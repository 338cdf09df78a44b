import type { EnvironmentProviders } from '@angular/core';
import { provideState } from '@ngrx/store';
import { appFeature } from './app.reducer';
import { batchesFeature } from './batches.reducer';
import { instrumentsFeature, juicesFeature, placesFeature, recipesFeature, suppliesFeature } from './resources.reducer';
import { settingsFeature } from './settings.reducer';
import { vesselsFeature } from './vessels.reducer';

/** Everything the store holds, resource by resource. */
export const provideTrugState = (): EnvironmentProviders[] => [
  provideState(appFeature),
  provideState(batchesFeature),
  provideState(vesselsFeature),
  provideState(juicesFeature),
  provideState(suppliesFeature),
  provideState(placesFeature),
  provideState(instrumentsFeature),
  provideState(recipesFeature),
  provideState(settingsFeature),
];
