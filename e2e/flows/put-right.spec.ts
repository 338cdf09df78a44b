import { replay, type BatchState, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { freshBatch, freshId, pitched, read } from '../support/fresh-batch';
import { DESK, PHONE, TestTrug } from '../support/trug';

const US = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', timeZone: 'America/Los_Angeles', timeZoneChosen: true } as const;
/** g in a pound. */
const POUND_G = 453.592;
/** Gas from a gram of apple juice at 1.050, in volumes of a litre, and the litres of a gram of it. */
const JUICE = { volumesPerG: 0.053 / 1.9768, litresPerG: 0.000954 };

/** Sugar weighed wrongly is put right once one sees what follows; of two jars one becomes a lot by itself, primed with juice. */
describe('put right, and one jar of two', () => {
  it.each([
    ['at a desk', DESK, 'mouse', {}, '800 g', 800],
    ['on a phone, in US measures', PHONE, 'finger', US, '2 lb', 2 * POUND_G],
  ] as const)('%s', async (_where, screen, hand, maker, amount, massG) => {
    const trug = new TestTrug();
    try {
      await trug.start('2026-12-01');
      await trug.send('PUT', '/api/settings', { ...(await trug.ask<object>('/api/settings')), ...maker });
      const [front, back] = [freshId(), freshId()];
      for (const [id, name] of [
        [front, 'Front jar'],
        [back, 'Back jar'],
      ])
        await trug.send('POST', '/api/vessels', { id, name, kind: 'jar', capacityL: 12 });
      const whole = await freshBatch(
        trug,
        [
          ['addition', '2026-09-01', { what: 'fermentable', fermentableId: 'sucrose', massG: 200 }],
          pitched('2026-09-02'),
          read('2026-10-20', 0.998),
          read('2026-11-03', 0.998),
          read('2026-11-20', 0.998),
          ['malolactic', '2026-11-21', { turnedFraction: 1, wanted: true, bacteria: false, done: true }],
          ['tested', '2026-11-21', { by: 'sugar-test', sugarGPerL: 0, acknowledged: [] }],
          [
            'racked',
            '2026-11-22',
            {
              vessels: [
                { vesselId: front, volumeL: 10 },
                { vesselId: back, volumeL: 9 },
              ],
              lossL: 0.5,
            },
          ],
        ],
        { volumeL: 20 },
      );
      const stateOf = async (id: string): Promise<BatchState> => replay((await trug.ask<{ entries: readonly Entry[] }>(`/api/batches/${id}`)).entries);
      const ethanol = async (): Promise<number> => (await stateOf(whole.id)).liquid?.ethanolGPerL ?? NaN;
      const { page, faults } = await trug.page(screen);
      const bench = new Bench(page, trug.url, hand);

      await bench.open(whole.path(''));
      const before = await ethanol();
      await bench.pressAt('trug-log a[aria-label^="Correct Added"]');
      await bench.says(/Nothing yet/, 'aside');
      await bench.fill('massG', amount);
      await bench.says(/Strength/, 'aside');
      await bench.press('Put it right');
      await bench.leaves(`/when/${whole.entryIds[1] ?? ''}`);
      await bench.until(async () => (await ethanol()) > before + 1);
      // What more went in became alcohol, 0.469 g of a gram as hexose, as far as the gravity that was read leaves room for it.
      const most = ((massG - 200) * 1.0526 * 0.469) / 20;
      expect((await ethanol()) - before).toBeLessThan(most);
      expect((await ethanol()) - before).toBeGreaterThan(0.75 * most);

      await bench.open(whole.path('bottle'));
      await bench.says(/It stands in 2 vessels/, '.right');
      await bench.pressAt('.right a[href$="/split"]');
      await bench.tickBox('Back jar');
      await bench.choose('change', 'bottled by itself');
      await bench.press('Split it');
      await bench.leaves('/split');
      await bench.until(async () => (await trug.ask<{ id: string }[]>('/api/batches')).length === 2);
      const lot = (await trug.ask<{ id: string }[]>('/api/batches')).find((b) => b.id !== whole.id)?.id ?? '';
      expect((await stateOf(lot)).vessels).toEqual([{ vesselId: back, volumeL: 9 }]);
      expect((await stateOf(whole.id)).vessels.map((v) => v.vesselId)).toEqual([front]);

      await bench.open(`/batch/${lot}/bottle`);
      await bench.choose('sugar', 'apple-juice');
      await bench.choose('fizz', '2');
      await bench.says(/sorbate/, '.left');
      await bench.press('Bottle it');
      await bench.until(async () => (await stateOf(lot)).crates.length === 1);
      const entries = (await trug.ask<{ entries: readonly Entry[] }>(`/api/batches/${lot}`)).entries;
      const primed = entries.find((e) => e.kind === 'primed');
      if (primed?.kind !== 'primed') throw new Error('nothing was primed');
      expect(primed.payload.fermentableId).toBe('apple-juice');
      // 9 L that stood at 18 °C hold 0.88 volumes; the juice brings the rest, for itself as well.
      const litres = 9 + primed.payload.massG * JUICE.litresPerG;
      expect((0.88 * 9 + primed.payload.massG * JUICE.volumesPerG) / litres).toBeCloseTo(2, 1);
      const filled =
        (await stateOf(lot)).crates[0]?.lots.reduce((sum, { kindId, filled: count }) => sum + (count * Number(/\d+$/.exec(kindId)?.[0] ?? 0)) / 1000, 0) ?? NaN;
      expect(litres - filled).toBeGreaterThan(0.3);
      expect(litres - filled).toBeLessThan(0.4 + 0.5);
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
