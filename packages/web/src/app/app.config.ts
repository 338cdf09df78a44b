import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import { ErrorHandler, provideBrowserGlobalErrorListeners, provideZonelessChangeDetection, type ApplicationConfig } from '@angular/core';
import { provideRouter, withComponentInputBinding, withInMemoryScrolling } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore } from '@ngrx/store';
import { routes } from './app.routes';
import { TroubleHandler } from './shared/trouble';
import { windowName } from './shared/window-name.interceptor';
import { batchesFeature } from './state/batches.reducer';
import { cellarbookEffects } from './state/cellarbook.effects';
import { cupboardFeature } from './state/cupboard.reducer';
import { larderEffects } from './state/larder.effects';
import { larderFeature } from './state/larder.reducer';

/** How the app is put together. */
export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    { provide: ErrorHandler, useClass: TroubleHandler },
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'enabled' })),
    provideHttpClient(withFetch(), withInterceptors([windowName])),
    provideStore({}, { runtimeChecks: { strictStateImmutability: true, strictActionImmutability: true, strictActionTypeUniqueness: true } }),
    provideState(batchesFeature),
    provideState(cupboardFeature),
    provideState(larderFeature),
    provideEffects(cellarbookEffects, larderEffects),
  ],
};
