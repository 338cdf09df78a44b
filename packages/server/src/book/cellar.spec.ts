import { readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BookComparison, CellarStatus } from '@trug/contract';
import { ulid } from 'ulid';
import yazl from 'yazl';
import { withRaw, type SqlRow } from '../db/raw-database.js';
import { ARCHIVED_TABLES } from './archive/table-schemas.js';
import { sampleBatch, sampleFill, sampleNote, sampleReading } from '../testing/sample-entries.js';
import { startTestServer, type TestServer } from '../testing/test-server.js';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.remove());

const status = async (): Promise<CellarStatus> => (await server.request('GET', '/api/cellar')).body as CellarStatus;
const compare = (source: string, name: string): ReturnType<TestServer['request']> => server.request('POST', '/api/cellar/compare', { source, name });
const restore = (source: string, name: string): ReturnType<TestServer['request']> => server.request('POST', '/api/cellar/restore', { source, name });

async function filledCellar(to: TestServer = server): Promise<string> {
  const batch = sampleBatch();
  await to.request('POST', '/api/batches', {
    batches: [batch],
    entries: [sampleFill(batch.id), sampleReading(batch.id, 20, 1.02), sampleNote(batch.id, 'a, "b"\r\nc; Ünïcode 💧')],
  });
  await to.request('POST', '/api/vessels', { id: ulid(), name: 'Jar', kind: 'jar', capacityL: 5 });
  await to.request('POST', '/api/supplies', {
    id: ulid(),
    version: 0,
    kind: 'sugar',
    refId: null,
    name: 'Sugar',
    amount: 1,
    unit: 'g',
    packetG: null,
    bestBefore: null,
  });
  const device = {
    id: ulid(),
    version: 0,
    kind: 'floating-hydrometer',
    name: 'Float',
    calibratedAtC: 20,
    offset: 0,
    checkedOn: null,
    posts: true,
    batchId: batch.id,
  };
  await to.request('POST', '/api/instruments', device);
  await to.request('POST', `/api/devices/${device.id}/readings`, [
    { at: '2026-11-20T08:00:00Z', sg: 1.04 },
    { at: '2026-11-20T09:00:00Z', tempC: 12.5 },
  ]);
  return batch.id;
}

async function archive(from: TestServer = server): Promise<Uint8Array> {
  return new Uint8Array(await (await fetch(`${from.url}/api/cellar/archive`)).arrayBuffer());
}
async function look(
  zip: Uint8Array<ArrayBuffer> | Uint8Array,
  at: TestServer = server,
): Promise<{ readonly status: number; readonly body: BookComparison & { readonly detail: string } }> {
  const response = await fetch(`${at.url}/api/cellar/archive`, {
    method: 'POST',
    headers: { 'content-type': 'application/zip' },
    body: zip as Uint8Array<ArrayBuffer>,
  });
  return { status: response.status, body: (await response.json()) as BookComparison & { readonly detail: string } };
}

async function tables(dataDir: string): Promise<Readonly<Record<string, readonly SqlRow[]>>> {
  return withRaw(join(dataDir, 'trug.sqlite'), 'read', async (db) =>
    Object.fromEntries(await Promise.all(ARCHIVED_TABLES.map(async (table) => [table, await db.all(`SELECT * FROM ${table} ORDER BY 1, 2`)] as const))),
  );
}

describe('a backup', () => {
  it('is made by itself and on demand, and says what going back would lose before it does', async () => {
    const batch = await filledCellar();
    expect((await server.request('POST', '/api/cellar/backups', {})).status).toBe(201);
    const [backup] = (await status()).backups;
    await server.request('POST', '/api/entries', { entries: [sampleNote(batch, 'after it')] });
    expect(await compare('backup', backup?.name ?? '')).toMatchObject({
      status: 200,
      body: { sameCellar: true, lost: { entries: 1, batches: 0 }, gained: { entries: 0 }, losing: [{ name: 'Carton', entries: 1 }] },
    });
    const { cellarId } = await status();
    expect(await restore('backup', backup?.name ?? '')).toMatchObject({ status: 200, body: { mode: 'open', cellarId, counts: { entries: 3 } } });
    // Writing goes on at once, and what was replaced is kept.
    expect((await server.request('POST', '/api/entries', { entries: [sampleNote(batch, 'on')] })).status).toBe(201);
    expect(readdirSync(join(server.dataDir, 'kept'))).toHaveLength(1);
  });
  it.each(['../trug.sqlite', 'trug.sqlite', '.', 'trug-2026-01-01T00-00-00-000Z.sqlite'])('is not looked for at %s', async (name) => {
    expect((await compare('backup', name)).status).toBeGreaterThanOrEqual(400);
    expect((await restore('backup', name)).status).toBeLessThan(500);
  });
  it('that is damaged itself takes nobody’s place', async () => {
    await filledCellar();
    const made = (await server.request('POST', '/api/cellar/backups', {})).body as { name: string };
    writeFileSync(join(server.dataDir, 'backups', made.name), 'SQLite format 3\0 and then nothing');
    expect(await restore('backup', made.name)).toMatchObject({ status: 422, body: { detail: expect.stringContaining('damaged itself') as string } });
    expect((await status()).counts?.entries).toBe(3);
  });
  it('is made as often as it is asked for while the clock stands still, and the last one is there', async () => {
    await filledCellar();
    for (let times = 0; times < 4; times += 1) {
      const made = await server.request('POST', '/api/cellar/backups', {});
      expect(made.status).toBe(201);
      expect(readdirSync(join(server.dataDir, 'backups'))).toContain((made.body as { name: string }).name);
    }
  });
  it('goes to a folder of the maker’s choice, and says why it cannot', async () => {
    const elsewhere = join(server.dataDir, '..', `${ulid()}-backups`);
    expect(await server.request('PUT', '/api/cellar/backup-folder', { backupDir: elsewhere })).toMatchObject({ status: 200, body: { backupDir: elsewhere } });
    expect((await server.request('POST', '/api/cellar/backups', {})).status).toBe(201);
    expect(readdirSync(elsewhere)).toHaveLength(1);
    for (const backupDir of ['relative', join(server.dataDir, 'trug.sqlite', 'inside')]) {
      expect(await server.request('PUT', '/api/cellar/backup-folder', { backupDir })).toMatchObject({ status: 422, body: { fields: [{ path: 'backupDir' }] } });
    }
    rmSync(elsewhere, { recursive: true });
  });
});

