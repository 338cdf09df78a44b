import { juiceInHand, replay, taOf, type Entry, type Juice, type Liquid } from '@trug/core';
import { startTestServer, type TestServer } from '../testing/test-server.js';

const AT = '2026-11-22T10:00:00.000Z';
let testCount = 0;
/** Ids are a test's own, so that one server serves all of them. */
const id = (n: number): string => `01J000000000000000000${String(testCount).padStart(3, '0')}0${n}`;
const juiceCard = (): Juice & { version: number } => ({
  id: id(1),
  version: 0,
  name: 'Russet row',
  tape: 'straw',
  origin: 'pressed',
  fruit: 'apple',
  fruitId: 'egremont-russet',
  madeAt: AT,
  volumeL: 17.5,
  gravity: { instrument: 'hydrometer', reading: 1.056, sampleC: 20, calibratedAtC: 20, offsetSg: 0 },
  ph: 3.4,
  taGPerL: 6.9,
  tanninGPerL: null,
  yanMgPerL: null,
  costPerL: null,
  preserved: false,
  vitaminC: false,
  pressing: null,
  steeping: null,
  goneL: 0,
  note: '',
});
let JUICE = juiceCard();
const batch = (n: number, name: string): object => ({ id: id(n), name, methodId: 'cool-slow', tape: 'leaf', startedAt: AT });
let order = 0;
const entry = (batchNo: number, kind: string, payload: object): object => {
  order += 1;
  return {
    id: `01J000000000000000000${String(testCount).padStart(3, '0')}${String(order).padStart(2, '0')}`.replace('01J', '01K'),
    batchId: id(batchNo),
    kind,
    at: AT,
    writtenAt: AT,
    note: '',
    payload,
  };
};
const part = (liquid: Liquid, volumeL: number, from: 'juice' | 'batch' = 'juice', sourceId = JUICE.id): object => ({
  from,
  sourceId,
  name: 'Russet row',
  liquid: { ...liquid, volumeL },
  yeastId: null,
});
const pour = (batchNo: number, parts: readonly object[], volumeL: number): object =>
  entry(batchNo, 'blended', { parts, vessels: [{ vesselId: `v${testCount}-${batchNo}`, volumeL }], tempC: 14 });

let server: TestServer;
const russet = juiceInHand(juiceCard(), 0).liquid;
interface Answer {
  readonly detail: string;
  readonly current: unknown;
  readonly fields: readonly { readonly path: string }[];
  readonly batches: readonly { readonly entries: readonly Entry[] }[];
}
const send = async (method: string, path: string, body?: unknown): Promise<{ status: number; body: Answer }> => {
  const answer = await server.request(method, path, body);
  return { status: answer.status, body: answer.body as Answer };
};

beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  order = 0;
  testCount += 1;
  JUICE = juiceCard();
  await send('POST', '/api/juices', JUICE);
});
afterAll(() => server.remove());
const isThere = async (batchNo: number): Promise<boolean> => (await send('GET', `/api/batches/${id(batchNo)}`)).status === 200;

describe('juice cards', () => {
  it('are filed once, changed on the version read, and refuse a second window', async () => {
    expect((await send('POST', '/api/juices', JUICE)).status).toBe(200);
    expect((await send('POST', '/api/juices', { ...JUICE, name: 'Other' })).status).toBe(409);
    const changed = await send('PUT', `/api/juices/${JUICE.id}`, { ...JUICE, version: 1, ph: 3.5 });
    expect(changed.body).toMatchObject({ version: 2, ph: 3.5 });
    const late = await send('PUT', `/api/juices/${JUICE.id}`, { ...JUICE, version: 1, ph: 3.3 });
    expect(late.status).toBe(409);
    expect(late.body.current).toMatchObject({ version: 2, ph: 3.5 });
    expect((await send('PUT', `/api/juices/${id(9)}`, { ...JUICE, id: id(9) })).status).toBe(404);
  });
  it('refuses pH 35 with the field named, and stores nothing', async () => {
    const { status, body } = await send('POST', '/api/juices', { ...JUICE, id: id(2), ph: 35 });
    expect(status).toBe(400);
    expect(body.fields[0]?.path).toBe('ph');
    expect((await send('PUT', `/api/juices/${id(2)}`, { ...JUICE, id: id(2) })).status).toBe(404);
  });
  it('does not let a juice hold less than was poured from it', async () => {
    await send('POST', '/api/batches', { batches: [batch(3, 'Gate')], entries: [pour(3, [part(russet, 12)], 12)] });
    const { status, body } = await send('PUT', `/api/juices/${JUICE.id}`, { ...JUICE, version: 1, volumeL: 10 });
    expect(status).toBe(422);
    expect(body.detail).toContain('12.0 L');
  });
});

