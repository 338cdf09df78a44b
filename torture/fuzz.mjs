// Hostile and broken requests: each is answered in less than a second, none with a fault of the server's, and none
// makes it grow.
import { request } from 'node:http';
import { connect } from 'node:net';
import { gzipSync } from 'node:zlib';
import { ulid } from 'ulid';
import { ROOT } from '../tools/lib.mjs';
import {
  ask,
  entry,
  entryIds,
  fill,
  float,
  newBatch,
  note,
  peakMb,
  pause,
  rawGravity,
  removeFolder,
  seeded,
  supply,
  tally,
  tempFolder,
  up,
  vessel,
} from './lib.mjs';

const MOST_MB = 300;
const MOST_MS = 1000;
const ODD = [
  null,
  true,
  0,
  -1,
  1e308,
  -1e-308,
  '',
  'x',
  '0',
  [],
  {},
  [[]],
  'x'.repeat(5000),
  '\u0000',
  '‮',
  '9999-12-31T00:00:00.000Z',
  '2026-02-30',
  '__proto__',
  1.5,
  2 ** 53,
  '💧',
  'NaN',
  -0,
];
const deep = (n, open = '[', close = ']') => open.repeat(n) + close.repeat(n);

/** The same value with something in it made odd. */
function spoiled(value, chance) {
  if (typeof value !== 'object' || value === null || chance.next() < 0.15) return chance.pick(ODD);
  const copy = Array.isArray(value) ? [...value] : { ...value };
  const keys = Object.keys(copy);
  const what = chance.below(6);
  if (keys.length === 0 || what === 0) Object.assign(copy, { [chance.pick(['__proto__x', 'constructor', 'extra', ''])]: chance.pick(ODD) });
  else {
    const key = chance.pick(keys);
    if (what === 1) delete copy[key];
    else copy[key] = spoiled(copy[key], chance);
  }
  return copy;
}

/** Sends bytes as they are and gives the status that comes back; 0 when the door is closed, which is an answer too. */
function raw(port, text) {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1');
    let got = '';
    const done = () => {
      socket.destroy();
      resolve(Number(/^HTTP\/1\.1 (\d+)/.exec(got)?.[1] ?? 0));
    };
    socket.on('data', (chunk) => {
      got += chunk.toString('latin1');
      if (got.includes('\r\n\r\n')) done();
    });
    socket.on('error', done);
    socket.on('close', done);
    socket.setTimeout(MOST_MS, done);
    socket.write(text, 'latin1');
  });
}

/** A request whose path and headers are sent as they are. */
function plain(port, { method = 'GET', path, headers = {}, body }) {
  return new Promise((resolve) => {
    const sent = request({ host: '127.0.0.1', port, method, path, headers: { host: `localhost:${port}`, ...headers } }, (response) => {
      let text = '';
      response.on('data', (chunk) => (text += chunk.toString('latin1').slice(0, 2000)));
      response.on('end', () => resolve({ status: response.statusCode, text }));
      response.on('error', () => resolve({ status: 0, text }));
    });
    sent.on('error', () => resolve({ status: 0, text: '' }));
    if (body !== undefined) sent.write(body);
    sent.end();
  });
}

