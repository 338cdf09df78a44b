import type { DeviceColumns, HeldColumns, InstrumentDto, ReadingsReply } from '@trug/contract';
import { deviceGravity, EMPTY_TRACK } from '@trug/core';
import { ulid } from 'ulid';
import { sampleBatch, sampleFill, samplePitch } from '../testing/sample-entries.js';
import { startTestServer, type TestServer } from '../testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.remove());

async function begun(): Promise<string> {
  const batch = sampleBatch();
  expect((await server.request('POST', '/api/batches', { batches: [batch], entries: [sampleFill(batch.id), samplePitch(batch.id)] })).status).toBe(201);
  return batch.id;
}

async function put(card: Partial<InstrumentDto> = {}): Promise<string> {
  const id = card.id ?? ulid();
  const plain = {
    id,
    version: 0,
    kind: 'floating-hydrometer',
    name: 'Float',
    calibratedAtC: 20,
    offset: 0,
    checkedOn: null,
    posts: true,
    batchId: null,
    ...card,
  };
  const { status, body } = await server.request('POST', '/api/instruments', plain);
  expect({ status, body }).toMatchObject({ status: 201 });
  return id;
}

const post = (device: string, body: unknown): ReturnType<TestServer['request']> => server.request('POST', `/api/devices/${device}/readings`, body);
const of = async (batch: string): Promise<readonly DeviceColumns[]> =>
  (await server.request('GET', `/api/devices/readings?batch=${batch}`)).body as DeviceColumns[];

describe('a long series of a device', () => {
  const newestS = 1793520000;
  /** A float that sends each minute for twenty days, knocked now and then, with no gravity in some minutes. */
  const sent = Array.from({ length: 20 * 1440 }, (_none, i) => {
    const at = newestS - (20 * 1440 - 1 - i) * 60;
    return i % 97 === 0 ? { at, tempC: 15 } : { at, sg: 1.02 + ((i * 7919) % 400) / 1e5 + (i % 50 === 0 ? 0.02 : 0), tempC: 15 };
  });

  it('comes as it was sent for a day, by the reading in the middle of each five minutes before that, and of each hour after a fortnight', async () => {
    const batch = await begun();
    const device = await put({ batchId: batch });
    for (let i = 0; i < sent.length; i += 5000) expect((await post(device, sent.slice(i, i + 5000))).status).toBe(200);
    const [shown] = (await server.request('GET', `/api/devices/readings?batch=${batch}`)).body as HeldColumns[];
    const lengthS = (at: number): number => (newestS - at < 86_400 ? 1 : newestS - at < 14 * 86_400 ? 300 : 3600);
    const stretches = new Map<string, (typeof sent)[number][]>();
    for (const each of sent) {
      const key = `${lengthS(each.at)}:${Math.floor(each.at / lengthS(each.at))}`;
      stretches.set(key, [...(stretches.get(key) ?? []), each]);
    }
    // What sent no gravity stands by its warmth, 15, which is over every gravity.
    const middles = [...stretches.values()].map((list) => {
      const ordered = [...list].sort((a, b) => (a.sg ?? a.tempC) - (b.sg ?? b.tempC) || a.at - b.at);
      return ordered[Math.floor((ordered.length + 1) / 2) - 1];
    });
    expect(shown?.at.map((at, i) => [at, shown.sg[i] ?? null])).toEqual(middles.map((each) => [each?.at, each?.sg ?? null]));
    expect(shown?.held).toBe(sent.length);
    expect(shown?.at.length).toBeLessThan(sent.length / 5);
    // All of it is still there to be given out.
    const out = await server.request('GET', `/api/readings?batch=${batch}&format=json`);
    expect((out.body as readonly { by: string }[]).filter((r) => r.by === 'Float')).toHaveLength(sent.length);
  });
  it('is asked for since a moment, with how many there are in all, and refused where that is none', async () => {
    const batch = await begun();
    const [float, scale, silent] = [await put({ batchId: batch }), await put({ batchId: batch, kind: 'scale' }), await put({ batchId: batch })];
    await post(
      float,
      [10, 20, 30].map((s) => ({ at: newestS + s, sg: 1.03 })),
    );
    await post(scale, [{ at: newestS + 10, massG: 21_000 }]);
    const since = async (query: string): Promise<{ readonly status: number; readonly body: unknown }> =>
      server.request('GET', `/api/devices/readings?batch=${batch}&since=${query}`);
    const found = (await since(String(newestS + 15))).body as readonly HeldColumns[];
    expect(Object.fromEntries(found.map((each) => [each.deviceId, [each.at, each.held]]))).toEqual({
      [float]: [[newestS + 20, newestS + 30], 3],
      [scale]: [[], 1],
    });
    expect(found.some(({ deviceId }) => deviceId === silent)).toBe(false);
    for (const none of ['', 'yesterday', '-5', '1e99']) expect((await since(none)).status).toBe(400);
  });
});

