// Thirty years of a keen maker: 300 batches of 200 entries, ten of them in vessels. Made once and kept; each run works on a copy.
import { cpSync, existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { spawnSync } from 'node:child_process';
import express from 'express';
import expressStaticGzip from 'express-static-gzip';
import puppeteer from 'puppeteer-core';
import { openRaw } from '../packages/server/dist/db/raw-database.js';
import { digestOf } from '../packages/server/dist/batches/read-entry-row.js';
import { CHROMIUM_FLAGS, ROOT, run, say, startBuiltServer } from '../tools/lib.mjs';
import { arrived, asked, benchBlocking } from './blocking.mjs';
import { median, ratio } from './figures.mjs';

const BATCHES = 300;
const ENTRIES = 200;
const IN_VESSELS = 10;
const LONG_ENTRIES = 1000;
const TODAY = '2026-11-23';
const LIST_LIMIT_MS = 60;
const OPEN_LIMIT_MS = 300;
const SHELF_LIMIT = 1.5;
const KEPT = join(ROOT, '.cache/big-cellar-3');
const KEPT_SMALL = join(ROOT, '.cache/small-cellar-1');

const ulidOf = (kind, n) => `01${kind}${String(n).padStart(23, '0')}`;
const raw = (reading) => ({ instrument: 'hydrometer', reading, sampleC: 19, calibratedAtC: 20, offsetSg: 0 });

/** The log of one batch, begun so many days before today. */
function logOf(batchId, { firstEntry, count, daysAgo, ends }) {
  const startMs = Date.parse(`${TODAY}T10:00:00Z`) - daysAgo * 86_400_000;
  const rows = [];
  const add = (kind, day, payload) => {
    const at = new Date(startMs + day * 86_400_000).toISOString();
    rows.push({ id: ulidOf('E', firstEntry + rows.length), batchId, kind, at, writtenAt: at, note: '', payload: JSON.stringify(payload) });
  };
  const vessels = [{ vesselId: ulidOf('V', firstEntry), volumeL: 20 }];
  const unread = { ph: null, taGPerL: null };
  add('filled', 0, { source: 'pressed', fruit: 'apple', volumeL: 20, gravity: raw(1.05), ...unread, tanninGPerL: null, yanMgPerL: null, vessels, tempC: 15 });
  add('pitched', 0.1, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 15 });
  const readings = count - (ends ? 3 : 2);
  for (let i = 1; i <= readings; i += 1) {
    const day = (i * Math.min(daysAgo - 1, 60)) / readings;
    const sg = Math.round((0.998 + 0.052 * Math.exp(-day / 8)) * 1e4) / 1e4;
    add('reading', day, { gravity: raw(sg), ...unread, placeC: 15, insistedOn: [], bubbles: null, smell: null });
  }
  if (ends) add('discarded', 61, { volumeL: 20, why: 'drunk' });
  return rows;
}

/** Makes a cellar of so many batches, the last ten of them in vessels. */
async function make(folder, batches) {
  mkdirSync(folder, { recursive: true });
  const empty = await startBuiltServer({ env: { TRUG_DATA: folder, TRUG_PORT: '0', TRUG_TODAY: TODAY, TRUG_LOG: 'silent' }, stdio: 'ignore' });
  empty.child.kill('SIGTERM');
  await empty.ended;
  const book = await openRaw(join(folder, 'trug.sqlite'), 'write');
  await book.exec('BEGIN');
  let seq = 0;
  const vessel = 'INSERT INTO vessels (id, name, kind, capacity_l) VALUES (?, ?, ?, 23)';
  for (let b = BATCHES - batches; b < BATCHES; b += 1) {
    const id = ulidOf('B', b);
    const stands = b >= BATCHES - IN_VESSELS;
    const daysAgo = stands ? 20 + b - (BATCHES - IN_VESSELS) : 100 + (BATCHES - b) * 30;
    await book.run('INSERT INTO batches (id, name, method_id, tape, started_at) VALUES (?, ?, ?, ?, ?)', [
      id,
      `Lot ${b}`,
      'cool-slow',
      'straw',
      new Date(Date.parse(`${TODAY}T10:00:00Z`) - daysAgo * 86_400_000).toISOString(),
    ]);
    const count = b === BATCHES - 1 ? LONG_ENTRIES : ENTRIES;
    if (stands) await book.run(vessel, [ulidOf('V', seq), `Carboy ${b}`, 'carboy']);
    for (const row of logOf(id, { firstEntry: seq, count, daysAgo, ends: !stands })) {
      seq += 1;
      await book.run(
        'INSERT INTO entries (id, batch_id, kind, at, written_at, note, payload, seq, payload_version, digest) VALUES (?, ?, ?, ?, ?, ?, ?, ?, 1, ?)',
        [row.id, row.batchId, row.kind, row.at, row.writtenAt, row.note, row.payload, seq, digestOf(row)],
      );
    }
  }
  await book.exec('COMMIT');
  await book.close();
}

async function timed(times, work) {
  const took = [];
  for (let i = 0; i < times; i += 1) {
    const from = performance.now();
    await work(i);
    took.push(performance.now() - from);
  }
  return median(took);
}