describe('an archive', () => {
  it('is equal table by table after it went into an empty folder', async () => {
    await filledCellar();
    await server.request('PUT', '/api/settings', { ...((await server.request('GET', '/api/settings')).body as object), volume: 'us-gal' });
    const zip = await archive();
    const house = await startTestServer();
    const looked = await look(zip, house);
    expect(looked).toMatchObject({
      status: 200,
      body: { sameCellar: false, lost: { entries: 0 }, gained: { entries: 3, batches: 1, vessels: 1, readings: 2 } },
    });
    expect((await house.request('POST', '/api/cellar/restore', { source: 'import', name: looked.body.name })).status).toBe(200);
    expect(await tables(house.dataDir)).toEqual(await tables(server.dataDir));
    await house.remove();
  });
  it('takes along what cannot be read, as it is', async () => {
    const batch = await filledCellar();
    await withRaw(join(server.dataDir, 'trug.sqlite'), 'write', (db) => db.run(`UPDATE entries SET payload = '{"text":' WHERE kind = 'note'`));
    const zip = await archive();
    const house = await startTestServer();
    const { body } = await look(zip, house);
    await house.request('POST', '/api/cellar/restore', { source: 'import', name: body.name });
    expect((await house.request('GET', `/api/batches/${batch}`)).body).toMatchObject({ unreadable: [{ where: 'entries' }] });
    expect(await tables(house.dataDir)).toEqual(await tables(server.dataDir));
    await house.remove();
  });

  /** The tables of a right archive, to be spoiled. */
  const head = (table: string, rows = ''): string => `${COLUMNS[table] ?? ''}\r\n${rows}`;
  const COLUMNS: Readonly<Record<string, string>> = {
    cellar: 'key,value',
    batches: 'id,name,method_id,tape,started_at',
    entries: 'id,batch_id,kind,at,written_at,note,payload,seq,payload_version,digest',
    vessels: 'id,name,kind,capacity_l,cleaned_at',
    settings: 'id,version,choices',
    juices: 'id,version,facts',
    supplies: 'id,version,facts',
    places: 'id,version,facts',
    instruments: 'id,version,facts',
    device_readings: 'device_id,at_s,batch_id,sg,temp_c,ph,mass_g,made_up',
  };
  const described = (changes: object = {}): string =>
    JSON.stringify({
      name: 'trug-cellar',
      steps: ['0001-create-batches'],
      resources: Object.entries(COLUMNS).map(([table, columns]) => ({
        path: `${table}.csv`,
        schema: { fields: columns.split(',').map((name) => ({ name })) },
      })),
      ...changes,
    });
  async function zipOf(files: Readonly<Record<string, string | Buffer>>): Promise<Uint8Array> {
    const zip = new yazl.ZipFile();
    for (const [name, text] of Object.entries(files)) zip.addBuffer(Buffer.from(text), name);
    zip.end();
    const chunks: Buffer[] = [];
    for await (const chunk of zip.outputStream) chunks.push(chunk as Buffer);
    return new Uint8Array(Buffer.concat(chunks));
  }
  const whole = (changes: Readonly<Record<string, string | Buffer>> = {}): Readonly<Record<string, string | Buffer>> => ({
    'datapackage.json': described(),
    ...Object.fromEntries(Object.keys(COLUMNS).map((table) => [`${table}.csv`, head(table, table === 'cellar' ? `id,${ulid()}\r\n` : '')])),
    ...changes,
  });
  const BATCH = '01J00000000000000000000000';
  const hostile: readonly (readonly [string, () => Promise<Uint8Array> | Uint8Array, RegExp])[] = [
    ['no zip', () => new TextEncoder().encode('hello'), /no whole zip/],
    ['cut short', async () => (await zipOf(whole())).slice(0, 400), /no whole zip/],
    ['of something else', () => zipOf({ ...whole(), 'datapackage.json': described({ name: 'weather' }) }), /something else/],
    ['without a description', () => zipOf({ 'batches.csv': head('batches') }), /no datapackage/],
    ['of a newer Trug', () => zipOf(whole({ 'datapackage.json': described({ steps: ['0001-create-batches', '9999-later'] }) })), /newer Trug/],
    ['with a stray file', () => zipOf(whole({ 'virus.exe': 'x' })), /does not belong/],
    ['without a table', () => zipOf(Object.fromEntries(Object.entries(whole()).filter(([name]) => name !== 'entries.csv'))), /entries\.csv is missing/],
    [
      'without a table that its book had',
      () => zipOf(whole({ 'datapackage.json': described({ steps: ['0001-create-batches', '0010-create-recipes'] }) })),
      /recipes\.csv is missing/,
    ],
    ['with an unknown column', () => zipOf(whole({ 'vessels.csv': 'id,name,kind,capacity_l,cleaned_at,age\r\n' })), /line 1 of vessels/],
    ['with a row too short', () => zipOf(whole({ 'vessels.csv': head('vessels', 'x,y\r\n') })), /line 2 of vessels\.csv does not have 5 columns/],
    ['with a figure as text', () => zipOf(whole({ 'vessels.csv': head('vessels', `${BATCH},Jar,jar,five,\r\n`) })), /capacity_l is no number/],
    ['with a vessel of no kind', () => zipOf(whole({ 'vessels.csv': head('vessels', `${BATCH},Jar,bathtub,5,\r\n`) })), /line 2 of vessels/],
    [
      'with an entry of no batch',
      () =>
        zipOf(
          whole({ 'entries.csv': head('entries', `${BATCH},${BATCH},note,2026-01-01T00:00:00.000Z,2026-01-01T00:00:00.000Z,,"{""text"":""x""}",1,1,\r\n`) }),
        ),
      /does not fit the rest/,
    ],
    [
      'with an entry of 30 February',
      () =>
        zipOf(
          whole({ 'entries.csv': head('entries', `${BATCH},${BATCH},note,2026-02-30T00:00:00.000Z,2026-01-01T00:00:00.000Z,,"{""text"":""x""}",1,1,\r\n`) }),
        ),
      /line 2 of entries/,
    ],
    ['a bomb', () => zipOf(whole({ 'entries.csv': Buffer.alloc(60_000_000) })), /far too large/],
    ['that climbs out of its folder', async () => climbing(await zipOf(whole({ 'aaaaaaaaaaaaaaaa.csv': 'x' }))), /list of files is damaged|does not belong/],
  ];
  /** The same archive with a name in it that climbs out. */
  function climbing(zip: Uint8Array): Uint8Array {
    const text = Buffer.from(zip).toString('latin1').replaceAll('aaaaaaaaaaaaaaaa.csv', '../../../../evil.csv');
    return new Uint8Array(Buffer.from(text, 'latin1'));
  }
  it.each(hostile)('%s changes nothing and says why', async (_what, make, why) => {
    await filledCellar();
    const before = await tables(server.dataDir);
    const { status: code, body } = await look(await make());
    expect(code).toBe(400);
    expect(body.detail).toMatch(why);
    expect(await tables(server.dataDir)).toEqual(before);
    expect(readdirSync(join(server.dataDir, 'imports'))).toEqual([]);
  });
  it('whose tables were edited by hand is taken by its contract', async () => {
    const row = `${BATCH},Jar,jar,5,\r\n`;
    const { status: code, body } = await look(await zipOf(whole({ 'vessels.csv': head('vessels', row) })));
    expect({ code, body }).toMatchObject({ code: 200, body: { counts: { vessels: 1 } } });
  });
});

describe('readings', () => {
  it('are given out as CSV and JSON with a schema of every column', async () => {
    const batch = await filledCellar();
    const json = (await (await fetch(`${server.url}/api/readings?batch=${batch}`)).json()) as Record<string, unknown>[];
    expect(json).toHaveLength(3);
    expect(json.find((r) => r['by'] === 'maker')).toMatchObject({ reading: 1.02, instrument: 'hydrometer', tempC: 18 });
    const schema = (await (await fetch(`${server.url}/api/readings/schema`)).json()) as { items: { properties: object } };
    for (const reading of json) expect(Object.keys(reading)).toEqual(Object.keys(schema.items.properties));
    const csv = await (await fetch(`${server.url}/api/readings?batch=${batch}&format=csv`)).text();
    expect(csv.split('\r\n')).toHaveLength(5);
    expect((await fetch(`${server.url}/api/readings?batch=${batch}&format=xml`)).status).toBe(400);
    expect((await fetch(`${server.url}/api/readings?batch=${ulid()}`)).status).toBe(404);
  });
});
