import type { TestTrug } from './trug';

let made = 0;
/** An id of the shape the contract wants, each time another. */
export const freshId = (): string => `01K0000000000000${String((made += 1)).padStart(10, '0')}`;

const gravityOf = (reading: number): object => ({ instrument: 'hydrometer', reading, sampleC: 20, calibratedAtC: 20, offsetSg: 0 });

/** A batch of a test's own: a must of 4 L at 1.046 in a jar, as far as the test wants it. */
export interface FreshBatch {
  readonly id: string;
  readonly name: string;
  readonly path: (page: string) => string;
  /** Of its entries, in the order they were given. */
  readonly entryIds: readonly string[];
}

/** One entry after the must was filled in: its kind, its day and what it says. */
export type Act = readonly [kind: string, day: string, payload: object];

export const read = (day: string, reading: number): Act => [
  'reading',
  day,
  { gravity: gravityOf(reading), ph: null, taGPerL: null, placeC: 18, insistedOn: [], bubbles: null, smell: null },
];
export const pitched = (day: string): Act => ['pitched', day, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 }];

/** Files a batch that was filled on the 1st of September. */
export async function freshBatch(
  trug: TestTrug,
  acts: readonly Act[] = [],
  shape: { readonly volumeL?: number; readonly inVessel?: boolean } = {},
): Promise<FreshBatch> {
  const { volumeL = 4, inVessel = true } = shape;
  const id = freshId();
  const name = `Fresh ${made}`;
  const vesselId = freshId();
  if (inVessel) await trug.send('POST', '/api/vessels', { id: vesselId, name: `Jar of ${name}`, kind: 'jar', capacityL: volumeL * 1.15 });
  const filled: Act = [
    'filled',
    '2026-09-01',
    {
      source: 'carton',
      fruit: 'apple',
      volumeL,
      gravity: gravityOf(1.046),
      ph: null,
      taGPerL: null,
      tanninGPerL: null,
      yanMgPerL: null,
      vessels: inVessel ? [{ vesselId, volumeL }] : [],
      tempC: 18,
    },
  ];
  const entries = [filled, ...acts].map(([kind, day, payload]) => {
    const when = `${day}T08:00:00.000Z`;
    return { id: freshId(), batchId: id, kind, at: when, writtenAt: when, note: '', payload };
  });
  await trug.send('POST', '/api/batches', {
    batches: [{ id, name, methodId: 'carton-quick', tape: 'leaf', startedAt: '2026-09-01T08:00:00.000Z' }],
    entries,
  });
  return { id, name, path: (page) => `/batch/${id}/${page}`, entryIds: entries.map((e) => e.id) };
}

/** An empty, clean vessel in the cupboard. */
export async function freshVessel(trug: TestTrug, capacityL = 5): Promise<string> {
  const name = `Clean ${(made += 1)}`;
  await trug.send('POST', '/api/vessels', { id: freshId(), name, kind: 'jar', capacityL });
  return name;
}
