import { judgeState, nextJobs, methodById, replay, yeastById, type Entry, type Verdict } from '@trug/core';
import { startTestServer, type TestServer } from '../testing/test-server.js';
import { makeSeason } from './make-season.js';
import { DEMO_SEASON } from './season.js';

interface Told {
  readonly id: string;
  readonly name: string;
  readonly methodId: string;
  readonly entries: readonly Entry[];
}

let server: TestServer;
let batches: readonly Told[] = [];
const NOW = '2026-11-23T10:00:00.000Z';
beforeAll(async () => {
  server = await startTestServer();
  await makeSeason(server.url);
  batches = (await server.request('GET', '/api/batches?with=logs')).body as Told[];
});
afterAll(() => server.remove());

const told = (name: string): Told => batches.find((b) => b.name === name) ?? failed(name);
const verdictOf = (name: string): Verdict | null => judgeState(replay(told(name).entries), NOW)?.value ?? null;
function failed(name: string): never {
  throw new Error(`there is no ${name}`);
}

describe('the demo season', () => {
  it('is told whole, and every entry of it adds up', () => {
    expect(batches.map((b) => b.name).sort()).toEqual(DEMO_SEASON.map((s) => s.name).sort());
    for (const batch of batches) expect(replay(batch.entries).issues).toEqual([]);
  });
  it.each([
    ['Carton No. 4', 'working'],
    ['North Wall Wild', 'working'],
    ['Hollow Wild', 'stalled'],
    ['Gate Blend', 'finished-dry'],
    ['Gate B', 'too-few-readings'],
    ['Lane Perry', 'settled-short'],
  ])('%s is judged %s', (name, status) => {
    expect(verdictOf(name)?.status).toBe(status);
  });
  it('has one waiting out its sulfite, one conditioning with a test bottle, one half drunk and one in the keg', () => {
    expect(replay(told('Terrace Must').entries)).toMatchObject({ stage: 'settle', pitchedAt: null });
    expect(replay(told('Kitchen Fizz').entries).crates[0]).toMatchObject({ testBottle: true, sparkling: true });
    const [still, lively] = replay(told('Old Terrace').entries).crates;
    expect(still).toMatchObject({ sparkling: false, capColour: 'straw', lots: [{ kindId: 'crown-330', filled: 11, left: 8 }] });
    expect(lively).toMatchObject({ sparkling: true, capColour: 'slate', lots: [{ kindId: 'crown-500', filled: 19, left: 4 }] });
    expect(replay(told('Keg of the Row').entries).keg).toMatchObject({ volumeL: 18.6, storeC: 4 });
  });
  it('has two lots of one batch, a trial with its tasters, a keeve that came to nothing and tastings over months', () => {
    const acts = <K extends Entry['kind']>(name: string, kind: K): readonly Extract<Entry, { kind: K }>[] =>
      told(name).entries.filter((e): e is Extract<Entry, { kind: K }> => e.kind === kind);
    expect(replay(told('Old Terrace').entries).crates).toHaveLength(2);
    expect(batches.flatMap((b) => acts(b.name, 'trialled')).length).toBeGreaterThan(0);
    const keeve = acts('Hollow Wild', 'stepped').filter((e) => e.payload.plan === 'keeve');
    expect(keeve.map((e) => e.payload.step)).toEqual([1, 2, 3]);
    expect(keeve.at(-1)?.payload.done).toContain('No cap came');
    const tasted = batches.map((b) => acts(b.name, 'tasted').map((e) => Date.parse(e.at)));
    const spans = tasted.filter((days) => days.length > 1).map((days) => (Math.max(...days) - Math.min(...days)) / 86_400_000);
    expect(Math.max(...spans)).toBeGreaterThan(60);
  });
  it('gives the jobs list something in every group', () => {
    const urgencies = batches.flatMap((b) => {
      const state = replay(b.entries);
      return nextJobs({
        batchId: b.id,
        batchName: b.name,
        state,
        verdict: judgeState(state, NOW)?.value ?? null,
        method: methodById(b.methodId),
        today: NOW,
      }).map((j) => j.urgency);
    });
    expect(new Set(urgencies)).toEqual(new Set(['overdue', 'today', 'week', 'later']));
  });
  it('comes out alike every time', async () => {
    const again = await startTestServer();
    await makeSeason(again.url);
    expect((await again.request('GET', '/api/batches?with=logs')).body).toEqual(batches);
    await again.remove();
  });
  it('names only kinds of yeast and no packets', () => {
    for (const story of DEMO_SEASON) for (const step of story.then) if (step.pitch) expect(yeastById(step.pitch[0]).name).toMatch(/type|Wild|like|Baking/);
  });
});