describe('a pour', () => {
  it('begins a batch with the blend, and takes it from the juice', async () => {
    const { status, body } = await send('POST', '/api/batches', { batches: [batch(3, 'Gate')], entries: [pour(3, [part(russet, 12)], 12)] });
    expect(status).toBe(201);
    const state = replay(body.batches[0]?.entries ?? []);
    expect(state.liquid?.volumeL).toBeCloseTo(12, 9);
    expect(taOf(state.liquid ?? russet)).toBeCloseTo(6.9, 6);
    const more = await send('POST', '/api/batches', { batches: [batch(4, 'Row')], entries: [pour(4, [part(russet, 6)], 6)] });
    expect(more.status).toBe(422);
    expect(more.body.detail).toContain('5.5 L are left');
    expect([await isThere(3), await isThere(4)]).toEqual([true, false]);
  });
  it('gives the juice back when it is struck out', async () => {
    const poured = pour(3, [part(russet, 12)], 12) as { id: string };
    await send('POST', '/api/batches', { batches: [batch(3, 'Gate')], entries: [poured] });
    await send('POST', '/api/entries', { entries: [entry(3, 'corrected', { entryId: poured.id, replacement: null })] });
    expect((await send('POST', '/api/batches', { batches: [batch(4, 'Row')], entries: [pour(4, [part(russet, 17)], 17)] })).status).toBe(201);
  });
  it.each<[string, () => object, number, string]>([
    ['a juice nobody has', () => pour(3, [part(russet, 5, 'juice', id(8))], 5), 404, 'no juice'],
    ['a juice measured anew since', () => pour(3, [part({ ...russet, malicGPerL: 1 }, 5)], 5), 409, 'measured anew'],
    ['more in the vessels than was poured', () => pour(3, [part(russet, 5)], 9), 422, '9.0 L cannot stand'],
    ['a batch that split nothing off', () => pour(3, [part(russet, 5, 'batch', id(7))], 5), 422, 'Nothing was split'],
  ])('refuses %s, whole', async (_what, made, status, says) => {
    const answer = await send('POST', '/api/batches', { batches: [batch(3, 'Gate')], entries: [made()] });
    expect(answer.status).toBe(status);
    expect(answer.body.detail).toContain(says);
    expect(await isThere(3)).toBe(false);
  });
  it('refuses preserved juice', async () => {
    await send('PUT', `/api/juices/${JUICE.id}`, { ...JUICE, version: 1, preserved: true });
    const { body } = await send('POST', '/api/batches', { batches: [batch(3, 'Gate')], entries: [pour(3, [part(russet, 5)], 5)] });
    expect(body.detail).toContain('will not ferment');
  });
});

describe('a split', () => {
  it('moves litres from one batch to its siblings, keeping them, and is struck out only from the far end', async () => {
    const first = pour(3, [part(russet, 15)], 15);
    await send('POST', '/api/batches', { batches: [batch(3, 'Gate')], entries: [first] });
    const out = entry(3, 'split', {
      into: [{ batchId: id(4), name: 'Gate B', volumeL: 5 }],
      vessels: [{ vesselId: 'v3', volumeL: 10 }],
      lossL: 0,
      why: 'another yeast',
    }) as { id: string };
    const into = pour(4, [part(russet, 5, 'batch', id(3))], 5) as { id: string };
    const { status, body } = await send('POST', '/api/batches', { batches: [batch(4, 'Gate B')], entries: [out, into] });
    expect(status).toBe(201);
    const litres = body.batches.map((b) => replay(b.entries).liquid?.volumeL);
    expect(litres.sort()).toEqual([10, 5]);
    const tooSoon = await send('POST', '/api/entries', { entries: [entry(3, 'corrected', { entryId: out.id, replacement: null })] });
    expect(tooSoon.status).toBe(422);
    expect(tooSoon.body.detail).toContain('stands in Gate B');
    await send('POST', '/api/entries', { entries: [entry(4, 'corrected', { entryId: into.id, replacement: null })] });
    expect((await send('POST', '/api/entries', { entries: [entry(3, 'corrected', { entryId: out.id, replacement: null })] })).status).toBe(201);
  });
});

