// Fifty thousand readings of a device: stored over HTTP, drawn after arrival, zoomed by dragging.
import { performance } from 'node:perf_hooks';
import puppeteer from 'puppeteer-core';
import { CHROMIUM_FLAGS, say } from '../tools/lib.mjs';
import { asked, benchBlocking } from './blocking.mjs';
import { median, ratio } from './figures.mjs';

const READINGS = 50_000;
const AT_ONCE = 2500;
const LEAST_PER_S = 1000;
const DRAWN_LIMIT_MS = 200;
/** What people take for at once. */
const ZOOM_LIMIT_MS = 100;
/** One picture of sixty a second. */
const REDRAWN_LIMIT_MS = 16;
/** Three readings a minute. */
const STEP_S = 20;

/** 50,000 readings of a float in a batch of the demo: the rate of storing, and what its curve costs in the browser. */
export async function benchDevices(url, executablePath) {
  const batches = await (await fetch(`${url}/api/batches?with=logs`)).json();
  const batch = batches.find((b) => b.name === 'North Wall Wild');
  const device = '01J00000000000000000000BEN';
  const card = {
    id: device,
    version: 0,
    kind: 'floating-hydrometer',
    name: 'Bench',
    calibratedAtC: 20,
    offset: 0,
    checkedOn: null,
    posts: true,
    batchId: batch.id,
  };
  await send(`${url}/api/instruments`, card);
  const pitchedS = Date.parse(batch.entries.find((e) => e.kind === 'pitched').at) / 1000;
  const readings = Array.from({ length: READINGS }, (_, i) => ({
    at: Math.floor(pitchedS + 60 + i * STEP_S),
    sg: Math.round((1.055 - (0.017 * i) / READINGS + 0.0006 * Math.sin(i * 7.7)) * 1e4) / 1e4,
    tempC: 8,
  }));
  const before = performance.now();
  for (let i = 0; i < READINGS; i += AT_ONCE) await send(`${url}/api/devices/${device}/readings`, readings.slice(i, i + AT_ONCE));
  const perS = READINGS / ((performance.now() - before) / 1000);
  say(`${READINGS} device readings stored at ${perS.toFixed(0)} a second, ${(perS / LEAST_PER_S).toFixed(1)} × the least asked for`);

  const browser = await puppeteer.launch({ executablePath, args: CHROMIUM_FLAGS, headless: true });
  const drawn = [];
  const zoomed = [];
  const redrawn = [];
  for (let i = 0; i < 5; i += 1) {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.evaluateOnNewDocument(markArrivalAndDrawing);
    await page.goto(`${url}/batch/${batch.id}`);
    drawn.push(await page.waitForFunction(() => window.drawnMs).then((handle) => handle.jsonValue()));
    // The forecast's worker shares the machine; zooming is timed once it is done.
    await page.waitForSelector('trug-ahead .lead');
    // And with one more of them, as long as the device goes on.
    for (let more = 0; more < 4; more += 1) {
      await page.evaluate(markRedrawing);
      // Some minutes on, so that the end of the line moves by more than a thousandth of a pixel.
      const at = Math.floor(pitchedS + 60 + READINGS * STEP_S + (i * 4 + more) * 1200);
      await send(`${url}/api/devices/${device}/readings`, [{ at, sg: 1.0375, tempC: 8 }]);
      redrawn.push(await page.waitForFunction(() => window.redrawnMs).then((handle) => handle.jsonValue()));
    }
    zoomed.push(await page.evaluate(dragAcross));
    await context.close();
  }
  await browser.close();
  say(
    `their curve drawn ${median(drawn).toFixed(0)} ms after arrival, ${ratio(median(drawn), DRAWN_LIMIT_MS)}; zoomed in ${median(zoomed).toFixed(0)} ms, ${ratio(median(zoomed), ZOOM_LIMIT_MS)}`,
  );
  say(`one more of them is in the line ${median(redrawn).toFixed(1)} ms after it came, ${ratio(median(redrawn), REDRAWN_LIMIT_MS)}`);
  await benchBlocking(url, { [`the curve of ${READINGS} readings`]: asked(url, `/api/devices/readings?batch=${batch.id}`) });
}

/** Runs in the page: notes how long after the readings' arrival their line is there. */
function markArrivalAndDrawing() {
  const listen = EventSource.prototype.addEventListener;
  EventSource.prototype.addEventListener = function (type, told) {
    return listen.call(this, type, (event) => {
      if (type === 'readings') window.cameMs = performance.now();
      told(event);
    });
  };
  const arrivedAt = () => performance.getEntriesByType('resource').find((e) => e.name.includes('/devices/readings'))?.responseEnd;
  const look = () => {
    const at = arrivedAt();
    if (at && document.querySelector('path.device')?.getAttribute('d')) window.drawnMs = performance.now() - at;
    else requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}

/** Runs in the page: notes how long after a reading came in the line has it. */
function markRedrawing() {
  const line = () => document.querySelector('path.device').getAttribute('d');
  window.redrawnMs = undefined;
  window.cameMs = undefined;
  let was = line();
  new MutationObserver((_changes, observer) => {
    // A forecast that comes in moves the line too.
    if (window.cameMs === undefined) was = line();
    else if (line() !== was) {
      window.redrawnMs = performance.now() - window.cameMs;
      observer.disconnect();
    }
  }).observe(document.querySelector('trug-curve'), { subtree: true, childList: true, attributes: true, attributeFilter: ['d'] });
}

/** Runs in the page: drags over a third of the curve and waits for the next picture. */
async function dragAcross() {
  const svg = document.querySelector('trug-curve svg');
  const box = svg.getBoundingClientRect();
  svg.setPointerCapture = () => undefined;
  const point = (type, share) =>
    svg.dispatchEvent(
      new PointerEvent(type, { bubbles: true, pointerId: 1, button: 0, clientX: box.left + share * box.width, clientY: box.top + box.height / 2 }),
    );
  const line = () => document.querySelector('path.device').getAttribute('d');
  const was = line();
  point('pointerdown', 0.3);
  point('pointermove', 0.6);
  const began = performance.now();
  point('pointerup', 0.6);
  while (line() === was) await new Promise((resolve) => requestAnimationFrame(resolve));
  await new Promise((resolve) => requestAnimationFrame(resolve));
  return performance.now() - began;
}

async function send(address, body) {
  const response = await fetch(address, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  if (!response.ok) throw new Error(await response.text());
}
