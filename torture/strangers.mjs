// Pages of strangers in the maker's own browser: by every way a page has to ask another place for something, and by a
// name of its own that it points at this machine, nothing of the cellar is read or written.
import { createServer } from 'node:http';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { CHROMIUM_FLAGS, ensureChromium } from '../tools/lib.mjs';
import { ask, entryIds, fill, newBatch, note, pause, removeFolder, tally, tempFolder, up } from './lib.mjs';

/** A name that the browser is told stands for this machine, as a rebinding name server would tell it. */
const STRANGER = 'orchard.example';

/** Runs in the stranger's page: each way to reach Trug, with what it could read. */
const waysOfAPage = async ({ target, batchId, entry }) => {
  const body = JSON.stringify({ entries: [entry] });
  const read = (response) => response.text().catch(() => '');
  const attempt = (what) =>
    what().then(
      (got) => String(got ?? ''),
      () => '',
    );
  const framed = (make) =>
    new Promise((resolve) => {
      const frame = document.createElement('iframe');
      frame.name = `f${Math.random()}`;
      document.body.append(frame);
      make(frame);
      setTimeout(() => {
        let text = '';
        try {
          text = frame.contentDocument?.body?.textContent ?? '';
        } catch {
          text = '';
        }
        resolve(text);
      }, 600);
    });
  const form = (enctype, action, fields) => (frame) => {
    const made = document.createElement('form');
    Object.assign(made, { method: 'POST', action, enctype, target: frame.name });
    for (const [name, value] of fields) {
      const field = document.createElement('input');
      Object.assign(field, { type: 'hidden', name, value });
      made.append(field);
    }
    document.body.append(made);
    made.submit();
  };
  const loaded = (tag, attribute, path) =>
    new Promise((resolve) => {
      const element = document.createElement(tag);
      element.onload = () => resolve('loaded');
      element.onerror = () => resolve('');
      element[attribute] = `${target}${path}`;
      document.body.append(element);
      setTimeout(() => resolve(''), 600);
    });
  return {
    'fetch to read': await attempt(async () => read(await fetch(`${target}/api/batches`))),
    'fetch without an answer': await attempt(async () => read(await fetch(`${target}/api/batches`, { mode: 'no-cors' }))),
    'fetch to write JSON': await attempt(async () =>
      read(await fetch(`${target}/api/entries`, { method: 'POST', headers: { 'content-type': 'application/json' }, body })),
    ),
    'fetch to write as text': await attempt(async () =>
      read(await fetch(`${target}/api/entries`, { method: 'POST', mode: 'no-cors', headers: { 'content-type': 'text/plain' }, body })),
    ),
    'fetch to write without a type': await attempt(async () =>
      read(await fetch(`${target}/api/entries`, { method: 'POST', mode: 'no-cors', body: new Blob([body]) })),
    ),
    'a beacon': await attempt(async () => navigator.sendBeacon(`${target}/api/entries`, new Blob([body], { type: 'text/plain' })) && ''),
    'an old request': await attempt(
      () =>
        new Promise((resolve) => {
          const request = new XMLHttpRequest();
          request.open('GET', `${target}/api/batches`);
          request.onloadend = () => resolve(request.responseText);
          request.send();
        }),
    ),
    'a form as text': await framed(form('text/plain', `${target}/api/entries`, [[body.slice(0, -1) + ',"x":"', '"}']])),
    'a form as fields': await framed(form('application/x-www-form-urlencoded', `${target}/api/entries`, [['entries', body]])),
    'a form in parts': await framed(form('multipart/form-data', `${target}/api/cellar/backups`, [['a', 'b']])),
    'a frame': await framed((frame) => (frame.src = `${target}/api/batches`)),
    'a script': await loaded('script', 'src', '/api/batches'),
    'a picture': await loaded('img', 'src', `/api/batches/${batchId}`),
    'a style sheet': await loaded('link', 'href', '/api/settings'),
    'a stream': await attempt(
      () =>
        new Promise((resolve) => {
          const stream = new EventSource(`${target}/api/changes`);
          stream.addEventListener('hello', () => resolve('heard'));
          setTimeout(() => resolve(''), 500);
        }),
    ),
    'a socket': await attempt(
      () =>
        new Promise((resolve) => {
          const socket = new WebSocket(`${target.replace('http', 'ws')}/api/changes`);
          socket.onopen = () => resolve('open');
          socket.onerror = () => resolve('');
        }),
    ),
  };
};

