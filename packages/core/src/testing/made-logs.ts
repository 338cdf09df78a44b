import { fermentTo } from '../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../matter/liquid/liquid-from-readings.js';
import { dryGravityOf } from '../matter/liquid/views.js';
import type { Entry, EntryKind, EntryPayloads } from '../book/entry/entry.js';
import type { RawGravity } from '../matter/measure/raw-gravity.js';

const START_MS = Date.UTC(2026, 9, 1, 10);

/** A hydrometer read at its own temperature. */
export const rawGravity = (reading: number): RawGravity => ({ instrument: 'hydrometer', reading, sampleC: 20, calibratedAtC: 20, offsetSg: 0 });

/** Makes the entries of one batch, by the day. */
export interface LogMaker {
  readonly at: (day: number) => string;
  readonly entry: <K extends EntryKind>(kind: K, day: number, payload: EntryPayloads[K]) => Entry;
  readonly filled: (changes?: Partial<EntryPayloads['filled']>) => Entry;
  readonly pitched: (day?: number) => Entry;
  readonly read: (day: number, sg: number, placeC?: number) => Entry;
  /** A must of 20 L at 1.048, fermented, with equal readings on two days. */
  readonly dryAt: (sg: number, days?: readonly [number, number]) => readonly Entry[];
  readonly racked: (day: number, volumeL: number) => Entry;
  readonly malolactic: (day: number, how: Partial<EntryPayloads['malolactic']>) => Entry;
  readonly primed: (day: number, massG?: number) => Entry;
  readonly bottled: (day: number, how?: Partial<EntryPayloads['bottled']> & { readonly kindId?: string; readonly count?: number }) => Entry;
  readonly kegged: (day: number, how?: Partial<EntryPayloads['kegged']>) => Entry;
  readonly poured: (day: number, volumeL: number, sg: number, from: 'juice' | 'batch') => Entry;
}

/**
 * A maker of entries for a batch of cider at 18 °C, for tests.
 *
 * @param batchId - whose entries they are
 * @returns the maker; ids count up
 */
export function logOf(batchId = 'B'): LogMaker {
  let made = 0;
  const at = (day: number): string => new Date(START_MS + day * 86_400_000).toISOString();
  const entry = <K extends EntryKind>(kind: K, day: number, payload: EntryPayloads[K]): Entry => {
    made += 1;
    return { id: `M${String(made).padStart(6, '0')}`, batchId, kind, at: at(day), writtenAt: at(day), note: '', payload } as Entry;
  };
  const filled: LogMaker['filled'] = (changes = {}) =>
    entry('filled', 0, {
      source: 'pressed',
      fruit: 'apple',
      volumeL: 20,
      gravity: rawGravity(1.048),
      ph: 3.5,
      taGPerL: 5.5,
      tanninGPerL: 0.5,
      yanMgPerL: null,
      vessels: [{ vesselId: 'V', volumeL: 20 }],
      tempC: 18,
      ...changes,
    });
  const pitched: LogMaker['pitched'] = (day = 0.1) => entry('pitched', day, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 });
  const read: LogMaker['read'] = (day, sg, placeC = 18) =>
    entry('reading', day, { gravity: rawGravity(sg), ph: null, taGPerL: null, placeC, insistedOn: [], bubbles: null, smell: null });
  return {
    at,
    entry,
    filled,
    pitched,
    read,
    dryAt: (sg, [first, second] = [18, 26]) => [filled(), pitched(), read(7, 1.012), read(first, sg), read(second, sg)],
    racked: (day, volumeL) => entry('racked', day, { vessels: [{ vesselId: 'W', volumeL }], lossL: 0.3 }),
    malolactic: (day, how) => entry('malolactic', day, { turnedFraction: 0, wanted: true, bacteria: false, done: false, ...how }),
    primed: (day, massG = 130) => entry('primed', day, { fermentableId: 'sucrose', massG, mode: 'bulk', targetVolumes: 2.6, warmestSinceEndC: 18 }),
    bottled: (day, { kindId = 'crown-500', count = 30, ...how } = {}) =>
      entry('bottled', day, {
        bottles: [{ kindId, count }],
        testBottle: false,
        lossL: 0.4,
        crate: 'Lot',
        capColour: 'rust',
        hottestC: 22,
        acknowledged: [],
        ...how,
      }),
    kegged: (day, how = {}) =>
      entry('kegged', day, { vessel: { vesselId: 'K', volumeL: 19 }, lossL: 0.5, targetVolumes: 2.4, storeC: 4, acknowledged: [], ...how }),
    poured: (day, volumeL, sg, from) => {
      const juice = liquidFromReadings({ volumeL, sg: 1.05 });
      const liquid = from === 'juice' ? juice : fermentTo(juice, Math.max(sg, dryGravityOf(juice)));
      const part = { from, sourceId: 'OTHER', name: 'another', liquid, yeastId: from === 'juice' ? null : 'crisp-cider', guessed: [] };
      return entry('blended', day, { parts: [part], vessels: [{ vesselId: 'V', volumeL: 20 + volumeL }], tempC: 18 });
    },
  };
}
