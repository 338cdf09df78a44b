import { ensureBuild, ensureChromium } from './lib.mjs';
import { withDemo } from './with-demo.mjs';

ensureBuild();
const { benchFirstLoad, benchReplay, benchShelf } = await import('../bench/figures.mjs');
const { benchBlending } = await import('../bench/blending.mjs');
const { benchForecast } = await import('../bench/forecasting.mjs');
const { benchDevices } = await import('../bench/devices.mjs');
const { benchBigCellar } = await import('../bench/big-cellar.mjs');
benchReplay();
await benchBlending();
benchForecast();
benchFirstLoad();
const chromium = ensureChromium();
await benchBigCellar(chromium);
await withDemo(async (url) => {
  await benchShelf(url, chromium);
  await benchDevices(url, chromium);
});