describe('a vessel that becomes a lot by itself', () => {
  it('stays where it is, and is taken by the new batch alone', async () => {
    const first = pour(8, [part(russet, 15)], 15) as { payload: object };
    const vessels = [
      { vesselId: 'lot-a', volumeL: 10 },
      { vesselId: 'lot-b', volumeL: 5 },
    ];
    await send('POST', '/api/batches', { batches: [batch(8, 'Two jars')], entries: [{ ...first, payload: { ...first.payload, vessels } }] });
    const out = entry(8, 'split', {
      into: [{ batchId: id(9), name: 'Jar two', volumeL: 5 }],
      vessels: vessels.slice(0, 1),
      lossL: 0,
      why: 'bottled by itself',
    });
    const lot = pour(9, [part(russet, 5, 'batch', id(8))], 5) as { payload: object };
    const into = { ...lot, payload: { ...lot.payload, vessels: vessels.slice(1) } };
    const { status, body } = await send('POST', '/api/batches', { batches: [batch(9, 'Jar two')], entries: [out, into] });
    expect(status).toBe(201);
    expect(body.batches.map((b) => replay(b.entries).vessels.map((v) => v.vesselId))).toEqual(expect.arrayContaining([['lot-a'], ['lot-b']]));
    // Whoever wants it as well is told who stands in it.
    const third = pour(6, [part(russet, 2)], 2) as { payload: object };
    const refused = await send('POST', '/api/batches', {
      batches: [batch(6, 'Third')],
      entries: [{ ...third, payload: { ...third.payload, vessels: [{ vesselId: 'lot-b', volumeL: 2 }] } }],
    });
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toContain('Jar two');
  });
});

describe('taking back', () => {
  it('takes a split and what came of it back together, last first, and nothing of it the other way round', async () => {
    await send('POST', '/api/batches', { batches: [batch(3, 'Gate')], entries: [pour(3, [part(russet, 15)], 15)] });
    const out = entry(3, 'split', {
      into: [{ batchId: id(4), name: 'Gate B', volumeL: 5 }],
      vessels: [{ vesselId: `v${testCount}-3`, volumeL: 10 }],
      lossL: 0,
      why: 'another yeast',
    }) as { id: string };
    const into = pour(4, [part(russet, 5, 'batch', id(3))], 5) as { id: string };
    expect((await send('POST', '/api/batches', { batches: [batch(4, 'Gate B')], entries: [out, into] })).status).toBe(201);
    const away = (batchNo: number, { id: entryId }: { id: string }): object => entry(batchNo, 'corrected', { entryId, replacement: null });
    expect((await send('POST', '/api/batches', { batches: [], entries: [away(3, out), away(4, into)] })).status).toBe(422);
    const { status, body } = await send('POST', '/api/batches', { batches: [], entries: [away(4, into), away(3, out)] });
    expect(status).toBe(200);
    const litres = body.batches.map((b) => replay(b.entries).liquid?.volumeL ?? 0);
    expect(litres.sort((a, b) => a - b)).toEqual([0, 15]);
  });
});

describe('topping up', () => {
  it('files racking and what comes in on top together, without a new batch; or nothing of it', async () => {
    const first = pour(3, [part(russet, 8)], 8);
    await send('POST', '/api/batches', { batches: [batch(3, 'Gate')], entries: [first] });
    const racked = entry(3, 'racked', { vessels: [{ vesselId: 'v9', volumeL: 7.5 }], lossL: 0.5 });
    const top = (volumeL: number): object =>
      entry(3, 'blended', { parts: [part(russet, volumeL)], vessels: [{ vesselId: 'v9', volumeL: 7.5 + volumeL }], tempC: null });
    const litres = async (): Promise<number | undefined> => {
      const { body } = await server.request('GET', `/api/batches/${id(3)}`);
      return replay((body as { entries: readonly Entry[] }).entries).liquid?.volumeL;
    };
    // There are 9.5 L of it left.
    expect((await send('POST', '/api/batches', { batches: [], entries: [racked, top(12)] })).status).toBe(422);
    expect(await litres()).toBeCloseTo(8, 9);
    expect((await send('POST', '/api/batches', { batches: [], entries: [racked, top(2)] })).status).toBe(200);
    expect(await litres()).toBeCloseTo(9.5, 9);
    expect((await send('POST', '/api/batches', { batches: [], entries: [] })).status).toBe(400);
  });
});

describe('supplies', () => {
  it('are kept like juices', async () => {
    const packet = {
      id: id(5),
      version: 0,
      kind: 'yeast',
      refId: 'crisp-cider',
      name: 'Crisp cider type',
      amount: 2,
      unit: 'packet',
      packetG: 5,
      bestBefore: '2027-05-31',
    };
    expect((await send('POST', '/api/supplies', packet)).status).toBe(201);
    expect((await send('PUT', `/api/supplies/${packet.id}`, { ...packet, version: 1, amount: 1 })).body).toMatchObject({ amount: 1, version: 2 });
    expect((await send('POST', '/api/supplies', { ...packet, id: id(6), amount: -1 })).status).toBe(400);
  });
});
