import { steepedLiquid } from '@trug/core';
import { named } from './bench';
import { FINISHED, type Form, inBottles, inCupboard, kegged, KNOWN, onBatch, onEntry, STUCK, tick, toHeat, WORKING } from './form-kit';
import { freshBatch, freshId, freshVessel, pitched } from '../support/fresh-batch';

/** Every form that files something, one by one. */
export const FORMS: readonly Form[] = [
  { what: 'a note', fill: onBatch('note', WORKING, (b) => b.fill('text', 'smells of pears')), press: named('Write it down'), counted: 'entries' },
  {
    what: 'a scribbled line',
    fill: onBatch('', WORKING, async (b) => {
      await b.press('Scribble a line…');
      await b.fill('scribble', '1.012 at 18 C, 100 g sugar, smells of pears');
      await b.says(/100 g White sugar/, 'trug-scribble-sheet');
    }),
    press: 'trug-scribble-sheet .btn-main',
    reopen: named('Scribble a line…'),
    counted: 'entries',
    files: 2,
    stays: true,
  },
  { what: 'a reading', fill: onBatch('read', WORKING, (b) => b.fill('place', '9 C')), press: named('Write it down'), counted: 'entries' },
  { what: 'a corrected reading', fill: onEntry('read', WORKING, (b) => b.fill('gravity', '1.031')), press: named('Write it down'), counted: 'entries' },
  { what: 'a day put right', fill: onEntry('when', WORKING, (b) => b.fill('hour', '7:15')), press: named('Put it right'), counted: 'entries' },
  {
    what: 'a move',
    fill: onBatch('move', WORKING, async (b) => {
      await b.fill('place', 'the porch');
      await b.fill('temp', '11 C');
    }),
    press: named('Write it down'),
    counted: 'entries',
  },
  { what: 'sugar', fill: onBatch('adjust', [], (b) => b.fill('sg', '1.052')), press: named('Write it down'), counted: 'entries', stays: true },
  { what: 'yeast', fill: onBatch('pitch', []), press: named('Pitch it'), counted: 'entries', stays: true },
  { what: 'a restart', fill: onBatch('restart', STUCK), press: named('The starter is in'), counted: 'entries', stays: true },
  { what: 'a step with its wait', fill: onBatch('restart', STUCK), press: 'button[aria-label^="Done: "]', counted: 'entries', stays: true },
  {
    what: 'a clearing',
    fill: onBatch('clear', FINISHED, (b) => b.pressWithin('li:nth-child(2) .way')),
    press: '.acts .btn-main',
    counted: 'entries',
  },
  { what: 'a malolactic change', fill: onBatch('malolactic', FINISHED, (b) => b.tickOption('is', 'begun')), press: named('Write it down'), counted: 'entries' },
  { what: 'a fault', fill: onBatch('fault', FINISHED), press: named('Write it down'), counted: 'entries' },
  {
    what: 'gas let out',
    fill: onBatch('', [...WORKING, ['vented', '2026-11-21', { vent: 'loose-cap' }]]),
    press: named('Let out just now'),
    counted: 'entries',
    stays: true,
  },
  { what: 'a struck-out line', fill: onBatch('', WORKING), press: 'trug-log button[aria-label^="Strike out Pitched"]', counted: 'entries', stays: true },
  {
    what: 'a racking',
    fill: async (bench, trug) => {
      const vessel = await freshVessel(trug);
      await onBatch('rack', FINISHED, (b) => tick(b, vessel))(bench, trug);
    },
    press: named('Rack it'),
    counted: 'entries',
    stays: true,
  },
  {
    what: 'a sugar test',
    fill: onBatch('test', FINISHED, async (b) => {
      await b.tickOption('by', 'sugar-test');
      await b.fill('sugar', '0.5');
    }),
    press: named('Write it down'),
    counted: 'entries',
  },
  // What went in is in the sums of the page when it is opened again: less or nothing is left to put in.
  { what: 'a stabilising', fill: onBatch('stabilise', FINISHED), press: named('Both are in'), counted: 'entries', stays: true },
  {
    what: 'a straining',
    fill: async (bench, trug) => {
      const id = freshId();
      const bucketId = freshId();
      await trug.send('POST', '/api/vessels', { id: bucketId, name: `Bucket ${id}`, kind: 'bucket', capacityL: 12 });
      await freshVessel(trug);
      const at = '2026-11-18T08:00:00.000Z';
      const drawn = { fruitKg: 2, fruitId: null, hot: false, waterL: 3, sugarG: 0, acidG: 0, teaCups: 0, driedFruitG: 0 };
      const payload = {
        fruitKg: 2,
        fruitId: null,
        source: 'fruit',
        liquid: steepedLiquid(drawn),
        hot: false,
        loose: false,
        waterL: 3,
        sugars: [],
        acidG: 0,
        teaCups: 0,
        driedFruitG: 0,
        days: 4,
      };
      const steeped = { ...payload, vessels: [{ vesselId: bucketId, volumeL: 6 }], tempC: 18 };
      await trug.send('POST', '/api/batches', {
        batches: [{ id, name: 'Bag of once', methodId: 'carton-quick', tape: 'leaf', startedAt: at }],
        entries: [{ id: freshId(), batchId: id, kind: 'steeped', at, writtenAt: at, note: '', payload: steeped }],
      });
      await bench.open(`/batch/${id}/strain`);
    },
    press: named('Strain it'),
    counted: 'entries',
    stays: true,
  },
  {
    what: 'a keg',
    fill: async (bench, trug) => {
      await trug.send('POST', '/api/vessels', { id: freshId(), name: 'Keg of once', kind: 'keg', capacityL: 19 });
      await onBatch('keg', KNOWN)(bench, trug);
    },
    press: named('Keg it'),
    counted: 'entries',
    stays: true,
  },
  { what: 'an opened keg', fill: onBatch('open-keg', kegged), press: named('It is silent and open'), counted: 'entries', stays: true },
  { what: 'a keg let off', fill: onBatch('let-off', kegged, (b) => b.tickOption('valve', 'lifts')), press: named('Write it down'), counted: 'entries' },
  {
    what: 'a trial',
    fill: onBatch('trial', FINISHED, async (b) => {
      await b.fill('doses', '0 8');
      await b.fill('names', 'Wren');
      await b.press('Pour it');
      await b.press('It is poured: hand it to Wren');
      await b.pressAt('trug-blind-round li:first-child button');
      await b.press('Everybody has judged: show it');
    }),
    press: named('Write it down'),
    counted: 'entries',
    files: 2,
  },
  {
    what: 'a tasting side by side',
    fill: async (bench, trug) => {
      const drinks = [await freshBatch(trug, FINISHED), await freshBatch(trug, FINISHED)];
      await bench.open('/cellar/beside');
      for (const { name } of drinks) await bench.tickBox(name);
      await bench.fill('names', 'Wren');
      await bench.press('Pour it');
      await bench.press('It is poured: hand it to Wren');
      await bench.pressAt('trug-blind-round li:first-child button');
      await bench.press('Everybody has judged: show it');
    },
    press: named('Write it down'),
    counted: 'entries',
    files: 4,
  },
  {
    what: 'bottles poured back',
    fill: async (bench, trug) => {
      await freshVessel(trug, 4);
      const batch = await freshBatch(trug, inBottles);
      const crate = batch.entryIds.at(-1) ?? '';
      await bench.open(batch.path(`pour-back/${crate}`));
    },
    press: named('They are poured back'),
    counted: 'entries',
    stays: true,
  },
  { what: 'something steeping', fill: onBatch('infuse', FINISHED), press: named('It is in'), counted: 'entries' },
  { what: 'a tasting', fill: onBatch('taste', inBottles, (b) => b.choose('colour', 'gold')), press: named('Write it down'), counted: 'entries' },
  {
    what: 'a hot bath',
    fill: onBatch('heat', toHeat, async (b) => {
      await b.fill('minutes', '11');
      await b.fill('acknowledge', 'I understand');
    }),
    press: named('They are heated'),
    counted: 'entries',
    stays: true,
  },
  { what: 'a squeeze', fill: onBatch('squeeze', inBottles, (b) => b.tickOption('feel', 'firm')), press: named('Write it down'), counted: 'entries' },
  { what: 'a bottling', fill: onBatch('bottle', KNOWN), press: named('Bottle it'), counted: 'entries', files: 2, stays: true },
  {
    what: 'a split',
    fill: async (bench, trug) => {
      const vessel = await freshVessel(trug);
      const batch = await freshBatch(trug, [], { volumeL: 20 });
      await bench.open(batch.path('split'));
      await tick(bench, vessel);
    },
    press: named('Split it'),
    counted: 'batches',
    stays: true,
  },
  {
    what: 'readings from a table',
    fill: onBatch('import', [pitched('2026-09-02')], (b) => b.fill('table', 'date, gravity\n2026-09-10, 1.030\n2026-09-20, 1.020\n')),
    press: named('Write them down'),
    counted: 'entries',
    files: 2,
    stays: true,
  },
  {
    what: 'a batch',
    fill: async (bench) => {
      await bench.open('/new');
      await bench.fill('name', 'Once');
      await bench.fill('volume', '4 L');
      await bench.fill('sg', '1.048');
      await bench.fill('abv', '6.5');
    },
    press: named('Begin it'),
    counted: 'batches',
    stays: true,
  },
  {
    what: 'a juice',
    fill: async (bench) => {
      await bench.open('/juice/new');
      await bench.fill('name', 'Hedge apples');
      await bench.fill('volume', '7 L');
    },
    press: named('Write it down'),
    counted: 'juices',
  },
  {
    what: 'a press day',
    fill: async (bench) => {
      await bench.open('/juice/press');
      await bench.fill('mass', '12 kg');
      await bench.press('Weigh it in');
      await bench.fill('run', '7 L');
      await bench.press('Write the run');
    },
    press: named('Done: measure the juice'),
    counted: 'juices',
  },
  {
    what: 'a steeping',
    fill: async (bench, trug) => {
      await trug.send('POST', '/api/vessels', { id: freshId(), name: 'Bucket of once', kind: 'bucket', capacityL: 12 });
      await bench.open('/juice/steep');
      await bench.fill('volume', '5 L');
      await bench.fill('fruit', '2 kg');
    },
    press: named('Begin it'),
    counted: 'batches',
    // Its bucket is full by then.
    stays: true,
  },
  {
    what: 'a pour',
    fill: async (bench, trug) => {
      await freshVessel(trug);
      await bench.open('/juice/blend');
      await bench.fill('total', '4.3 L');
      await bench.press('Pour it');
    },
    reopen: named('Pour it'),
    press: named('Pour it into the vessels'),
    counted: 'batches',
    // The vessels are full by then, so that the bench proposes others.
    stays: true,
  },
  {
    what: 'another name',
    fill: onBatch('name', [], (bench) => bench.fill('batchName', 'Gate row')),
    press: named('Call it so'),
    counted: 'entries',
    // Pressed again it is called so already.
    stays: true,
  },
  {
    what: 'a recipe',
    fill: async (bench) => {
      await bench.open('/recipes');
      await bench.fill('recipeName', 'Hedge plain');
      await bench.fill('recipeSize', '4 L');
    },
    press: named('Write it'),
    counted: 'recipes',
  },
  { what: 'a vessel', ...inCupboard('trug-vessel-list', 'Add a vessel', { name: 'Back jar' }), counted: 'vessels' },
  { what: 'a supply', ...inCupboard('trug-supply-list', 'Add a packet or jar', { supplyAmount: '2' }), counted: 'supplies' },
  { what: 'a place', ...inCupboard('trug-place-list', 'Add a place', { placeName: 'the loft' }), counted: 'places' },
  { what: 'an instrument', ...inCupboard('trug-instrument-list', 'Add an instrument', { instrumentName: 'Long glass' }), counted: 'instruments' },
];
