import type { Entry } from '@trug/core';
import { replay, sweetnessGPerL } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

const TASTERS = ['Wren', 'Ash', 'Rowan'];
/** By how much sweeter they like it: all take the middle glass first. */
const LIKES: Readonly<Record<string, number>> = { 'as it is': 2, '10 g/L': 0, '25 g/L': 1 };

/** Three tasters judge blind on one phone that goes round; the dose they like goes into the batch. */
describe('a bench trial', () => {
  it.each([
    ['at a desk', DESK, 'mouse'],
    ['on a phone', PHONE, 'finger'],
  ] as const)('goes from glasses that nobody knows to the batch sweetened, %s', async (_where, screen, hand) => {
    const trug = new TestTrug();
    try {
      await trug.start(SEASON_DAY, true);
      const batches = await trug.ask<{ id: string; name: string }[]>('/api/batches');
      const id = batches.find((b) => b.name === 'Gate Blend')?.id ?? '';
      const log = async (): Promise<readonly Entry[]> => (await trug.ask<{ entries: Entry[] }>(`/api/batches/${id}`)).entries;
      const before = replay(await log()).liquid;
      if (!before) throw new Error('nothing of Gate Blend stands in a vessel');
      const { page, faults } = await trug.page(screen);
      const bench = new Bench(page, trug.url, hand);
      await bench.open(`/batch/${id}`);
      await bench.pressElse('Bench trial');
      await bench.choose('which', 'erythritol');
      await bench.fill('doses', '0 10 25');
      await bench.fill('glass', '50 mL');
      await bench.fill('names', TASTERS.join(', '));
      await bench.press('Pour it');
      await bench.says(/Only whoever pours/);
      // Whoever pours writes down which number has what.
      const rows = await page.$$eval('trug-blind-pour tbody tr', (all) => all.map((row) => Array.from(row.children, (cell) => cell.textContent.trim())));
      expect(rows.map(([, dose]) => dose).sort()).toEqual(Object.keys(LIKES).sort());
      const codes = [...rows].sort((a, b) => (LIKES[a[1] ?? ''] ?? 9) - (LIKES[b[1] ?? ''] ?? 9)).map(([code]) => code ?? '');
      await bench.press('It is poured: hand it to Wren');
      for (const name of TASTERS) {
        await bench.says(new RegExp(`${name} tastes`), 'trug-blind-round');
        expect(await bench.text('trug-blind-round')).not.toMatch(/g\/L|as it is/);
        await bench.press(`Glass ${codes[0] ?? ''}`);
        // The tab is thrown away meanwhile: what was pressed is still there.
        if (name === 'Ash') await bench.open(`/batch/${id}/trial`);
        await bench.press(`Glass ${codes[1] ?? ''}`);
      }
      await bench.press('Everybody has judged: show it');
      // Three who agree on three glasses: one in 36.
      await bench.says(/Liked best: 10 g\/L/);
      await bench.says(/2\.8 times in 100/);
      await bench.choose('chosen', '1');
      await bench.says(/of erythritol/, '.scaled');
      await bench.press('Write it down, then dose it');
      await bench.says(/Sweeten/, 'main h1');
      const [trial, drunk] = (await log()).slice(-2);
      expect(trial).toMatchObject({ kind: 'trialled', payload: { chosen: 1, doses: [0, 10, 25], judged: TASTERS.map((name) => ({ name, said: [1, 2, 0] })) } });
      expect(drunk).toMatchObject({ kind: 'discarded', payload: { volumeL: 0.45 } });
      await bench.press('It is in');
      await bench.says(/Sweetened/, 'body');
      await bench.until(async () => (await log()).at(-1)?.kind === 'sweetened');
      const after = replay(await log()).liquid;
      // Erythritol tastes 0.65 as sweet: ten grams in a litre of what stands there now, written out by hand.
      expect((after ? sweetnessGPerL(after) : 0) - sweetnessGPerL(before) * ((before.volumeL - 0.45) / (after?.volumeL ?? 1))).toBeCloseTo(6.5, 1);
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