describe('readings of a device', () => {
  it('are taken in as one, as a list, or with their batch, in the units a script may have', async () => {
    const batch = await begun();
    const device = await put({ batchId: batch });
    expect(await post(device, { at: '2026-11-01T08:00:00+01:00', brix: 12, tempF: 68 })).toMatchObject({ status: 200, body: { stored: 1, repeated: 0 } });
    expect(
      await post(device, [
        { at: 1793520000, sg: 1.04 },
        { at: '2026-11-02T08:00:00Z', sg: 1.03 },
      ]),
    ).toMatchObject({ body: { stored: 2 } });
    const other = await begun();
    expect(await post(device, { batchId: other, readings: [{ at: '2026-11-03T08:00:00Z', massG: 20_000 }] })).toMatchObject({ body: { stored: 1 } });
    const [columns] = await of(batch);
    expect(columns?.at).toEqual([Date.parse('2026-11-01T07:00:00Z') / 1000, 1793520000, Date.parse('2026-11-02T08:00:00Z') / 1000].sort((a, b) => a - b));
    expect(columns?.sg[columns.at.indexOf(Date.parse('2026-11-01T07:00:00Z') / 1000)]).toBeCloseTo(1.0484, 3);
    expect(columns?.tempC).toContain(20);
    expect((await of(other))[0]).toMatchObject({ deviceId: device, massG: [20_000] });
  });
  it('count from the server’s clock when they have no moment', async () => {
    const batch = await begun();
    const device = await put({ batchId: batch });
    await post(device, { sg: 1.02 });
    expect((await of(batch))[0]?.at).toEqual([Date.parse('2026-11-23T10:00:00Z') / 1000]);
  });
  it.each([
    ['a body that is no JSON', '{"sg": 1.0', 400, /not JSON/],
    ['prose', ['hello'], 400, /object is needed/],
    ['nothing', [], 400, /no reading in it/],
    ['a field nobody knows', { sg: 1.04, colour: 'red' }, 400, /colour/],
    ['no figure', { at: '2026-11-01T08:00:00Z' }, 400, /at least one of/],
    ['a figure as text', { sg: '1.04' }, 400, /sg/],
    ['made up in doubt', { sg: 1.04, madeUp: 'perhaps' }, 400, /madeUp/],
    ['a gravity beyond syrup', [{ sg: 1.04 }, { sg: 15 }], 400, /1\.sg/],
    ['a day that never was', { at: '2026-02-31T99:00:00Z', sg: 1.04 }, 400, /moment/],
    ['a moment without its zone', { at: '2026-11-01T08:00', sg: 1.04 }, 400, /with its zone/],
    ['milliseconds for seconds', { at: 1793520000000, sg: 1.04 }, 400, /no moment/],
    [
      'next year',
      [
        { at: '2026-11-01T08:00:00Z', sg: 1.04 },
        { at: '2027-11-01T08:00:00Z', sg: 1.04 },
      ],
      422,
      /1\.at: 2027.*clock/,
    ],
    ['too many at once', Array.from({ length: 5001 }, (_none, i) => ({ at: 1793520000 + i, sg: 1.04 })), 413, /5001 .* 5000/],
  ])('are refused with a reason when they are %s, and nothing of it is stored', async (_what, body, status, reason) => {
    const batch = await begun();
    const device = await put({ batchId: batch });
    const reply = await post(device, body);
    expect(reply).toMatchObject({ status, body: { status } });
    expect((reply.body as { detail: string }).detail).toMatch(reason);
    expect(await of(batch)).toEqual([]);
  });
  it('change nothing when they are sent again, or twice within a second', async () => {
    const batch = await begun();
    const device = await put({ batchId: batch });
    const list = [1.04, 1.039, 1.038].map((sg, i) => ({ at: 1793520000 + i * 900, sg }));
    await post(device, list);
    expect(await post(device, [...list, { at: 1793520000, sg: 1.2 }, { at: '2026-11-01T08:00:00.700Z', sg: 1.1 }])).toMatchObject({
      body: { stored: 0, repeated: 5 } as ReadingsReply,
    });
    expect((await of(batch))[0]?.sg).toEqual([1.04, 1.039, 1.038]);
  });
  it('are limited when they flood in, with how long to wait; the log and other devices are not touched', async () => {
    const batch = await begun();
    const [flooding, calm] = [await put({ batchId: batch }), await put({ batchId: batch })];
    const before = (await server.request('GET', `/api/batches/${batch}`)).body;
    const replies = await Promise.all(Array.from({ length: 260 }, (_none, i) => post(flooding, { at: 1793520000 + i, sg: 1.04 })));
    const limited = replies.filter((r) => r.status === 429);
    expect(limited.length).toBeGreaterThanOrEqual(60);
    expect(limited[0]?.body).toMatchObject({ code: 'too-many', detail: expect.stringContaining('Retry-After') });
    expect(Number(limited[0]?.headers.get('retry-after'))).toBeGreaterThan(0);
    expect((await of(batch)).find((c) => c.deviceId === flooding)?.at).toHaveLength(260 - limited.length);
    expect((await post(calm, { sg: 1.04 })).status).toBe(200);
    expect((await server.request('GET', `/api/batches/${batch}`)).body).toEqual(before);
  });
  it('are taken out again for one batch, and for no other', async () => {
    const [batch, other] = [await begun(), await begun()];
    const device = await put({ batchId: batch });
    await post(
      device,
      [1, 2, 3].map((i) => ({ at: 1793520000 + i, sg: 1.04 })),
    );
    await post(device, { batchId: other, readings: [{ at: 1793530000, sg: 1.03 }] });
    expect(await server.request('DELETE', `/api/devices/${device}/readings?batch=${batch}`)).toMatchObject({ status: 200, body: { forgotten: 3 } });
    expect(await of(batch)).toEqual([]);
    expect((await of(other))[0]?.sg).toEqual([1.03]);
    expect((await server.request('DELETE', `/api/devices/${device}/readings`)).status).toBe(400);
  });
  it('are refused for a device or a batch nobody knows', async () => {
    expect((await post(ulid(), { sg: 1.04 })).status).toBe(404);
    expect((await post(await put(), { batchId: ulid(), readings: [{ sg: 1.04 }] })).status).toBe(404);
    expect((await server.request('GET', '/api/devices/readings')).status).toBe(400);
  });
});

