import { join } from 'node:path';
import type { BatchWithLog } from '@trug/contract';
import { effectiveEntries, type Entry } from '@trug/core';
import { ulid } from 'ulid';
import { withRaw } from '../db/raw-database.js';
import { sampleBatch, sampleEntry, sampleFill, sampleNote, sampleReading } from '../testing/sample-entries.js';
import { startTestServer, type TestServer } from '../testing/test-server.js';
import { liftPayload, payloadVersionOf } from './lift-payload.js';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.remove());

async function begun(...more: readonly ((id: string) => object)[]): Promise<string> {
  const batch = sampleBatch();
  const { status } = await server.request('POST', '/api/batches', { batches: [batch], entries: [sampleFill(batch.id), ...more.map((make) => make(batch.id))] });
  expect(status).toBe(201);
  return batch.id;
}
const file = (...entries: readonly object[]): ReturnType<TestServer['request']> => server.request('POST', '/api/entries', { entries });
const batchOf = async (id: string): Promise<BatchWithLog> => (await server.request('GET', `/api/batches/${id}`)).body as BatchWithLog;
const correction = (target: { readonly id: string; readonly batchId: string }, changes: Partial<Entry>, replacement: unknown): object => ({
  ...sampleEntry(target.batchId, 'corrected', 0, { entryId: target.id, replacement: null }),
  ...changes,
  payload: { entryId: target.id, replacement },
});
const says = (text: string): object => ({ kind: 'note', at: '2026-11-22T10:00:00.000Z', note: '', payload: { text } });
const sql = (text: string): Promise<void> => withRaw(join(server.dataDir, 'trug.sqlite'), 'write', (db) => db.exec(text));

describe('which of two corrections counts', () => {
  it('goes by which was filed last, whatever clocks and ids say', async () => {
    const id = await begun();
    const note = sampleNote(id, 'one');
    await file(note);
    // The later correction comes from a machine whose clock was set back, with an older id.
    const old = ulid(Date.parse('2020-01-01'));
    await file(correction(note, { writtenAt: '2026-11-23T09:59:00.000Z', id: ulid(Date.parse('2027-01-01')) } as Partial<Entry>, says('two')));
    await file(correction(note, { writtenAt: '2026-11-23T06:00:00.000Z', id: old } as Partial<Entry>, says('three')));
    const { entries } = effectiveEntries((await batchOf(id)).entries);
    expect(entries.find((e) => e.id === note.id)?.payload).toEqual({ text: 'three' });
  });
});

describe('an entry written while the clock was wrong', () => {
  /** As a Trug whose clock stood 90 days ahead had filed it. */
  async function ahead(id: string): Promise<{ readonly id: string; readonly batchId: string }> {
    const note = sampleNote(id, 'from the future');
    await file(note);
    await sql(`UPDATE entries SET at = '2027-02-21T10:00:00.000Z', written_at = '2027-02-21T10:00:00.000Z', digest = NULL WHERE id = '${note.id}'`);
    return note;
  }
  it('can be struck out and put right, and does not keep its batch from going on', async () => {
    const id = await begun();
    const [struck, moved] = [await ahead(id), await ahead(id)];
    expect((await file(sampleReading(id, 1, 1.03))).status).toBe(201);
    expect((await file(correction(struck, {}, null))).status).toBe(201);
    expect((await file(correction(moved, {}, says('now')))).status).toBe(201);
    const { entries } = effectiveEntries((await batchOf(id)).entries);
    expect(entries.find((e) => e.id === struck.id)).toBeUndefined();
    expect(entries.find((e) => e.id === moved.id)?.at).toBe('2026-11-22T10:00:00.000Z');
  });
  it('cannot be moved further ahead, even by a correction', async () => {
    const id = await begun();
    const note = sampleNote(id, 'x');
    await file(note);
    const late = { ...says('later'), at: '2027-06-01T10:00:00.000Z' };
    expect(await file(correction(note, {}, late))).toMatchObject({ status: 422, body: { detail: expect.stringContaining('2027-06-01') as string } });
  });
  it('names the maker’s own day when it refuses one to come', async () => {
    const settings = (await server.request('GET', '/api/settings')).body as { version: number };
    await server.request('PUT', '/api/settings', { ...settings, timeZone: 'Pacific/Auckland', timeZoneChosen: true });
    const id = await begun();
    const note = { ...sampleNote(id, 'x'), at: '2026-12-24T20:00:00.000Z' };
    expect((await file(note)).body).toMatchObject({ detail: expect.stringContaining('2026-12-25') as string });
  });
  it.each(['0001-01-01T00:00:00.000Z', '9999-12-31T00:00:00.000Z', '2026-02-30T10:00:00.000Z', '2026-11-23'])('is refused when it is dated %s', async (at) => {
    const id = await begun();
    expect((await file({ ...sampleNote(id, 'x'), at })).status).toBe(400);
    expect((await file({ ...sampleNote(id, 'x'), writtenAt: at })).status).toBe(400);
    expect((await file(correction(sampleNote(id, 'x'), {}, { ...says('y'), at }))).status).toBe(400);
  });
});

