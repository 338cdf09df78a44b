import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/shell/app';
import { appConfig } from './app/app.config';

bootstrapApplication(App, appConfig).catch((error: unknown) => {
  document.body.textContent = 'Trug could not start. Reload the page; if it happens again, look at the terminal it runs in.';
  throw error;
});
