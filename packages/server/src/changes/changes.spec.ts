import { connect, type AddressInfo } from 'node:net';
import express from 'express';
import { createChangeHub } from './change-hub.js';
import { sampleBatch, sampleFill, sampleNote } from '../testing/sample-entries.js';
import { startTestServer, type TestServer } from '../testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.remove());

interface Told {
  readonly id: string;
  readonly batches?: readonly string[];
  readonly resources?: readonly string[];
}

/** Follows until so many changes were told; the first says only where the changes stand. */
async function follow(count: number, after?: string, headers: Readonly<Record<string, string>> = {}, url = server.url): Promise<readonly Told[]> {
  const controller = new AbortController();
  const response = await fetch(`${url}/api/changes${after === undefined ? '' : `?after=${after}`}`, { signal: controller.signal, headers });
  const told: Told[] = [];
  let text = '';
  for await (const chunk of response.body?.pipeThrough(new TextDecoderStream()) ?? []) {
    text += chunk;
    const whole = text.split('\n\n');
    text = whole.pop() ?? '';
    for (const event of whole.filter((e) => e.startsWith('event: change'))) {
      const [, id, data] = /\nid: (.*)\ndata: (.*)$/.exec(event) ?? [];
      told.push({ id: id ?? '', ...(JSON.parse(data ?? '{}') as object) });
    }
    if (told.length >= count) break;
  }
  controller.abort();
  return told;
}

const batch = sampleBatch();
const note = (): Promise<unknown> => server.request('POST', '/api/entries', { entries: [sampleNote(batch.id, 'a robin')] });

it('are told as they happen, and what was missed when a window comes back', async () => {
  await server.request('POST', '/api/batches', { batches: [batch], entries: [sampleFill(batch.id)] });
  const [start] = await follow(1);
  const following = follow(2);
  await new Promise((resolve) => setTimeout(resolve, 100));
  await note();
  expect((await following)[1]).toMatchObject({ batches: [batch.id], by: null });
  await server.request('POST', '/api/vessels', { id: sampleBatch().id, name: 'Jar', kind: 'jar', capacityL: 5 });
  const [missed] = await follow(1, start?.id);
  expect(missed).toMatchObject({ batches: [batch.id], resources: ['vessels'] });
  const [nothing] = await follow(1, missed?.id);
  expect(nothing?.batches).toBeUndefined();
  // A stream that was cut says by itself what it had last, whatever its address says.
  expect((await follow(1, start?.id, { 'Last-Event-ID': missed?.id ?? '' }))[0]).toEqual(nothing);
});

it('are told even when whoever made them left before the answer', async () => {
  const [start] = await follow(1);
  const before = ((await server.request('GET', `/api/batches/${batch.id}`)).body as { entries: unknown[] }).entries.length;
  const body = JSON.stringify({ entries: [sampleNote(batch.id, 'gone before the answer')] });
  const { port } = new URL(server.url);
  await new Promise<void>((resolve) => {
    const socket = connect(Number(port), '127.0.0.1', () => {
      const head = ['POST /api/entries HTTP/1.1', `Host: 127.0.0.1:${port}`, 'Content-Type: application/json', `Content-Length: ${Buffer.byteLength(body)}`];
      socket.write(`${head.join('\r\n')}\r\n\r\n${body}`, () => {
        socket.destroy();
        resolve();
      });
    });
  });
  let [missed, count] = [start, before];
  for (let i = 0; i < 100 && (count === before || missed?.batches === undefined); i += 1) {
    await new Promise((resolve) => setTimeout(resolve, 50));
    count = ((await server.request('GET', `/api/batches/${batch.id}`)).body as { entries: unknown[] }).entries.length;
    [missed] = await follow(1, start?.id);
  }
  expect(count).toBe(before + 1);
  expect(missed).toMatchObject({ batches: [batch.id] });
});

it.each(['elsewhere.1', 'no head at all', '', '.', '..9'])('is everything for a window whose head is %p', async (head) => {
  expect((await follow(1, encodeURIComponent(head)))[0]).toMatchObject({ resources: ['all'] });
});

it('is everything for a window that missed more than is kept', async () => {
  const hub = createChangeHub('run');
  const app = express().get('/api/changes', (request, response) =>
    hub.follow(response, new URL(request.url, 'http://own').searchParams.get('after') ?? undefined),
  );
  const listening = app.listen(0);
  const { port } = listening.address() as AddressInfo;
  const missed = async (head: number): Promise<Told | undefined> => (await follow(1, `run.${head}`, {}, `http://127.0.0.1:${port}`))[0];
  for (let i = 0; i < 600; i += 1) hub.tell({ batches: [`b${i}`] }, undefined);
  expect((await missed(590))?.batches).toEqual(Array.from({ length: 10 }, (_none, i) => `b${590 + i}`));
  expect(await missed(20)).toMatchObject({ resources: ['all'] });
  expect(await missed(601)).toMatchObject({ resources: ['all'] });
  hub.close();
  listening.close();
});

it('a list of some batches is told with what their logs tell', async () => {
  const other = sampleBatch();
  await server.request('POST', '/api/batches', { batches: [other], entries: [sampleFill(other.id)] });
  const { body } = await server.request('GET', `/api/batches?ids=${other.id}`);
  expect(body).toMatchObject([{ id: other.id, entries: null, summary: { head: { count: 1 } } }]);
});