describe('a vessel', () => {
  const into = (vesselId: string) => (id: string) => ({ ...sampleFill(id), payload: { ...sampleFill(id).payload, vessels: [{ vesselId, volumeL: 5 }] } });
  async function fillAnother(vesselId: string): Promise<{ readonly status: number; readonly body: unknown }> {
    const batch = sampleBatch();
    return server.request('POST', '/api/batches', { batches: [batch], entries: [into(vesselId)(batch.id)] });
  }
  it('is filled once, and free again once it is empty', async () => {
    const vesselId = ulid();
    await server.request('POST', '/api/vessels', { id: vesselId, name: 'Back jar', kind: 'jar', capacityL: 5 });
    const batch = sampleBatch();
    await server.request('POST', '/api/batches', { batches: [{ ...batch, name: 'Gate Blend' }], entries: [into(vesselId)(batch.id)] });
    expect(await fillAnother(vesselId)).toMatchObject({
      status: 422,
      body: { detail: 'Back jar is taken: Gate Blend stands in it. Choose another, or empty it first.' },
    });
    expect((await file(sampleEntry(batch.id, 'discarded', 1, { volumeL: 20, why: 'vinegar' }))).status).toBe(201);
    expect((await fillAnother(vesselId)).status).toBe(201);
  });
  it('is not filled twice by two that ask at once', async () => {
    const vesselId = ulid();
    const both = await Promise.all([fillAnother(vesselId), fillAnother(vesselId), fillAnother(vesselId)]);
    expect(both.map((r) => r.status).sort()).toEqual([201, 422, 422]);
  });
  it('is not taken back from under another by striking out what emptied it', async () => {
    const vesselId = ulid();
    const first = sampleBatch();
    await server.request('POST', '/api/batches', { batches: [first], entries: [into(vesselId)(first.id)] });
    const emptied = sampleEntry(first.id, 'discarded', 1, { volumeL: 20, why: 'vinegar' });
    await file(emptied);
    await fillAnother(vesselId);
    expect((await file(correction(emptied, {}, null))).status).toBe(422);
  });
});

describe('a repeat', () => {
  it('of a change of a card or of the settings is the same answer', async () => {
    const card = { id: ulid(), version: 0, kind: 'sugar', refId: null, name: 'Sugar', amount: 1, unit: 'g', packetG: null, bestBefore: null };
    await server.request('POST', '/api/supplies', card);
    const changed = { ...card, version: 1, amount: 2 };
    const once = await server.request('PUT', `/api/supplies/${card.id}`, changed);
    expect(await server.request('PUT', `/api/supplies/${card.id}`, changed)).toMatchObject({ status: 200, body: once.body });
    expect((await server.request('PUT', `/api/supplies/${card.id}`, { ...changed, amount: 3 })).status).toBe(409);
    const settings = (await server.request('GET', '/api/settings')).body as object;
    const chosen = { ...settings, theme: 'lamplight' };
    const first = await server.request('PUT', '/api/settings', chosen);
    expect(await server.request('PUT', '/api/settings', chosen)).toMatchObject({ status: 200, body: first.body });
  });
});

