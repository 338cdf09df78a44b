import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();

// Nothing lies anywhere here, so that nothing can be brought into sight.
Element.prototype.scrollIntoView = () => undefined;
