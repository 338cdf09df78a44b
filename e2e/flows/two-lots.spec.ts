import { replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { freshBatch, freshVessel, pitched, read } from '../support/fresh-batch';
import { DESK, PHONE, TestTrug } from '../support/trug';

const US = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', pressure: 'psi', gravity: 'Bx' } as const;
/** Gas from a gram of white sugar, in volumes of a litre. */
const VOLUMES_PER_SUGAR_G = 0.514 / 1.9768;

/** One finished batch in two lots: sparkling, sweet with what yeast leaves alone, dosed bottle by bottle in two sizes; and still, its sugar held. */
describe('two lots of one batch', () => {
  it.each([
    ['at a desk', DESK, 'mouse', {}],
    ['on a phone, in US measures', PHONE, 'finger', US],
  ] as const)('to labelled crates, %s', async (_where, screen, hand, maker) => {
    const trug = new TestTrug();
    try {
      await trug.start('2026-12-01');
      await trug.send('PUT', '/api/settings', { ...(await trug.ask<object>('/api/settings')), ...maker });
      const vessel = await freshVessel(trug, 12);
      const carboy = await freshVessel(trug, 12);
      const whole = await freshBatch(
        trug,
        [
          pitched('2026-09-01'),
          read('2026-10-20', 0.998),
          read('2026-11-03', 0.998),
          read('2026-11-20', 0.998),
          ['malolactic', '2026-11-21', { turnedFraction: 1, wanted: true, bacteria: false, done: true }],
          ['tested', '2026-11-21', { by: 'sugar-test', sugarGPerL: 0.5, acknowledged: [] }],
        ],
        { volumeL: 20 },
      );
      const logOf = async (id: string) => (await trug.ask<{ entries: readonly Entry[] }>(`/api/batches/${id}`)).entries;
      const { page, faults } = await trug.page(screen);
      const bench = new Bench(page, trug.url, hand);

      await bench.open(whole.path('split'));
      await bench.pressAt(`main label ::-p-text(${vessel})`);
      await bench.press('Split it');
      await bench.until(async () => (await trug.ask<{ id: string }[]>('/api/batches')).length === 2);
      const other = (await trug.ask<{ id: string; name: string }[]>('/api/batches')).find((b) => b.id !== whole.id)?.id ?? '';

      // Sparkling, and sweet with what no yeast eats.
      await bench.open(whole.path('sweeten'));
      await bench.choose('sweetener', 'erythritol');
      await bench.choose('level', 'off-dry');
      await bench.press('It is in');
      await bench.says(/Sweetened/, 'trug-log');
      await bench.open(whole.path('bottle'));
      await bench.tickOption('route', 'sparkling-dry');
      await bench.choose('mode', 'per-bottle');
      await bench.choose('fizz', '2');
      await bench.pressAt('summary ::-p-text(Choose the bottles)');
      await bench.tickBox('crown-capped 330 mL');
      await bench.fill('count-crown-500', '6');
      // One spoon in bottles of two sizes makes two drinks.
      await bench.fill('dose', '1 tsp');
      await bench.says(/choose bottles of one size/);
      await bench.fill('dose', '');
      await bench.says(/Each crown-capped 330 mL/);
      await bench.press('Bottle it');
      await bench.says(/In the bottle/, 'trug-now');
      const sparkling = replay(await logOf(whole.id));
      const crate = sparkling.crates[0];
      const primed = (await logOf(whole.id)).find((e) => e.kind === 'primed');
      if (primed?.kind !== 'primed' || !crate) throw new Error('nothing was primed and bottled');
      const filledL = crate.lots.reduce((sum, lot) => sum + lot.filled * Number(/\d+$/.exec(lot.kindId)?.[0] ?? 0), 0) / 1000;
      expect(crate.lots.map((lot) => lot.kindId).sort()).toEqual(['crown-330', 'crown-500', 'plastic-500']);
      // What a drink of 6 % holds at 18 °C, the half gram that the test left, and the sugar of the spoons are the two volumes asked for.
      const volumes = 0.94 * 0.887 + 0.5 * (0.489 / 1.9768) + (primed.payload.massG / filledL) * VOLUMES_PER_SUGAR_G;
      expect(Math.abs(volumes - 2)).toBeLessThan(0.06);
      // Erythritol counts for no gas.
      expect(crate.co2Volumes).toBeLessThan(2.3);
      expect(crate.wakesVolumes).toBeNull();

      // Still, its sugar held.
      await bench.open(`/batch/${other}/rack`);
      await bench.pressAt(`main label ::-p-text(${carboy})`);
      await bench.press('Rack it');
      await bench.says(/Racked/, 'trug-log');
      // Nobody measured its pH, and at the highest that it may have no dose would be enough.
      await bench.open(`/batch/${other}/stabilise`);
      await bench.says(/would not count, because at the highest pH/);
      await bench.press('Write its pH down first');
      await bench.pressAt('summary ::-p-text(pH and acid)');
      await bench.fill('ph', '3.6');
      await bench.press('Write it down');
      await bench.says(/pH 3.60/, 'trug-log');
      await bench.open(`/batch/${other}/stabilise`);
      await bench.press('Both are in');
      await bench.says(/Sulfite and sorbate/, 'trug-log');
      expect(replay(await logOf(other)).notStabilised).toBeNull();
      await bench.open(`/batch/${other}/sweeten`);
      await bench.choose('sweetener', 'sucrose');
      await bench.choose('level', 'medium');
      await bench.press('It is in');
      await bench.says(/Sweetened/, 'trug-log');
      await bench.open(`/batch/${other}/bottle`);
      await bench.choose('cap', 'leaf');
      await bench.fill('acknowledge', 'I understand');
      await bench.press('Bottle it');
      await bench.says(/Were that to wake/, 'trug-now');
      const still = replay(await logOf(other)).crates[0];
      expect(still).toMatchObject({ sparkling: false, capColour: 'leaf' });

      // Told apart on every page, each with what its label must say.
      await bench.open('/cellar');
      await bench.says(/rust caps/);
      await bench.says(/leaf caps/);
      await bench.open(whole.path(`label/${crate.id}`));
      await bench.says(/sparkling|lively|gentle/i, 'trug-label');
      await bench.open(`/batch/${other}/label/${still?.id ?? ''}`);
      await bench.says(/sulfite/i, 'trug-label');
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
