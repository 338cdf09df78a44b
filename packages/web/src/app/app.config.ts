import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import { ErrorHandler, provideBrowserGlobalErrorListeners, provideZonelessChangeDetection, type ApplicationConfig } from '@angular/core';
import { provideRouter, TitleStrategy, withComponentInputBinding, withInMemoryScrolling } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideStore } from '@ngrx/store';
import { routes } from './app.routes';
import { PageTitle } from './shell/page-title';
import { TroubleHandler } from './browser/trouble';
import { windowName } from './browser/window-name.interceptor';
import { appEffects } from './state/app.effects';
import { batchesEffects } from './state/batches.effects';
import { resourcesEffects } from './state/resources.effects';
import { provideTrugState } from './state/provide-state';
import { vesselsEffects } from './state/vessels.effects';
import { settingsEffects } from './writing/settings.effects';

/** How the app is put together. */
export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    { provide: ErrorHandler, useClass: TroubleHandler },
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'enabled' })),
    { provide: TitleStrategy, useClass: PageTitle },
    provideHttpClient(withFetch(), withInterceptors([windowName])),
    provideStore({}, { runtimeChecks: { strictStateImmutability: true, strictActionImmutability: true, strictActionTypeUniqueness: true } }),
    ...provideTrugState(),
    provideEffects(appEffects, batchesEffects, vesselsEffects, resourcesEffects, settingsEffects),
  ],
};
