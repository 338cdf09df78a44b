import { abvOf, replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, TestTrug } from '../support/trug';

const L_PER_US_GAL = 3.785;

/** From the empty shelf to the jar, without a press: fruit chopped into water, a batch from its first day. */
describe('on the pulp', () => {
  const begin = async (trug: TestTrug, screen: typeof DESK | typeof PHONE): Promise<{ bench: Bench; faults: string[] }> => {
    const { page, faults } = await trug.page(screen);
    const bench = new Bench(page, trug.url);
    return { bench, faults };
  };
  const log = async (trug: TestTrug): Promise<Entry[]> => {
    const [batch] = await trug.ask<{ id: string }[]>('/api/batches');
    return (await trug.ask<{ entries: Entry[] }>(`/api/batches/${batch?.id ?? ''}`)).entries;
  };
  const pathOf = async (trug: TestTrug): Promise<string> => `/batch/${(await trug.ask<{ id: string }[]>('/api/batches'))[0]?.id ?? ''}`;

  it.each([
    ['at a desk', DESK],
    ['on a phone', PHONE],
  ])('hot, with two sugars, lemons and tea, the yeast in with the bag, in pounds and gallons, %s', async (_where, screen) => {
    const trug = new TestTrug();
    try {
      await trug.start('2026-09-06');
      const { bench, faults } = await begin(trug, screen);
      await bench.open('/settings');
      await bench.choose('volume', 'us-gal');
      await bench.choose('mass', 'imperial');
      await bench.choose('temperature', 'degF');
      await bench.page.waitForNetworkIdle();
      await bench.open('/juice/press');
      await bench.press('No press: on the pulp');
      for (const [name, text] of Object.entries({ volume: '1 gal', fruit: '6 lb', sugar: '8 oz', acid: '2 lemons', tea: '2' })) await bench.fill(name, text);
      await bench.choose('manner', 'hot');
      await bench.says(/just off the boil/);
      await bench.choose('newKind', 'bucket');
      await bench.fill('newName', 'White bucket');
      await bench.fill('newCapacity', '2 gal');
      await bench.press('Put it in the cupboard');
      await bench.says(/White bucket is in the cupboard/);
      await bench.says(/White bucket, holds 2 US gal/);
      await bench.press('Begin it');
      await bench.says(/waits for yeast/, 'trug-now h2');
      const path = await pathOf(trug);

      await trug.moveClock('2026-09-07');
      await bench.open('/shelf');
      await bench.says(/Push the bag under/);
      await bench.open(path);
      await bench.press('Stirred just now');
      await bench.says(/Stirred/, 'trug-log');
      await bench.press('Scribble a line…');
      await bench.fill('scribble', '1 tsp pectic enzyme');
      await bench.press('Write it down');
      await bench.says(/pectic enzyme/, 'trug-log');
      await bench.quiet();
      await bench.open(`${path}/pitch`);
      await bench.fill('juice', '70 F');
      await bench.press('Pitch it');
      await bench.says(/Pitched/, 'trug-log');
      // Nothing is sealed or racked with its bag in it.
      await bench.open(`${path}/keg`);
      await bench.says(/No keg is free/);

      await trug.moveClock('2026-09-10');
      await bench.open(path);
      await bench.press('Strain it');
      for (const [name, text] of Object.entries({ volume: '0.95 gal', gravity: '1.040', sample: '68 F' })) await bench.fill(name, text);
      await bench.choose('newKind', 'jar');
      await bench.fill('newName', 'Jug');
      await bench.fill('newCapacity', '1.3 gal');
      await bench.press('Put it in the cupboard');
      await bench.says(/Jug is in the cupboard/);
      await bench.says(/Jug 1.3 US gal 0.95 US gal/);
      await bench.press('Strain it');
      await bench.says(/Strained 0.95 US gal off the pulp, drained/, 'trug-log');

      const entries = await log(trug);
      expect(entries.map((e) => e.kind)).toEqual(['steeped', 'stirred', 'addition', 'pitched', 'strained', 'reading']);
      const [steeped] = entries;
      const sugars = steeped?.kind === 'steeped' ? steeped.payload.sugars : [];
      // By hand: 1.070 is 182.6 g of solids in a litre, 691 g in a gallon; 6 lb give 1.90 L of juice with 127.4 g in each; acid and tea bring 9 g.
      const sugarG = sugars.reduce((sum, sugar) => sum + sugar.massG, 0);
      expect(Math.abs(sugarG - (691 - 1.9 * 127.4 - 9))).toBeLessThan(15);
      expect(sugars.find((s) => s.fermentableId === 'brown-sugar-dark')?.massG).toBeCloseTo(226.8, 1);
      const state = replay(entries);
      expect(state.issues).toEqual([]);
      expect(state.liquid?.volumeL).toBeCloseTo(0.95 * L_PER_US_GAL, 2);
      expect(state.vessels).toHaveLength(1);
      // Thirty points down: about 3.9 to 4.2 % by anybody's factor.
      expect(state.liquid && abvOf(state.liquid)).toBeGreaterThan(3.8);
      expect(state.liquid && abvOf(state.liquid)).toBeLessThan(4.3);
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
