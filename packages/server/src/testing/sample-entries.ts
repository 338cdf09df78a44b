import type { EntryKind, EntryPayloads } from '@trug/core';
import { ulid } from 'ulid';

const NOW_MS = Date.parse('2026-11-23T10:00:00.000Z');

/** An entry some days before today. */
export function sampleEntry<K extends EntryKind>(
  batchId: string,
  kind: K,
  daysAgo: number,
  payload: EntryPayloads[K],
): { id: string; batchId: string; kind: K; at: string; writtenAt: string; note: string; payload: EntryPayloads[K] } {
  const at = new Date(NOW_MS - daysAgo * 86_400_000).toISOString();
  return { id: ulid(), batchId, kind, at, writtenAt: at, note: '', payload };
}

export const rawGravity = (reading: number): EntryPayloads['filled']['gravity'] => ({
  instrument: 'hydrometer',
  reading,
  sampleC: 20,
  calibratedAtC: 20,
  offsetSg: 0,
});

export const sampleFill = (batchId: string, daysAgo = 40): ReturnType<typeof sampleEntry<'filled'>> =>
  sampleEntry(batchId, 'filled', daysAgo, {
    source: 'shop juice',
    fruit: 'apple',
    volumeL: 20,
    gravity: rawGravity(1.048),
    ph: null,
    taGPerL: null,
    tanninGPerL: null,
    yanMgPerL: null,
    vessels: [],
    tempC: 18,
  });

export const sampleReading = (batchId: string, daysAgo: number, sg: number): ReturnType<typeof sampleEntry<'reading'>> =>
  sampleEntry(batchId, 'reading', daysAgo, { gravity: rawGravity(sg), ph: null, taGPerL: null, placeC: 18, insistedOn: [], bubbles: null, smell: null });

export const samplePitch = (batchId: string, daysAgo = 39): ReturnType<typeof sampleEntry<'pitched'>> =>
  sampleEntry(batchId, 'pitched', daysAgo, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 });

export const sampleNote = (batchId: string, text: string): ReturnType<typeof sampleEntry<'note'>> => sampleEntry(batchId, 'note', 1, { text });

export function sampleBatch(): { id: string; name: string; methodId: string; tape: string; startedAt: string } {
  return { id: ulid(), name: 'Carton', methodId: 'carton-quick', tape: 'straw', startedAt: '2026-10-14T10:00:00.000Z' };
}