const send = async (url, path, body) => {
  const response = await fetch(`${url}${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  if (!response.ok) throw new Error(await response.text());
};

/** What filing a reading costs in a batch begun for it, ms. */
async function filing(url, seed) {
  const id = ulidOf('C', seed);
  const [fill, pitch] = logOf(id, { firstEntry: 900_000 + seed, count: 3, daysAgo: 30, ends: false });
  const asSent = (row) => ({ ...row, payload: JSON.parse(row.payload) });
  await send(url, '/api/batches', {
    batches: [{ id, name: 'Filing', methodId: 'cool-slow', tape: 'straw', startedAt: fill.at }],
    entries: [fill, pitch].map(asSent),
  });
  const at = (i) => new Date(Date.parse(pitch.at) + (i + 1) * 3_600_000).toISOString();
  return timed(41, (i) =>
    send(url, '/api/entries', {
      entries: [
        {
          id: ulidOf('D', seed * 1000 + i),
          batchId: id,
          kind: 'reading',
          at: at(i),
          writtenAt: at(i),
          note: '',
          payload: { gravity: raw(1.04 - i * 1e-4), ph: null, taGPerL: null, placeC: 15, insistedOn: [], bubbles: null, smell: null },
        },
      ],
    }),
  );
}

async function serving(data, work) {
  const began = performance.now();
  const server = await startBuiltServer({ env: { TRUG_DATA: data, TRUG_PORT: '0', TRUG_TODAY: TODAY, TRUG_LOG: 'silent' }, stdio: 'ignore' });
  try {
    return await work(server.url, performance.now() - began);
  } finally {
    server.child.kill('SIGTERM');
    await server.ended;
  }
}

/** Time from asking for the shelf to seeing its vessels, in a browser with nothing cached, ms. */
async function shelfShown(url, executablePath, selector) {
  const browser = await puppeteer.launch({ executablePath, args: CHROMIUM_FLAGS, headless: true });
  const ms = await timed(7, async () => {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(`${url}/shelf`);
    await page.waitForSelector(selector);
    await context.close();
  });
  await browser.close();
  return ms;
}

/** A page of the same kit with nothing on it, built and served as the web app is. */
async function blankShown(executablePath) {
  const made = spawnSync('npx', ['ng', 'build', 'blank'], { cwd: join(ROOT, 'packages/web'), encoding: 'utf8' });
  if (made.status !== 0) throw new Error(made.stderr);
  const blank = join(ROOT, '.cache/blank');
  run(process.execPath, [join(ROOT, 'tools/pack-web.mjs'), blank]);
  const app = express().use((request, _response, next) => {
    if (!request.url.includes('.')) request.url = '/index.html';
    next();
  });
  app.use(expressStaticGzip(blank, { enableBrotli: true, orderPreference: ['br'], index: false }));
  const listening = app.listen(0);
  try {
    return await shelfShown(`http://localhost:${listening.address().port}`, executablePath, 'main');
  } finally {
    listening.close();
  }
}

/** A list, a log, an entry and the shelf in a large cellar, beside the same in a small and in an empty one. */
export async function benchBigCellar(executablePath) {
  if (!existsSync(KEPT)) await make(KEPT, BATCHES);
  if (!existsSync(KEPT_SMALL)) await make(KEPT_SMALL, IN_VESSELS);
  const [data, small, none] = ['trug-big-', 'trug-small-', 'trug-none-'].map((name) => mkdtempSync(join(tmpdir(), name)));
  cpSync(KEPT, data, { recursive: true });
  cpSync(KEPT_SMALL, small, { recursive: true });
  try {
    const blankMs = await blankShown(executablePath);
    const emptyMs = await serving(none, (url) => filing(url, 1));
    const smallMs = await serving(small, (url) => shelfShown(url, executablePath, 'trug-vessel svg'));
    await serving(data, async (url, startMs) => {
      say(`${BATCHES} batches with ${BATCHES * ENTRIES} entries: started in ${startMs.toFixed(0)} ms, summaries made where there were none`);
      const text = async (path) => (await fetch(`${url}${path}`)).text();
      const kB = (await arrived(`${url}/api/batches`)) / 1000;
      const listMs = await timed(21, () => arrived(`${url}/api/batches`));
      const book = await openRaw(join(data, 'trug.sqlite'), 'read');
      const bareMs = await timed(21, () => book.all('SELECT b.*, s.summary FROM batches b JOIN batch_summaries s ON s.batch_id = b.id'));
      await book.close();
      say(
        `list of batches: ${listMs.toFixed(0)} ms median for ${kB.toFixed(0)} kB, ${ratio(listMs, LIST_LIMIT_MS)}; ${(listMs / bareMs).toFixed(1)} × bare sqlite3 reading the same rows`,
      );
      const openMs = await timed(11, () => text(`/api/batches/${ulidOf('B', BATCHES - 1)}`));
      say(`a batch of ${LONG_ENTRIES} entries opened: ${openMs.toFixed(0)} ms, ${ratio(openMs, OPEN_LIMIT_MS)}`);
      const fileMs = await filing(url, 2);
      say(`an entry filed: ${fileMs.toFixed(1)} ms, ${(fileMs / emptyMs).toFixed(2)} × in an empty cellar`);
      await benchBlocking(url, {
        [`the list of ${BATCHES} batches`]: asked(url, '/api/batches'),
        'what a window starts with': asked(url, '/api/start'),
        [`a batch of ${LONG_ENTRIES} entries`]: asked(url, `/api/batches/${ulidOf('B', BATCHES - 1)}`),
        'a batch begun and read 41 times': (i) => filing(url, 3 + i),
      });
      const shelfMs = await shelfShown(url, executablePath, 'trug-vessel svg');
      const beside = (ms) => `${ms.toFixed(0)} ms, ${(ms / blankMs).toFixed(2)} × the blank page (at most ${SHELF_LIMIT})`;
      say(
        `a blank page of the same kit: ${blankMs.toFixed(0)} ms; shelf shown with ${BATCHES} batches: ${beside(shelfMs)}; with ${IN_VESSELS}: ${beside(smallMs)}`,
      );
    });
  } finally {
    for (const folder of [data, small, none]) rmSync(folder, { recursive: true, force: true });
  }
}