describe('one damaged row', () => {
  it.each([
    ['garbled', `payload = '{"text":'`, /garbled/],
    ['changed', `payload = '{"text":"something else"}'`, /not as it was written/],
    ['dated otherwise', `at = '2026-01-01T00:00:00.000Z'`, /not as it was written/],
    ['of no kind', `kind = 'distilled'`, /does not know \(distilled\)/],
    ['of a later form', 'payload_version = 9', /newer Trug/],
    ['old and wrong', `payload = '{"text":7}', digest = NULL`, /text/],
  ])('in a log (%s) costs that row, is named, and everything else goes on', async (_what, change, why) => {
    const id = await begun();
    const note = sampleNote(id, 'remember');
    await file(note);
    await sql(`UPDATE entries SET ${change} WHERE id = '${note.id}'`);
    const batch = await batchOf(id);
    expect(batch.entries).toHaveLength(1);
    expect(batch.unreadable).toEqual([
      { where: 'entries', id: note.id, batchId: id, at: expect.any(String) as string, why: expect.stringMatching(why) as string },
    ]);
    expect((await server.request('GET', '/api/batches')).status).toBe(200);
    expect((await file(sampleReading(id, 1, 1.03))).status).toBe(201);
    expect((await file(note)).status).toBe(409);
    expect((await server.request('GET', '/api/cellar')).body).toMatchObject({
      unreadable: expect.arrayContaining([expect.objectContaining({ id: note.id })]) as unknown,
    });
    // It is kept as it is, should anyone find out how to read it.
    await sql(`DELETE FROM entries WHERE id = '${note.id}'`);
  });
  it('among cards and settings costs that card or choice', async () => {
    const card = { id: ulid(), version: 0, kind: 'sugar', refId: null, name: 'Sugar', amount: 1, unit: 'g', packetG: null, bestBefore: null };
    await server.request('POST', '/api/supplies', card);
    const other = { ...card, id: ulid() };
    await server.request('POST', '/api/supplies', other);
    await sql(`UPDATE supplies SET facts = '{"name":7' WHERE id = '${card.id}'`);
    const listed = (await server.request('GET', '/api/supplies')).body as { id: string }[];
    expect(listed.map((c) => c.id)).toContain(other.id);
    expect(listed.map((c) => c.id)).not.toContain(card.id);
    const settings = (await server.request('GET', '/api/settings')).body as { version: number };
    await server.request('PUT', '/api/settings', { ...settings, volume: 'us-gal' });
    await sql(`UPDATE settings SET choices = json_set(choices, '$.theme', 'dusk')`);
    expect((await server.request('GET', '/api/settings')).body).toMatchObject({ volume: 'us-gal', theme: 'system' });
    expect((await server.request('GET', '/api/cellar')).body).toMatchObject({
      unreadable: expect.arrayContaining([
        expect.objectContaining({ where: 'supplies', id: card.id }),
        expect.objectContaining({ where: 'settings' }),
      ]) as unknown,
    });
  });
});

describe('payloads of an earlier form', () => {
  it('keep what they say: a juice poured before acids had a background has none', () => {
    const poured = { parts: [{ name: 'Russet', liquid: { malicGPerL: 5 } }], tempC: null };
    expect(liftPayload('blended', 1, poured)).toEqual({ parts: [{ name: 'Russet', liquid: { malicGPerL: 5, backgroundMmolPerL: 0 } }], tempC: null });
    expect(payloadVersionOf('blended')).toBe(2);
    for (const odd of [null, 7, {}, { parts: 'none' }, { parts: [null] }]) expect(liftPayload('blended', 1, odd)).toEqual(odd);
  });
  const upcasters = { note: [(p: unknown) => ({ text: String(p) }), (p: unknown) => ({ ...(p as object), loud: false })] };
  it('are lifted step by step, and those of a later one are left alone', () => {
    expect(liftPayload('note', 1, 'hm', upcasters)).toEqual({ text: 'hm', loud: false });
    expect(liftPayload('note', 2, { text: 'hm' }, upcasters)).toEqual({ text: 'hm', loud: false });
    expect(liftPayload('note', 3, { text: 'hm', loud: true }, upcasters)).toEqual({ text: 'hm', loud: true });
    for (const version of [0, 4, Number.NaN]) expect(liftPayload('note', version, {}, upcasters)).toBeUndefined();
    expect(payloadVersionOf('note', upcasters)).toBe(3);
    expect(payloadVersionOf('reading', upcasters)).toBe(1);
  });
});

describe('a batch called otherwise', () => {
  const listed = async (id: string): Promise<BatchWithLog | undefined> =>
    ((await server.request('GET', '/api/batches')).body as readonly BatchWithLog[]).find((batch) => batch.id === id);
  it('is listed and given so, and as it was once that is struck out', async () => {
    const id = await begun();
    const was = await batchOf(id);
    const renamed = sampleEntry(id, 'renamed', 1, { name: 'Gate row', tape: 'moss', was: { name: was.name, tape: was.tape } });
    expect((await file(renamed)).status).toBe(201);
    expect(await listed(id)).toMatchObject({ name: 'Gate row', tape: 'moss' });
    expect(await batchOf(id)).toMatchObject({ name: 'Gate row', tape: 'moss' });
    await file(correction(renamed, {}, null));
    expect(await listed(id)).toMatchObject({ name: was.name, tape: was.tape });
  });
  it('needs a name and a tape that there is', async () => {
    const id = await begun();
    const was = { name: 'Gate', tape: 'straw' };
    for (const called of [
      { name: '', tape: 'moss' },
      { name: 'Gate', tape: 'tartan' },
      { name: 'x'.repeat(61), tape: 'moss' },
    ]) {
      expect((await file(sampleEntry(id, 'renamed', 1, { ...called, was }))).status).toBe(400);
    }
    expect((await batchOf(id)).entries).toHaveLength(1);
  });
});
