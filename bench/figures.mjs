// Benchmarks. Each prints its figure and its ratio to a named reference; nothing here passes or fails.
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import puppeteer from 'puppeteer-core';
import { replay } from '../packages/core/dist/index.js';
import { withImports } from '../tools/chunks.mjs';
import { CHROMIUM_FLAGS, ROOT, say } from '../tools/lib.mjs';

const FIRST_LOAD_LIMIT_KB = 150;
const PAGE_LIMIT_KB = 150;
const SHELF_LIMIT_MS = 1000;
const REPLAY_LIMIT_MS = 20;

export const ratio = (value, limit) => `${(value / limit).toFixed(2)} of the limit`;
export const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

/** A log of many readings, with a correction for every tenth. */
function longLog(count) {
  const at = (i) => new Date(Date.UTC(2026, 0, 1) + i * 600_000).toISOString();
  const entry = (i, kind, payload) => ({ id: `E${String(i).padStart(6, '0')}`, batchId: 'B', kind, at: at(i), writtenAt: at(i), note: '', payload });
  const raw = (reading) => ({ instrument: 'hydrometer', reading, sampleC: 19, calibratedAtC: 20, offsetSg: 0 });
  const reading = (sg) => ({ gravity: raw(sg), ph: null, taGPerL: null, placeC: 18, insistedOn: [], bubbles: null, smell: null });
  const log = [
    entry(0, 'filled', {
      source: 'juice',
      fruit: 'apple',
      volumeL: 20,
      gravity: raw(1.05),
      ph: null,
      taGPerL: null,
      tanninGPerL: null,
      yanMgPerL: null,
      vessels: [],
      tempC: 18,
    }),
    entry(1, 'pitched', { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 }),
  ];
  for (let i = 2; i < count; i += 1) {
    const sg = 0.999 + 0.05 * Math.exp(-i / (count / 4));
    const corrects = i % 10 === 9;
    log.push(
      corrects
        ? entry(i, 'corrected', { entryId: log[i - 1].id, replacement: { kind: 'reading', at: at(i - 1), note: '', payload: reading(sg) } })
        : entry(i, 'reading', reading(sg)),
    );
  }
  return log;
}

/** Median time to replay a log of 5,000 entries, beside parsing the same log from JSON. */
export function benchReplay() {
  const log = longLog(5000);
  const text = JSON.stringify(log);
  const times = [];
  const parses = [];
  for (let i = 0; i < 25; i += 1) {
    const before = performance.now();
    const { readings } = replay(log);
    times.push(performance.now() - before);
    if (readings.length < 4000) throw new Error('the replay lost readings');
    const start = performance.now();
    JSON.parse(text);
    parses.push(performance.now() - start);
  }
  const ms = median(times);
  say(
    `replay of 5,000 entries: ${ms.toFixed(1)} ms median, ${ratio(ms, REPLAY_LIMIT_MS)} of ${REPLAY_LIMIT_MS} ms; ${(ms / median(parses)).toFixed(1)} × parsing the same log from JSON`,
  );
}

const DIST = join(ROOT, 'packages/web/dist');
/** A file's size as it is sent, kB: packed where the build has packed it. */
const sentKb = (file) => statSync(join(DIST, existsSync(join(DIST, `${file}.br`)) ? `${file}.br` : file)).size / 1000;
const sumKb = (files) => [...files].reduce((sum, file) => sum + sentKb(file), 0);

/** What the browser fetches before any place is opened, and what the heaviest page brings of its own: script and style, as they are sent. */
export function benchFirstLoad() {
  const html = readFileSync(join(DIST, 'index.html'), 'utf8');
  const files = readdirSync(DIST);
  const main = withImports(
    DIST,
    files.find((file) => /^main-.*\.js$/.test(file)),
  );
  const styles = [...html.matchAll(/href="([^"]+\.css)"/g)].map((m) => m[1]);
  const kb = sumKb(main) + sumKb(styles) + sentKb('index.html');
  const scripts = files.filter((file) => file.endsWith('.js'));
  const whole = scripts.reduce((sum, file) => sum + statSync(join(DIST, file)).size, 0) / 1000;
  say(
    `first load: ${kb.toFixed(0)} kB compressed in ${main.size + styles.length + 1} files, ${ratio(kb, FIRST_LOAD_LIMIT_KB)} of ${FIRST_LOAD_LIMIT_KB} kB; ${((kb / whole) * 100).toFixed(0)} % of all scripts as built`,
  );
  const pages = scripts
    .filter((file) => !file.startsWith('chunk-') && !file.startsWith('worker-') && !main.has(file))
    .map((file) => ({ file, kb: sumKb([...withImports(DIST, file)].filter((chunk) => !main.has(chunk))) }))
    .sort((a, b) => b.kb - a.kb);
  const [heaviest] = pages;
  say(
    `heaviest page of its own: ${heaviest.file.replace(/-[0-9a-f]+\.js$/, '')}, ${heaviest.kb.toFixed(0)} kB, ${ratio(heaviest.kb, PAGE_LIMIT_KB)} of ${PAGE_LIMIT_KB} kB`,
  );
}

/** Time from asking for the shelf of the demo to seeing its vessels, in a browser with nothing cached. */
export async function benchShelf(url, executablePath) {
  const browser = await puppeteer.launch({ executablePath, args: CHROMIUM_FLAGS, headless: true });
  const times = [];
  const api = [];
  for (let i = 0; i < 7; i += 1) {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    const start = performance.now();
    await page.goto(`${url}/shelf`);
    await page.waitForSelector('trug-vessel svg');
    times.push(performance.now() - start);
    const asked = performance.now();
    await (await fetch(`${url}/api/batches`)).json();
    api.push(performance.now() - asked);
    await context.close();
  }
  await browser.close();
  const ms = median(times);
  say(
    `shelf of the demo on screen: ${ms.toFixed(0)} ms median of 7, ${ratio(ms, SHELF_LIMIT_MS)} of ${SHELF_LIMIT_MS} ms; ${(ms / median(api)).toFixed(0)} × fetching the batches alone`,
  );
}
