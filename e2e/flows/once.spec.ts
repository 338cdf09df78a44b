import type { HTTPRequest, Page } from 'puppeteer-core';
import { Bench, named } from '../pages/bench';
import type { Form } from '../pages/form-kit';
import { FORMS } from '../pages/forms';
import { freshBatch } from '../support/fresh-batch';
import { DESK, SEASON_DAY, TestTrug } from '../support/trug';

/** `npm run torture` loses an answer of every form, `npm test` of some. */
const EVERY_FORM = process.env['TRUG_LONG'] === '1';
let trug: TestTrug;
beforeAll(async () => {
  trug = new TestTrug();
  await trug.start(SEASON_DAY, true);
});
afterAll(() => trug.stop());

/** How many there are of what a form files, the entries of all batches together. */
async function count(what: Form['counted']): Promise<number> {
  if (what !== 'entries') return (await trug.ask<unknown[]>(`/api/${what}`)).length;
  return (await trug.ask<{ entries: unknown[] }[]>('/api/batches?with=logs')).reduce((sum, batch) => sum + batch.entries.length, 0);
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

/** Time for what should not come to come. */
const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 600));

/** What has arrived may have left nothing to press. */
async function pressIfThere(page: Page, bench: Bench, selector: string): Promise<void> {
  if ((await page.$(selector)) !== null) await bench.pressAt(selector);
}

describe('what is pressed once is filed once', () => {
  it.each(FORMS)('$what, pressed twice', async ({ fill, press, counted, files = 1 }) => {
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await fill(bench, trug);
    const before = await count(counted);
    await bench.pressAt(press, 2);
    await bench.until(async () => (await count(counted)) > before);
    await settled();
    expect((await count(counted)) - before).toBe(files);
    expect(faults).toEqual([]);
    await page.close();
  });

  it.each(FORMS.filter((_form, i) => EVERY_FORM || i % 4 === 0))(
    '$what, pressed again after its answer was lost',
    async ({ fill, reopen, press, counted, stays, files = 1 }) => {
      const { page } = await trug.page(DESK);
      const bench = new Bench(page, trug.url);
      await fill(bench, trug);
      const before = await count(counted);
      const here = page.url();
      const mend = await loseNextAnswer(page);
      await bench.pressAt(press);
      await bench.says(/did not answer/, 'body');
      await mend();
      expect((await count(counted)) - before).toBe(files);
      // The page is even loaded anew in between: what was typed and what it was sent under are still there.
      await bench.open(new URL(here).pathname);
      if (reopen !== undefined) await bench.pressAt(reopen);
      if (stays === true) await pressIfThere(page, bench, press);
      else {
        await bench.pressAt(press);
        await bench.leaves(new URL(here).pathname);
      }
      await settled();
      expect((await count(counted)) - before).toBe(files);
      await page.close();
    },
  );

  it('a note that was changed after its answer was lost is shown in both versions', async () => {
    const { page } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    const batch = await freshBatch(trug);
    await bench.open(batch.path('note'));
    await bench.fill('text', 'tastes of pears');
    const before = await count('entries');
    const mend = await loseNextAnswer(page);
    await bench.pressAt(named('Write it down'));
    await bench.says(/did not answer/, 'body');
    await mend();
    await bench.fill('text', 'tastes of quince');
    await bench.press('Write it down');
    await bench.says(/Two versions/, 'mat-dialog-container');
    expect(await bench.text('mat-dialog-container')).toMatch(/tastes of pears[\s\S]*tastes of quince/);
    await bench.press('Put mine in its place');
    await bench.says(/tastes of quince/, 'trug-log');
    // The note and its correction: nothing was overwritten, nothing filed beside it.
    await bench.until(async () => (await count('entries')) - before >= 2);
    await settled();
    expect((await count('entries')) - before).toBe(2);
    await page.close();
  });
});
