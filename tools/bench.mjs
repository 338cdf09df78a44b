import { ensureBuild, ensureChromium } from './lib.mjs';
import { withDemo } from './with-demo.mjs';

ensureBuild();
const { benchFirstLoad, benchReplay, benchShelf } = await import('../bench/figures.mjs');
const { benchBlending } = await import('../bench/blending.mjs');
const { benchForecast } = await import('../bench/forecasting.mjs');
benchReplay();
await benchBlending();
benchForecast();
benchFirstLoad();
const chromium = ensureChromium();
await withDemo((url) => benchShelf(url, chromium));