describe('instruments', () => {
  it('stand in a batch only when they post, and only in one there is', async () => {
    const batch = await begun();
    const plain = {
      id: ulid(),
      version: 0,
      kind: 'hydrometer',
      name: 'Glass',
      calibratedAtC: 20,
      offset: 0,
      checkedOn: '2026-10-01',
      posts: false,
      batchId: batch,
    };
    expect(await server.request('POST', '/api/instruments', plain)).toMatchObject({ status: 422 });
    expect((await server.request('POST', '/api/instruments', { ...plain, posts: true, kind: 'floating-hydrometer', batchId: ulid() })).status).toBe(404);
  });
});

/** Reads server-sent events until enough readings came. */
async function follow(batch: string, count: number): Promise<readonly DeviceColumns[]> {
  const abort = new AbortController();
  const response = await fetch(`${server.url}/api/devices/live?batch=${batch}`, { signal: abort.signal });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  const got: DeviceColumns[] = [];
  const decoder = new TextDecoder();
  let text = '';
  for await (const chunk of response.body ?? []) {
    text += decoder.decode(chunk as Uint8Array, { stream: true });
    const events = text.split('\n\n');
    text = events.pop() ?? '';
    got.push(...events.flatMap((e) => (e.startsWith('event: readings') ? [JSON.parse(e.slice(e.indexOf('data: ') + 6)) as DeviceColumns] : [])));
    if (got.reduce((sum, c) => sum + c.at.length, 0) >= count) break;
  }
  abort.abort();
  return got;
}

