import type { Bench } from './bench';
import { freshBatch, freshId, pitched, read, type Act } from '../support/fresh-batch';
import type { TestTrug } from '../support/trug';

/** A form of Trug, opened on something of its own and filled in. */
export interface Form {
  readonly what: string;
  /** Makes what it is about, opens it and fills it in. */
  readonly fill: (bench: Bench, trug: TestTrug) => Promise<void>;
  /** The selector of its main button. */
  readonly press: string;
  /** What opens it again on its page. */
  readonly reopen?: string;
  /** Where what it files is counted. */
  readonly counted: 'entries' | 'batches' | 'juices' | 'supplies' | 'places' | 'instruments' | 'recipes' | 'vessels';
  /** How many it files; one unless said. */
  readonly files?: number;
  /** Whether the page stays, or shows what arrived, so that it is not left by pressing again. */
  readonly stays?: boolean;
}

export const WORKING: readonly Act[] = [pitched('2026-11-10'), read('2026-11-20', 1.03)];
export const STUCK: readonly Act[] = [pitched('2026-09-01'), read('2026-10-01', 1.03), read('2026-10-20', 1.0295), read('2026-11-20', 1.0295)];
export const FINISHED: readonly Act[] = [pitched('2026-09-01'), read('2026-10-20', 0.998), read('2026-11-03', 0.998), read('2026-11-20', 0.998)];

export const KNOWN: readonly Act[] = [
  ...FINISHED,
  ['malolactic', '2026-11-21', { turnedFraction: 1, wanted: true, bacteria: false, done: true }],
  ['tested', '2026-11-21', { by: 'sugar-test', sugarGPerL: 0.5, acknowledged: [] }],
];
export const kegged = (): readonly Act[] => [
  ...KNOWN,
  ['kegged', '2026-11-22', { vessel: { vesselId: freshId(), volumeL: 3.9 }, lossL: 0.1, targetVolumes: 2.4, storeC: 4, acknowledged: [] }],
];

export const inBottles: readonly Act[] = [
  ...KNOWN,
  [
    'bottled',
    '2026-11-22',
    { bottles: [{ kindId: 'crown-500', count: 6 }], testBottle: true, lossL: 0.4, crate: 'Row', capColour: 'leaf', hottestC: 24, acknowledged: [] },
  ],
];

export const toHeat: readonly Act[] = [
  ...KNOWN,
  ['sweetened', '2026-11-23', { sweetenerId: 'sucrose', massG: 60 }],
  [
    'bottled',
    '2026-11-23',
    {
      bottles: [{ kindId: 'crown-500', count: 6 }],
      testBottle: false,
      lossL: 0.4,
      crate: 'Row',
      capColour: 'leaf',
      hottestC: 24,
      toHeat: { headspace: 0.05 },
      acknowledged: ['heat-due', 'hot-bottles'],
    },
  ],
];

/** Opens a page of a fresh batch. */
export const onBatch =
  (page: string, acts: readonly Act[] | (() => readonly Act[]), fill: (bench: Bench, trug: TestTrug) => Promise<void> = () => Promise.resolve()) =>
  async (bench: Bench, trug: TestTrug): Promise<void> => {
    const batch = await freshBatch(trug, typeof acts === 'function' ? acts() : acts);
    await bench.open(page === '' ? `/batch/${batch.id}` : batch.path(page));
    await fill(bench, trug);
  };

/** Opens a page of one of a fresh batch's entries. */
export const onEntry =
  (page: string, acts: readonly Act[], fill: (bench: Bench) => Promise<void>) =>
  async (bench: Bench, trug: TestTrug): Promise<void> => {
    const batch = await freshBatch(trug, acts);
    await bench.open(batch.path(`${page}/${batch.entryIds.at(-1) ?? ''}`));
    await fill(bench);
  };

/** Ticks the box of a vessel. */
export const tick = (bench: Bench, vessel: string): Promise<void> => bench.pressAt(`main label ::-p-text(${vessel})`);

/** One of the cupboard's forms, which all end in the same words. */
export const inCupboard = (shelf: string, add: string, fields: Readonly<Record<string, string>>) => ({
  fill: async (bench: Bench): Promise<void> => {
    await bench.open('/cupboard');
    await bench.press(add);
    for (const [name, text] of Object.entries(fields)) await bench.fill(name, text);
  },
  press: `${shelf} form.card button[type=submit]`,
  stays: true,
});
