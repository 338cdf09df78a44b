import type { HTTPRequest, Page } from 'puppeteer-core';
import { Bench } from '../pages/bench';
import { DESK, TestTrug } from '../support/trug';

/** A form, how it is filled in, and the words of its main button. */
interface Form {
  readonly what: string;
  readonly path: string;
  readonly fill: (bench: Bench) => Promise<void>;
  readonly press: string;
  /** Where what it files is counted. */
  /** Whether what arrived is seen in the form itself, so that there is nothing left to press, or another thing to press for. */
  readonly seesIt?: boolean;
  readonly counted: 'entries' | 'batches' | 'juices' | 'supplies' | 'places' | 'instruments' | 'vessels';
}

const TODAY = '2026-11-23';
let trug: TestTrug;
let ids: ReadonlyMap<string, string>;
beforeAll(async () => {
  trug = new TestTrug();
  await trug.start(TODAY, true);
  // A must without yeast, in no vessel.
  const [id, when] = ['01K00000000000000000000FRE', `${TODAY}T08:00:00.000Z`];
  const gravity = { instrument: 'hydrometer', reading: 1.046, sampleC: 20, calibratedAtC: 20, offsetSg: 0 };
  const filled = { source: 'carton', fruit: 'apple', volumeL: 4, gravity, ph: null, taGPerL: null, tanninGPerL: null, yanMgPerL: null, vessels: [], tempC: 18 };
  const entry = { id: '01K0000000000000000000FRE1', batchId: id, kind: 'filled', at: when, writtenAt: when, note: '', payload: filled };
  await trug.send('POST', '/api/batches', { id, name: 'Fresh', methodId: 'carton-quick', tape: 'leaf', startedAt: when, entries: [entry] });
  ids = new Map((await trug.ask<{ id: string; name: string }[]>('/api/batches')).map((b) => [b.name, b.id]));
});
afterAll(() => trug.stop());

let gravities = 0;
/** Each time a little more sugar. */
const nextGravity = (): string => `1.0${50 + 4 * (gravities += 1)}`;

const at = (batch: string, page: string): string => `/batch/${ids.get(batch) ?? ''}/${page}`;
const FORMS: readonly Form[] = [
  { what: 'a note', path: 'Gate Blend note', fill: (b) => b.fill('text', `seen ${Math.random()}`), press: 'Write it down', counted: 'entries' },
  { what: 'a reading', path: 'North Wall Wild read', fill: (b) => b.fill('place', '9 C'), press: 'Write it down', counted: 'entries' },
  {
    what: 'a move',
    path: 'Gate Blend move',
    fill: async (b) => {
      await b.fill('place', 'the porch');
      await b.fill('temp', '11 C');
    },
    press: 'Write it down',
    counted: 'entries',
  },
  { what: 'sugar', path: 'Fresh adjust', fill: (b) => b.fill('sg', nextGravity()), press: 'Write it down', seesIt: true, counted: 'entries' },
  { what: 'yeast', path: 'Fresh pitch', fill: () => Promise.resolve(), press: 'Pitch it', counted: 'entries' },
  {
    what: 'a juice',
    path: '/juice/new',
    fill: async (b) => {
      await b.fill('name', 'Hedge apples');
      await b.fill('volume', '7 L');
    },
    press: 'Write it down',
    counted: 'juices',
  },
  {
    what: 'a batch',
    path: '/new',
    fill: async (b) => {
      await b.fill('name', 'Once');
      await b.fill('volume', '4 L');
      await b.fill('sg', '1.048');
      await b.fill('abv', '6.5');
    },
    press: 'Begin it',
    seesIt: true,
    counted: 'batches',
  },
];

const open = async (bench: Bench, path: string): Promise<void> => {
  const [, batch = '', page = ''] = /^(.+) (\w+)$/.exec(path) ?? [];
  await bench.open(path.startsWith('/') ? path : at(batch, page));
};

/** How many there are of what a form files, the entries of all batches together. */
async function count(what: Form['counted']): Promise<number> {
  if (what !== 'entries') return (await trug.ask<unknown[]>(`/api/${what}`)).length;
  return (await trug.ask<{ entries: unknown[] }[]>('/api/batches')).reduce((sum, batch) => sum + batch.entries.length, 0);
}

/** Lets the next request that writes reach the server, and loses its answer on the way back. */
async function loseNextAnswer(page: Page): Promise<() => Promise<void>> {
  let lost = false;
  const handle = async (request: HTTPRequest): Promise<void> => {
    const writes = request.method() === 'POST' || request.method() === 'PUT';
    if (lost || !writes || !request.url().includes('/api/')) {
      await request.continue();
      return;
    }
    lost = true;
    const body = (await request.fetchPostData()) ?? '';
    await fetch(request.url(), { method: request.method(), headers: { 'content-type': 'application/json' }, body });
    await request.abort('connectionreset');
  };
  const listen = (request: HTTPRequest): void => void handle(request);
  await page.setRequestInterception(true);
  page.on('request', listen);
  return async () => {
    page.off('request', listen);
    await page.setRequestInterception(false);
  };
}

describe('what is pressed once is filed once', () => {
  it.each(FORMS)('$what, pressed twice', async ({ path, fill, press, counted }) => {
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await open(bench, path);
    await fill(bench);
    const before = await count(counted);
    await bench.pressTwice(press);
    await bench.until(async () => (await count(counted)) > before);
    await new Promise((resolve) => setTimeout(resolve, 700));
    expect((await count(counted)) - before).toBe(1);
    expect(faults).toEqual([]);
    await page.close();
  });

  it.each(FORMS.filter((f) => f.what !== 'yeast'))('$what, pressed again after its answer was lost', async ({ path, fill, press, counted, seesIt }) => {
    const { page } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await open(bench, path);
    await fill(bench);
    const before = await count(counted);
    const mend = await loseNextAnswer(page);
    await bench.press(press);
    await bench.says(/did not answer/, 'body');
    await mend();
    expect((await count(counted)) - before).toBe(1);
    // The page is even loaded anew in between: what was typed and what it was sent under are still there.
    await page.reload({ waitUntil: 'networkidle2' });
    await bench.press(press);
    if (seesIt === true) await new Promise((resolve) => setTimeout(resolve, 1500));
    else await bench.leaves(path.startsWith('/') ? path : (path.split(' ').at(-1) ?? ''));
    expect((await count(counted)) - before).toBe(1);
    await page.close();
  });

  it('a note that was changed after its answer was lost is shown in both versions', async () => {
    const { page } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await open(bench, 'Gate Blend note');
    await bench.fill('text', 'tastes of pears');
    const before = await count('entries');
    const mend = await loseNextAnswer(page);
    await bench.press('Write it down');
    await bench.says(/did not answer/, 'body');
    await mend();
    await bench.fill('text', 'tastes of quince');
    await bench.press('Write it down');
    await bench.says(/Two versions/, 'mat-dialog-container');
    expect(await bench.text('mat-dialog-container')).toMatch(/tastes of pears[\s\S]*tastes of quince/);
    await bench.press('Put mine in its place');
    await bench.says(/tastes of quince/, 'trug-log');
    // The note and its correction: nothing was overwritten, nothing filed beside it.
    expect((await count('entries')) - before).toBe(2);
    await page.close();
  });
});
