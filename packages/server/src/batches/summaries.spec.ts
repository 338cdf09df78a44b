import { join } from 'node:path';
import { summarise, type Entry } from '@trug/core';
import { ulid } from 'ulid';
import { FILES } from '../db/files.js';
import { connect } from '../db/connect.js';
import { initModels } from '../book/init-models.js';
import { openRaw, type SqlRow } from '../db/raw-database.js';
import { sampleBatch, sampleEntry, sampleFill, samplePitch, sampleReading } from '../testing/sample-entries.js';
import { startTestServer, type TestServer } from '../testing/test-server.js';
import { summaryStore } from './summary.store.js';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.remove());

const rows = async (sql: string): Promise<readonly SqlRow[]> => {
  const database = await openRaw(join(server.dataDir, FILES.book), 'write');
  try {
    return await database.all(sql);
  } finally {
    await database.close();
  }
};
interface Listed {
  readonly id: string;
  readonly summary: unknown;
  readonly entries: readonly Entry[] | null;
}
const listed = async (path = '/api/batches'): Promise<readonly Listed[]> => (await server.request('GET', path)).body as Listed[];
const KEPT = 'SELECT batch_id, summary FROM batch_summaries ORDER BY batch_id';

async function begun(vesselId: string): Promise<string> {
  const batch = sampleBatch();
  const fill = sampleFill(batch.id);
  fill.payload = { ...fill.payload, vessels: [{ vesselId, volumeL: 20 }] };
  expect(
    (await server.request('POST', '/api/batches', { batches: [batch], entries: [fill, samplePitch(batch.id), sampleReading(batch.id, 30, 1.03)] })).status,
  ).toBe(201);
  return batch.id;
}
async function vessel(name: string): Promise<string> {
  const id = ulid();
  expect((await server.request('POST', '/api/vessels', { id, name, kind: 'bucket', capacityL: 25 })).status).toBe(201);
  return id;
}
const file = async (...entries: readonly unknown[]): Promise<number> => (await server.request('POST', '/api/entries', { entries })).status;

/** A season of acts on two batches, one of them corrected. */
async function acted(): Promise<readonly string[]> {
  const [one, two, jar] = [await vessel('One'), await vessel('Two'), await vessel('Jar')];
  const ids = [await begun(one), await begun(two)];
  const [first = '', second = ''] = ids;
  const wrong = sampleReading(first, 20, 1.025);
  expect(await file(wrong, sampleReading(first, 12, 1.01), sampleReading(second, 12, 1.012))).toBe(201);
  expect(await file(sampleEntry(first, 'corrected', 11, { entryId: wrong.id, replacement: null }))).toBe(201);
  expect(await file(sampleEntry(second, 'racked', 2, { vessels: [{ vesselId: jar, volumeL: 19 }], lossL: 1 }))).toBe(201);
  return ids;
}

describe('what is kept beside the log', () => {
  it('is what the log folds into, after every act, and so are the litres in vessels', async () => {
    await acted();
    const logs = new Map((await listed('/api/batches?with=logs')).map((b) => [b.id, b.entries ?? []]));
    expect((await rows(KEPT)).map((row) => row['summary'])).toEqual([...logs.values()].map((log) => JSON.stringify(summarise(log))));
    const fills = [...logs].flatMap(([id, log]) => summarise(log).state.vessels.map((v) => `${id} ${v.vesselId} ${v.volumeL}`));
    const stored = (await rows('SELECT * FROM vessel_fills')).map((r) => `${r['batch_id']} ${r['vessel_id']} ${r['volume_l']}`);
    expect([...stored].sort()).toEqual([...fills].sort());
  });
  it('holds a vessel once, though an entry names it twice', async () => {
    const [first = ''] = await acted();
    const [jar, other] = [await vessel('Tall'), await vessel('Wide')];
    const vessels = [jar, other, jar].map((vesselId) => ({ vesselId, volumeL: 6 }));
    expect(await file(sampleEntry(first, 'racked', 2, { vessels, lossL: 1 }))).toBe(201);
    expect((await rows(`SELECT vessel_id FROM vessel_fills WHERE batch_id = '${first}'`)).map((r) => r['vessel_id']).sort()).toEqual([jar, other].sort());
  });
  it('is what a list gives, without the logs', async () => {
    await acted();
    const [short, long] = [await listed(), await listed('/api/batches?with=logs')];
    expect(short.map((b) => b.entries)).toEqual([null, null]);
    expect(short.map((b) => b.summary)).toEqual(long.map((b) => b.summary));
  });
  it('is folded anew where it is missing, behind its log or of an older fold, and made anew byte for byte at the next opening', async () => {
    const [first = '', second = ''] = await acted();
    const whole = await listed();
    const kept = await rows(KEPT);
    await rows(`UPDATE batch_summaries SET summary = '{}', fold_version = 0 WHERE batch_id = '${first}'`);
    await rows(`UPDATE batch_summaries SET summary = '{}', head_seq = head_seq - 1 WHERE batch_id = '${second}'`);
    expect(await listed()).toEqual(whole);
    await rows(`DELETE FROM batch_summaries WHERE batch_id = '${second}'`);
    expect(await listed()).toEqual(whole);
    const book = connect({ file: join(server.dataDir, FILES.book) });
    initModels(book);
    try {
      expect([...(await summaryStore.differing(book))].sort()).toEqual([first, second].sort());
      expect(await summaryStore.freshen(book)).toBe(2);
      expect(await rows(KEPT)).toEqual(kept);
      expect(await summaryStore.freshen(book)).toBe(0);
      expect(await summaryStore.freshen(book, 'all')).toBe(2);
      expect(await rows(KEPT)).toEqual(kept);
      expect(await summaryStore.differing(book)).toEqual([]);
    } finally {
      await book.close();
    }
  });
  it('is unwound with the write that failed', async () => {
    const [first = ''] = await acted();
    const kept = await rows(KEPT);
    // The second of them does not add up, so neither is filed.
    expect(await file(sampleReading(first, 5, 1.001), sampleEntry(first, 'opened', 1, { kindId: 'crown-500', count: 3 }))).toBe(422);
    expect(await rows(KEPT)).toEqual(kept);
  });
});

it('the list is kept ready to send, and is what is in the book after everything that is written', async () => {
  const [id = ''] = await acted();
  const asked = (etag = ''): Promise<Response> => fetch(`${server.url}/api/batches`, { headers: { 'If-None-Match': etag, 'Cache-Control': 'max-age=0' } });
  const first = await asked();
  const etag = first.headers.get('etag') ?? '';
  const kept = (await first.json()) as readonly Listed[];
  expect((await asked(etag)).status).toBe(304);
  expect(await file(sampleReading(id, 1, 1.001))).toBe(201);
  const after = await asked(etag);
  expect(after.status).toBe(200);
  const logs = await listed('/api/batches?with=logs');
  expect(await after.json()).toEqual(logs.map((batch) => ({ ...batch, entries: null })));
  await begun(await vessel('New'));
  expect(await listed()).toHaveLength(kept.length + 1);
});