export async function strangers() {
  const report = tally();
  const folder = tempFolder('strangers');
  const server = await up(folder);
  const port = Number(new URL(server.url).port);
  const batch = newBatch('Secret Orchard');
  await ask(server.url, 'POST', '/api/batches', { batches: [batch], entries: [fill(batch.id)] });
  const before = await entryIds(server.url);
  const state = async () => {
    const status = (await ask(server.url, 'GET', '/api/cellar')).json();
    return JSON.stringify([await entryIds(server.url), status.backups.length, (await ask(server.url, 'GET', '/api/settings')).json()]);
  };
  await pause(300);
  const was = await state();
  // Said by hand, as an old or odd browser would: no name but Trug's own, no page but Trug's own.
  const odd = [
    { host: `${STRANGER}:${port}` },
    { host: `localhost.${STRANGER}:${port}` },
    { host: 'localhost:1' },
    { host: '' },
    { host: `localhost:${port}`, origin: 'null' },
    { host: `localhost:${port}`, origin: `http://${STRANGER}` },
    { host: `localhost:${port}`, origin: `http://localhost:${port + 1}` },
    { host: `localhost:${port}`, origin: `https://localhost:${port}` },
    { host: `localhost:${port}`, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' },
    { host: `localhost:${port}`, 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'cors' },
    { host: `localhost:${port}`, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'iframe' },
  ];
  const { request } = await import('node:http');
  const say = (headers, method, path) =>
    new Promise((resolve) => {
      const sent = request({ host: '127.0.0.1', port, method, path, headers, setHost: false }, (response) => {
        response.resume();
        response.on('end', () => resolve(response.statusCode));
      });
      sent.on('error', () => resolve(0));
      sent.end();
    });
  for (const headers of odd) {
    for (const [method, path] of [
      ['GET', '/api/batches'],
      ['POST', '/api/cellar/backups'],
    ]) {
      const status = await say(headers, method, path);
      report.check(status === 403 || status === 400, 'a stranger was answered', `${status} ${method} ${JSON.stringify(headers)}`);
    }
  }
  report.check((await say({ host: `127.0.0.1:${port}` }, 'GET', '/api/batches')) === 200, 'a script of one’s own was refused');
  const visit = { host: `localhost:${port}`, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' };
  report.check((await say(visit, 'GET', '/shelf')) !== 403, 'following a link to Trug was refused');

  const evil = createServer((_request, response) => response.setHeader('content-type', 'text/html').end('<!doctype html><title>Free apples</title><body>'));
  await new Promise((resolve) => evil.listen(0, '127.0.0.1', resolve));
  const profile = mkdtempSync(join(tmpdir(), 'trug-stranger-'));
  const browser = await puppeteer.launch({
    executablePath: ensureChromium(),
    args: [...CHROMIUM_FLAGS, `--user-data-dir=${profile}`, `--host-resolver-rules=MAP ${STRANGER} 127.0.0.1`],
    headless: true,
  });
  let ways = 0;
  try {
    const page = await browser.newPage();
    await page.goto(`http://${STRANGER}:${evil.address().port}/`);
    const made = note(batch.id, 'written by a stranger');
    const got = await page.evaluate(waysOfAPage, { target: `http://localhost:${port}`, batchId: batch.id, entry: made });
    ways = Object.keys(got).length;
    for (const [way, text] of Object.entries(got))
      report.check(text === '' || !/Secret|loaded|heard|open|"version"/.test(text), `a stranger’s page read by ${way}`, text);
    // The name now stands for this machine and Trug's port: to the browser it is all one origin.
    const rebound = await browser.newPage();
    const answer = await rebound.goto(`http://${STRANGER}:${port}/api/batches`).catch(() => null);
    report.check(answer?.status() === 403, 'a rebinding page was answered', answer?.status());
    const read = await rebound.evaluate(async () => (await fetch('/api/batches')).text()).catch(() => '');
    report.check(!read.includes('Secret'), 'a rebinding page read the cellar');
    const wrote = await rebound
      .evaluate(
        async (e) =>
          (await fetch('/api/entries', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ entries: [e] }) })).status,
        note(batch.id, 'rebound'),
      )
      .catch(() => 0);
    report.check(wrote === 403 || wrote === 0, 'a rebinding page wrote', wrote);
  } finally {
    await browser.close();
    evil.close();
    rmSync(profile, { recursive: true, force: true });
  }
  report.check((await state()) === was && before.length > 0, 'a stranger changed something');
  await server.stop();
  removeFolder(folder);
  return { did: `${odd.length} odd callers, ${ways} ways of a page in a browser, a rebinding name`, wrong: report.wrong() };
}
