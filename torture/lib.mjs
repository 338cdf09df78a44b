// What the torture commands share: a server that can be killed, a seeded source of chance, and a plain client.
import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { ROOT } from '../tools/lib.mjs';

export const TODAY = '2026-11-23';
const START_MS = 60_000;

/** A seeded source of chance. @source mulberry32, public domain */
export function seeded(seed) {
  let a = seed;
  const next = () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    below: (n) => Math.floor(next() * n),
    pick: (list) => list[Math.floor(next() * list.length)],
  };
}

export const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
/** In memory where there is such a disk: a killed process loses nothing that a disk would keep, and it is quicker. */
const BASE = existsSync('/dev/shm') ? '/dev/shm' : tmpdir();
export const tempFolder = (name) => mkdtempSync(join(BASE, `trug-torture-${name}-`));
export const removeFolder = (folder) => rmSync(folder, { recursive: true, force: true });

/** Starts the built server on a folder; `ready` gives its address, or how it ended. */
export function launch(dataDir, env = {}) {
  const token = randomUUID();
  const child = fork(join(ROOT, 'packages/server/dist/main.js'), {
    env: { ...process.env, TRUG_PORT: '0', TRUG_DATA: dataDir, TRUG_TODAY: TODAY, TRUG_LOG: 'silent', TRUG_WEB: '', TRUG_RUN: token, ...env },
    stdio: ['ignore', 'ignore', 'pipe', 'ipc'],
  });
  let said = '';
  child.stderr.on('data', (chunk) => (said += chunk));
  const ended = new Promise((resolve) => child.once('exit', (code, signal) => resolve({ code, signal, said })));
  const ready = Promise.race([
    new Promise((resolve) => child.once('message', ({ url }) => resolve({ url }))),
    ended,
    pause(START_MS).then(() => ({ code: 'timeout', said })),
  ]);
  return {
    child,
    ready,
    ended,
    kill: async () => {
      child.kill('SIGKILL');
      await ended;
    },
    stop: async () => {
      const from = Date.now();
      child.kill('SIGTERM');
      await ended;
      return Date.now() - from;
    },
    said: () => said,
  };
}

/** A server that must come up. */
export async function up(dataDir, env) {
  const server = launch(dataDir, env);
  const first = await server.ready;
  if (first.url === undefined) throw new Error(`Trug did not start on ${dataDir}: ${JSON.stringify(first)}`);
  return { ...server, url: first.url };
}

/** Most memory a process has had, MB. */
export function peakMb(pid) {
  return Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
}

/** Asks and gives status and body; status 0 when there was no answer. */
export async function ask(url, method, path, body, headers = {}) {
  try {
    const response = await fetch(`${url}${path}`, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' || body instanceof Uint8Array ? body : JSON.stringify(body) }),
    });
    const text = await response.text();
    return { status: response.status, text, json: () => JSON.parse(text), headers: response.headers };
  } catch {
    return { status: 0, text: '', json: () => null, headers: new Headers() };
  }
}

const AT = `${TODAY}T08:00:00.000Z`;

export const newBatch = (name) => ({ id: ulid(), name, methodId: 'carton-quick', tape: 'straw', startedAt: AT });
export const entry = (batchId, kind, payload) => ({ id: ulid(), batchId, kind, at: AT, writtenAt: AT, note: '', payload });
export const note = (batchId, text) => entry(batchId, 'note', { text });
export const rawGravity = (reading) => ({ instrument: 'hydrometer', reading, sampleC: 20, calibratedAtC: 20, offsetSg: 0 });
export const fill = (batchId, vessels = []) =>
  entry(batchId, 'filled', {
    source: 'shop juice',
    fruit: 'apple',
    volumeL: 20,
    gravity: rawGravity(1.048),
    ph: null,
    taGPerL: null,
    tanninGPerL: null,
    yanMgPerL: null,
    vessels,
    tempC: 18,
  });
export const vessel = (name) => ({ id: ulid(), name, kind: 'jar', capacityL: 5 });
export const supply = (name) => ({ id: ulid(), version: 0, kind: 'sugar', refId: null, name, amount: 500, unit: 'g', packetG: null, bestBefore: null });

/** Ids of every entry a server has, sorted. */
export async function entryIds(url) {
  const { status, json } = await ask(url, 'GET', '/api/batches?with=logs');
  if (status !== 200) throw new Error(`the batches cannot be read: ${status}`);
  return json()
    .flatMap((batch) => batch.entries.map((e) => e.id))
    .sort();
}

/** Batches of which another summary is kept than their log folds into, or none that is up to date. */
export async function staleSummaries(url) {
  const asked = async (path) => (await ask(url, 'GET', path)).json();
  const [kept, folded] = [await asked('/api/batches'), await asked('/api/batches?with=logs')];
  const byId = new Map(folded.map((batch) => [batch.id, JSON.stringify(batch.summary)]));
  return kept.filter((batch) => JSON.stringify(batch.summary) !== byId.get(batch.id)).map((batch) => batch.id);
}

/** Counts what went wrong, with the first of each sort in words. */
export function tally() {
  const wrong = new Map();
  return {
    check: (holds, what, detail = '') => {
      if (holds) return;
      const there = wrong.get(what);
      if (there) there.count += 1;
      else wrong.set(what, { count: 1, detail: String(detail).slice(0, 2000) });
    },
    wrong: () => [...wrong].map(([what, { count, detail }]) => `${what}: ${count} times${detail === '' ? '' : `, first: ${detail}`}`),
  };
}

export const float = (batchId) => ({
  id: ulid(),
  version: 0,
  kind: 'floating-hydrometer',
  name: 'Float',
  calibratedAtC: 20,
  offset: 0,
  checkedOn: null,
  posts: true,
  batchId,
});
