import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/shell/app';
import { appConfig } from './app/app.config';
import { routes } from './app/app.routes';
import { pageAskedFor } from './app/page-asked-for';

// What fails here fails again when the router asks, and is told there.
Promise.resolve(pageAskedFor(location.pathname, routes)?.loadComponent?.()).catch(() => undefined);

bootstrapApplication(App, appConfig).catch((error: unknown) => {
  document.body.textContent = 'Trug could not start. Reload the page; if it happens again, look at the terminal it runs in.';
  throw error;
});