describe('a stand-in', () => {
  it('plays a whole ferment in fast time, seen live, and can be stopped', async () => {
    const batch = await begun();
    // A stand-in's faults come from its id, so a fixed one plays the same every time.
    const device = await put({ id: '01J0000000000000000000FKAT', batchId: batch });
    const live = follow(batch, 1200);
    expect(await server.request('POST', `/api/devices/${device}/stand-in`, { daysPerSecond: 30, everyMinutes: 30 })).toMatchObject({
      status: 200,
      body: { deviceId: device },
    });
    const seen = (await live).flatMap((c) => c.at);
    expect([...seen].sort((a, b) => a - b)).toEqual(seen);
    // It has caught up once it has reached now.
    for (;;) {
      const [run] = (await server.request('GET', '/api/devices/stand-ins')).body as { reached: string; trouble: string | null }[];
      expect(run?.trouble).toBeNull();
      if (Date.parse(run?.reached ?? '') > Date.parse('2026-11-23T09:00:00Z')) break;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    const [columns] = await of(batch);
    expect(columns?.madeUp).toBe(true);
    const series = columns && { ...columns, atMs: columns.at.map((s) => s * 1000) };
    const found = series ? deviceGravity(series, null, EMPTY_TRACK) : null;
    // From 1.048 to about dry, whatever its own offset is.
    const fell = (found?.smooth.values[0] ?? 0) - (found?.smooth.values.at(-1) ?? 0);
    expect(fell).toBeGreaterThan(0.046);
    expect(fell).toBeLessThan(0.054);
    expect(found?.level?.days).toBeGreaterThan(5);
    expect((await server.request('DELETE', `/api/devices/${device}/stand-in`)).body).toEqual([]);
  });
  it('is not let loose on what a device measured itself', async () => {
    const batch = await begun();
    const device = await put({ batchId: batch });
    await post(device, { at: '2026-11-20T08:00:00Z', sg: 1.02 });
    expect((await of(batch))[0]?.madeUp).toBe(false);
    expect(await server.request('POST', `/api/devices/${device}/stand-in`, { daysPerSecond: 30, everyMinutes: 30 })).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('measured this batch itself') },
    });
    expect((await server.request('GET', '/api/devices/stand-ins')).body).toEqual([]);
  });
  it('needs a batch with yeast in it, and an instrument that posts', async () => {
    const options = { daysPerSecond: 1, everyMinutes: 15 };
    expect(await server.request('POST', `/api/devices/${await put()}/stand-in`, options)).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('into a batch') },
    });
    expect(await server.request('POST', `/api/devices/${await put({ kind: 'thermometer', posts: false })}/stand-in`, options)).toMatchObject({ status: 422 });
    const dry = sampleBatch();
    await server.request('POST', '/api/batches', { batches: [dry], entries: [sampleFill(dry.id)] });
    expect(await server.request('POST', `/api/devices/${await put({ batchId: dry.id })}/stand-in`, options)).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('with yeast in it') },
    });
  });
});