export async function fuzz({ requests, seed }) {
  const report = tally();
  const chance = seeded(seed);
  const folder = tempFolder('fuzz');
  const server = await up(folder, { TRUG_WEB: process.env.TRUG_WEB ?? '' });
  const { url } = server;
  const port = Number(new URL(url).port);
  const batch = newBatch('Fuzzed');
  const first = fill(batch.id);
  await ask(url, 'POST', '/api/batches', { batches: [batch], entries: [first] });
  const device = float(batch.id);
  await ask(url, 'POST', '/api/instruments', device);
  const settings = (await ask(url, 'GET', '/api/settings')).json();
  const reading = entry(batch.id, 'reading', { gravity: rawGravity(1.03), ph: 3.5, taGPerL: 5, placeC: 12, insistedOn: [], bubbles: null, smell: null });
  const many = (n, item) => `[${Array.from({ length: n }, () => item).join(',')}]`;
  /** Right requests, to be spoiled. */
  const right = () => [
    ['POST', '/api/entries', { entries: [note(batch.id, 'hm')] }],
    ['POST', '/api/entries', { entries: [{ ...reading, id: ulid() }] }],
    [
      'POST',
      '/api/entries',
      {
        entries: [
          entry(batch.id, 'bottled', {
            bottles: [{ kindId: 'crown-500', count: 3 }],
            testBottle: false,
            lossL: 0,
            crate: 'Lot',
            capColour: 'rust',
            hottestC: 24,
            acknowledged: [],
          }),
        ],
      },
    ],
    ['POST', '/api/entries', { entries: [entry(batch.id, 'corrected', { entryId: first.id, replacement: null })] }],
    ['POST', '/api/batches', { batches: [newBatch('New')], entries: [fill(ulid())] }],
    ['POST', '/api/batches', { batches: [newBatch('A')], entries: [note(batch.id, 'x')] }],
    ['POST', '/api/vessels', vessel('Jar')],
    ['POST', '/api/supplies', supply('Sugar')],
    ['PUT', `/api/supplies/${ulid()}`, supply('Sugar')],
    ['PUT', `/api/vessels/${ulid()}/cleaned`, { at: null, was: '2026-11-20T10:00:00.000Z' }],
    ['DELETE', `/api/supplies/${ulid()}?version=1`, {}],
    ['DELETE', `/api/vessels/${ulid()}`, {}],
    ['PUT', '/api/settings', settings],
    ['POST', '/api/places', { id: ulid(), version: 0, name: 'Shed', monthlyC: [3, 4, 7, 10, 14, 17, 19, 19, 16, 12, 8, 4] }],
    ['POST', `/api/devices/${device.id}/readings`, { at: '2026-11-20T08:00:00Z', sg: 1.04 }],
    ['POST', `/api/devices/${device.id}/readings`, { batchId: batch.id, readings: [{ sg: 1.04 }] }],
    ['POST', `/api/devices/${device.id}/stand-in`, { daysPerSecond: 1, everyMinutes: 60 }],
    ['POST', '/api/cellar/compare', { source: 'backup', name: '../../etc/passwd' }],
    ['POST', '/api/cellar/restore', { source: 'import', name: '..' }],
    ['PUT', '/api/cellar/backup-folder', { backupDir: 'relative/folder' }],
  ];
  /** What costs or breaks a server that does not look first. */
  const nasty = () => [
    () => ask(url, 'POST', '/api/entries', `{"entries":${many(90_000, '{"a":1}')}}`),
    () => ask(url, 'POST', '/api/entries', `{"entries":[{"payload":{"bottles":${many(200_000, '{}').slice(0, 900_000)}}}]}`),
    () => ask(url, 'POST', '/api/juices', JSON.stringify({ pressing: { lots: Array.from({ length: 40_000 }, () => ({ massKg: 'x' })) } })),
    () => ask(url, 'POST', '/api/places', `{"monthlyC":${many(300_000, '1')}}`),
    () => ask(url, 'POST', `/api/devices/${device.id}/readings`, many(80_000, '{"sg":9}')),
    () => ask(url, 'POST', '/api/entries', deep(chance.pick([50, 5000, 400_000]))),
    () => ask(url, 'POST', '/api/supplies', `{"name":${deep(200_000, '{"a":', '}').replace('{"a":}', '{"a":1}')}}`),
    () => ask(url, 'POST', '/api/entries', 'x'.repeat(chance.pick([10, 1_500_000]))),
    () => ask(url, 'POST', '/api/entries', `{"${'k'.repeat(900_000)}":1}`),
    () => ask(url, 'POST', '/api/supplies', `{${Array.from({ length: 60_000 }, (_none, i) => `"k${i}":1`).join(',')}}`),
    () => ask(url, 'POST', '/api/entries', gzipSync('x'.repeat(30_000_000)), { 'content-encoding': 'gzip' }),
    () => ask(url, 'POST', '/api/entries', 'no gzip', { 'content-encoding': chance.pick(['gzip', 'br', 'deflate', 'zstd', 'x']) }),
    () => ask(url, 'POST', '/api/entries', '{}', { 'content-type': `application/json; charset=${chance.pick(['utf-7', 'utf-16', 'none', '"'])}` }),
    () => ask(url, 'POST', '/api/cellar/archive', 'no zip', { 'content-type': 'application/zip' }),
    () =>
      plain(port, {
        path: chance.pick([
          '/%ff',
          '/api/batches/%ff',
          '/api/%00',
          '/%00',
          '/api/batches/%E0%A4%A',
          '/..%2f..%2fetc/passwd',
          '//',
          '/api//',
          `/${'a'.repeat(9000)}`,
          '/index.html%00.js',
          '/%5c..%5c',
        ]),
      }),
    () =>
      plain(port, {
        path: chance.pick(['/', '/api/batches', '/shelf', '/trug.svg']),
        headers: { range: chance.pick(['bytes=5-1', 'bytes=-', 'bytes=99999999-', 'lines=1', 'bytes=0-0,2-3,5-,-1']) },
      }),
    () =>
      plain(port, {
        path: '/',
        headers: {
          [chance.pick(['if-match', 'if-none-match', 'if-unmodified-since', 'if-modified-since', 'if-range'])]: chance.pick([
            '"x"',
            '*',
            'W/"1"',
            'yesterday',
            'Thu, 01 Jan 1970 00:00:00 GMT',
          ]),
        },
      }),
    () => plain(port, { path: `/api/readings?batch=${chance.pick(['', 'x', batch.id])}&format=${chance.pick(['csv', 'json', 'xml', ''])}` }),
    () => plain(port, { path: `/api/devices/readings?batch[]=${batch.id}&batch=x` }),
    () =>
      plain(port, {
        method: chance.pick(['PATCH', 'DELETE', 'OPTIONS', 'PUT', 'HEAD', 'TRACE', 'PROPFIND']),
        path: chance.pick(['/api/entries', '/api/batches', '/', '/api/cellar']),
      }),
    () =>
      raw(
        port,
        chance.pick([
          'GET / HTTP/9.9\r\n\r\n',
          'POST /api/entries HTTP/1.1\r\nContent-Length: -5\r\n\r\n',
          '\x16\x03\x01\x00\x00',
          `GET / HTTP/1.1\r\nHost: localhost:${port}\r\nX: ${'y'.repeat(30_000)}\r\n\r\n`,
          `POST /api/entries HTTP/1.1\r\nHost: localhost:${port}\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n`,
        ]),
      ).then((status) => ({ status, text: '' })),
  ];
  let slowest = 0;
  const one = async () => {
    let made;
    let what = '';
    if (chance.next() < 0.12) {
      made = chance.pick(nasty());
      what = String(made).slice(0, 120);
    } else {
      const [method, path, body] = chance.pick(right());
      const text = JSON.stringify(spoiled(body, chance));
      what = `${method} ${path} ${text.slice(0, 1500)}`;
      made = () => ask(url, method, path, text);
    }
    const timed = async () => {
      const from = performance.now();
      return { answer: await made(), took: performance.now() - from };
    };
    const once = await timed();
    // A machine that stood still stands still once; what is slow by itself is slow again.
    const { answer, took } = once.took < MOST_MS ? once : await timed();
    slowest = Math.max(slowest, took);
    report.check(answer.status < 500, 'a fault of the server’s by a client’s fault', `${what}: ${answer.status} ${answer.text}`);
    report.check(took < MOST_MS, 'a request took longer than a second', `${Math.round(took)} ms for ${what}: ${answer.status} ${answer.text.slice(0, 80)}`);
    report.check(answer.text.length < 3_000_000, 'an answer without end', answer.text.length);
    report.check(
      answer.status < 400 || !(/node_modules|\bat .*\.js:\d+/.test(answer.text) || answer.text.includes(ROOT) || answer.text.includes(folder)),
      'a stack or a path was answered',
      answer.text,
    );
  };
  for (let i = 0; i < requests; i += 1) await one();
  // Junk from elsewhere does not use up what the true device may send.
  for (let i = 0; i < 260; i += 1) await ask(url, 'POST', `/api/devices/${device.id}/readings`, { sg: 'junk' });
  const true_ = await ask(url, 'POST', `/api/devices/${device.id}/readings`, { at: '2026-11-20T09:00:00Z', sg: 1.03 });
  report.check(true_.status === 200 || true_.status === 422, 'junk used up what the true device may send', true_.status);
  const alive = await ask(url, 'GET', '/api/clock');
  report.check(alive.status === 200, 'the server did not outlive it', alive.status);
  report.check((await entryIds(url)).length > 0, 'the log did not outlive it');
  await pause(50);
  const mb = peakMb(server.child.pid);
  report.check(mb < MOST_MB, `memory passed ${MOST_MB} MB`, `${Math.round(mb)} MB`);
  await server.stop();
  removeFolder(folder);
  return { did: `${requests} requests, slowest ${Math.round(slowest)} ms, ${Math.round(mb)} MB at most`, wrong: report.wrong() };
}
