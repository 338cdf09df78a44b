import { bottleById } from '../../base/reference/bottle-kinds.js';
import { seededRandom } from '../../base/numeric/random.js';
import { logOf } from '../../testing/made-logs.js';
import { accepts, begin, readOff, SEASONS, sugarTest } from '../../testing/season-acts.js';
import { happen, leach, pass, pick, pressureAfterAYear } from '../../testing/season-truth.js';
import type { Entry } from '../entry/entry.js';
import { replay } from '../log/replay.js';

describe('whatever a maker does with fruit that steeps, accepted without a danger acknowledged', () => {
  it('no bottle passes its limit, though it is read and tested in between and gives up its last as it is lifted', () => {
    const random = seededRandom(77);
    const burst: string[] = [];
    let [bottled, withFruit] = [0, 0];
    for (let season = 0; season < SEASONS / 2; season += 1) {
      const make = logOf();
      const run = begin(random, make);
      const { truth: t, log } = run;
      Object.assign(t, { lazyG: 0, limitAbv: 14, pace: 0.3, leaching: 0.004 + 0.02 * random.uniform() });
      const pitch = make.pitched(0.1);
      log.push(pitch);
      happen(t, pitch);
      const look = (): Entry => make.read(t.day, readOff(t, random), t.tempC);
      for (const wait of [40, 8]) {
        pass(t, wait);
        log.push(look());
      }
      // Nothing but the fruit is in doubt.
      for (const known of [make.malolactic(t.day, { done: true, turnedFraction: 1 }), sugarTest(t, make)]) {
        log.push(known);
        happen(t, known);
      }
      for (const wait of [0.25, 8, 8, 0.25, 8, 8, 8, 0.25]) {
        pass(t, wait);
        const fruit = replay(log).infusions[0];
        const kind = pick(random, fruit ? ['read', 'read', 'test', 'test', 'lift', 'rack'] : ['fruit', 'fruit', 'read', 'test']);
        const entry =
          kind === 'fruit'
            ? make.entry('infused', t.day, {
                infusionId: pick(random, ['raspberry', 'cherry', 'plum']),
                massG: 1000 + Math.round(5000 * random.uniform()),
                days: 10,
              })
            : kind === 'lift' && fruit
              ? make.entry('lifted', t.day, { infusedId: fruit.id, name: 'fruit' })
              : kind === 'rack'
                ? make.racked(t.day, t.litres * 0.98)
                : kind === 'test'
                  ? sugarTest(t, make)
                  : look();
        run.acts.push(`${t.day.toFixed(1)} ${kind}`);
        if (!accepts(log, entry)) continue;
        log.push(entry);
        happen(t, entry);
        for (const kindId of ['crown-500', 'swing-500', 'wine-750'] as const) {
          const run500 = make.bottled(t.day + 0.02, { kindId, count: 20, hottestC: 25 });
          if (!accepts(log, run500)) continue;
          bottled += 1;
          if (log.some((e) => e.kind === 'infused')) withFruit += 1;
          // What is still in the fruit comes along: somebody wrings the bag.
          const truth = { ...t, fruit: { ...t.fruit } };
          leach(truth, 1);
          const bar = pressureAfterAYear(truth);
          const limit = bottleById(kindId).limitBar ?? 1.5;
          if (bar > limit) burst.push(`${kindId} ${bar.toFixed(2)} bar over ${limit}: ${run.acts.join(', ')}`);
        }
      }
    }
    expect(bottled).toBeGreaterThan(SEASONS / 10);
    expect(withFruit).toBeGreaterThan(SEASONS / 40);
    expect(burst).toEqual([]);
  });
});
