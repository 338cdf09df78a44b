import type { Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

const DRINKS = ['Gate Blend', 'Gate B'];

/** The same juice by two yeasts, judged blind: on one phone that goes round, or by guests on phones of their own. */
describe('two drinks side by side', () => {
  const trug = new TestTrug();
  beforeAll(async () => trug.start(SEASON_DAY, true));
  afterAll(async () => trug.stop());

  const logOf = async (name: string): Promise<readonly Entry[]> => {
    const batches = await trug.ask<{ id: string; name: string }[]>('/api/batches');
    return (await trug.ask<{ entries: Entry[] }>(`/api/batches/${batches.find((b) => b.name === name)?.id ?? ''}`)).entries;
  };
  /** Chooses both, pours, and gives the number on the glass of the first. */
  async function poured(bench: Bench, names: string): Promise<string> {
    await bench.open('/cellar');
    await bench.press('Taste side by side');
    for (const name of DRINKS) await bench.pressAt(`::-p-xpath(//mat-checkbox//trug-tape/b[normalize-space()="${name}"])`);
    await bench.fill('glass', '50 mL');
    await bench.fill('names', names);
    await bench.press('Pour it');
    await bench.says(/Only whoever pours/);
    const rows = await bench.page.$$eval('trug-blind-pour tbody tr', (all) => all.map((row) => Array.from(row.children, (cell) => cell.textContent.trim())));
    return rows.find(([, drink]) => drink === DRINKS[0])?.[0] ?? '';
  }

  it('on one phone that goes round', async () => {
    const { page, faults } = await trug.page(PHONE);
    const bench = new Bench(page, trug.url, 'finger');
    const code = await poured(bench, 'Wren, Ash');
    await bench.press('It is poured: hand it to Wren');
    for (const name of ['Wren', 'Ash']) {
      await bench.says(new RegExp(`${name} tastes`), 'trug-blind-round');
      expect(await bench.text('main')).not.toMatch(/Gate/);
      await bench.press(`Glass ${code}`);
    }
    await bench.press('Everybody has judged: show it');
    await bench.says(/Liked best: Gate Blend/);
    await bench.says(/With so few at the table nothing can be told from chance/);
    await bench.press('Write it down');
    await bench.says(/Liked best: Gate Blend[\s\S]*Gate Blend beside Gate B/, 'main');
    for (const [own, name] of DRINKS.entries()) {
      const [compared, drunk] = (await logOf(name)).slice(-2);
      expect(compared).toMatchObject({
        kind: 'compared',
        payload: {
          own,
          judged: [
            { name: 'Wren', said: [0, 1] },
            { name: 'Ash', said: [0, 1] },
          ],
        },
      });
      // Two glasses of 50 mL of each.
      expect(drunk).toMatchObject({ kind: 'discarded', payload: { volumeL: 0.1 } });
    }
    expect(faults).toEqual([]);
  });

  it('by guests on phones of their own, who see nothing but their glasses', async () => {
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    const code = await poured(bench, 'Wren, Ash, Rowan');
    await bench.press('Each on their own phone');
    await bench.says(/\/[\w-]{12}/, '.address');
    const link = await bench.text('.address');
    expect(link).toMatch(/^http:\/\/127\.0\.0\.1:\d+\//);
    const guest = await (await page.browser().createBrowserContext()).newPage();
    await guest.setViewport(PHONE);
    for (const name of ['Rowan', 'Wren', 'Ash']) {
      await guest.goto(link);
      await (await guest.waitForSelector(`a ::-p-text(${name})`))?.click();
      const glass = await guest.waitForSelector(`button[aria-label="Glass ${code}"]`);
      expect(await guest.$eval('body', (body) => body.innerText)).not.toMatch(/Gate/);
      await glass?.click();
      await guest.waitForSelector('::-p-text(Thank you)');
      await bench.says(new RegExp(`${name}: has judged`), 'trug-blind-phones');
    }
    // The tab is thrown away meanwhile, and the guests keep their way in.
    await bench.open('/cellar/beside');
    await bench.says(/3 of 3 have judged/, 'trug-blind-phones');
    expect(await bench.text('.address')).toBe(link);
    await bench.press('Everybody has judged: show it');
    await bench.says(/Liked best: Gate Blend/);
    await bench.until(async () => (await fetch(link).catch(() => null)) === null);
    await bench.press('Write it down');
    await bench.says(/3 tasters/, 'main');
    expect((await logOf('Gate B')).at(-2)).toMatchObject({ kind: 'compared', payload: { judged: [{ name: 'Wren', said: [0, 1] }, {}, {}] } });
    expect(faults).toEqual([]);
  });
});
