import { steepedLiquid } from '@trug/core';
import type { EntryPayloads, EntryKind, Fruit, ReadingInstrument } from '@trug/core';

type Fills = readonly (readonly [vesselKey: string, volumeL: number])[];
type Bottles = readonly (readonly [kindId: string, count: number])[];

/** One thing that happened to a batch. */
export interface StoryStep {
  readonly daysAgo: number;
  readonly note?: string;
  readonly add?: EntryPayloads['addition'];
  readonly pitch?: readonly [yeastId: string, massG: number, method: EntryPayloads['pitched']['method'], juiceC: number];
  readonly read?: readonly [sg: number, tempC: number];
  readonly bubbles?: EntryPayloads['reading']['bubbles'];
  readonly move?: readonly [place: string, tempC: number];
  /** Part of the batch goes into another, named, which begins with it. */
  readonly split?: readonly [into: string, volumeL: number, stays: Fills, why: string];
  readonly rack?: readonly [fills: Fills, lossL: number];
  readonly prime?: readonly [fermentableId: string, massG: number, targetVolumes: number, warmestC: number];
  readonly bottle?: readonly [bottles: Bottles, crate: string, cap: EntryPayloads['bottled']['capColour']];
  readonly keg?: readonly [vesselKey: string, volumeL: number, targetVolumes: number, storeC: number];
  readonly open?: readonly [kindId: string, count: number];
  /** Anything else, as the log has it. */
  readonly act?: Act;
}

/** A batch told by the days before today. */
export interface BatchStory {
  readonly name: string;
  readonly methodId: string;
  readonly tape: string;
  readonly daysAgo: number;
  readonly fill?: {
    readonly source: string;
    readonly fruit: Fruit;
    readonly volumeL: number;
    readonly sg: number;
    readonly instrument?: ReadingInstrument;
    readonly ph?: number;
    readonly taGPerL?: number;
    readonly tanninGPerL?: number;
    readonly vessels: Fills;
    readonly tempC: number;
  };
  /** Begins on its pulp. */
  readonly steep?: Omit<EntryPayloads['steeped'], 'vessels' | 'liquid'> & { readonly vessels: Fills };
  /** Begins with a share of another batch, told before it. */
  readonly splitFrom?: { readonly name: string; readonly volumeL: number; readonly vessels: Fills; readonly tempC: number };
  readonly then: readonly StoryStep[];
}

/** An entry's kind and payload, before it has an id and a date. */
export type Act = { readonly [K in EntryKind]: { readonly kind: K; readonly payload: EntryPayloads[K] } }[EntryKind];

type VesselIds = ReadonlyMap<string, string>;

const CALIBRATED_AT_C = 20;

/** Fills with the vessels' ids. */
export function fillsOf(fills: Fills, ids: VesselIds): { vesselId: string; volumeL: number }[] {
  return fills.map(([key, volumeL]) => ({ vesselId: ids.get(key) ?? key, volumeL }));
}

const rawGravity = (reading: number, sampleC: number, instrument: ReadingInstrument = 'hydrometer'): EntryPayloads['filled']['gravity'] => ({
  instrument,
  reading,
  sampleC: instrument === 'carton' ? null : sampleC,
  calibratedAtC: CALIBRATED_AT_C,
  offsetSg: 0,
});

/**
 * How a story begins, as an act.
 *
 * @param story - the batch
 * @param ids - vessel ids by key
 * @returns its first act
 */
export function beginAct({ fill, steep }: BatchStory, ids: VesselIds): Act {
  if (steep) {
    const liquid = steepedLiquid({ ...steep, sugarG: 0, otherSugars: steep.sugars });
    return { kind: 'steeped', payload: { ...steep, liquid, vessels: fillsOf(steep.vessels, ids) } };
  }
  if (!fill) throw new Error('a story begins with nothing');
  return {
    kind: 'filled',
    payload: {
      source: fill.source,
      fruit: fill.fruit,
      volumeL: fill.volumeL,
      gravity: rawGravity(fill.sg, fill.tempC, fill.instrument),
      ph: fill.ph ?? null,
      taGPerL: fill.taGPerL ?? null,
      tanninGPerL: fill.tanninGPerL ?? null,
      yanMgPerL: null,
      vessels: fillsOf(fill.vessels, ids),
      tempC: fill.tempC,
    },
  };
}

/**
 * A step of a story as an act.
 *
 * @param step - what happened
 * @param ids - vessel ids by key
 * @returns the act
 * @throws {Error} when the step tells nothing
 */
export function stepAct(step: StoryStep, ids: VesselIds): Act {
  if (step.act) return step.act;
  if (step.add) return { kind: 'addition', payload: step.add };
  if (step.pitch) {
    const [yeastId, massG, method, juiceC] = step.pitch;
    return { kind: 'pitched', payload: { yeastId, massG, method, juiceC } };
  }
  if (step.read) {
    const [sg, tempC] = step.read;
    return {
      kind: 'reading',
      payload: { gravity: rawGravity(sg, tempC), ph: null, taGPerL: null, placeC: tempC, insistedOn: [], bubbles: step.bubbles ?? null, smell: null },
    };
  }
  if (step.move) return { kind: 'moved', payload: { place: step.move[0], tempC: step.move[1] } };
  if (step.rack) return { kind: 'racked', payload: { vessels: fillsOf(step.rack[0], ids), lossL: step.rack[1] } };
  if (step.prime) {
    const [fermentableId, massG, targetVolumes, warmestSinceEndC] = step.prime;
    return { kind: 'primed', payload: { fermentableId, massG, mode: 'bulk', targetVolumes, warmestSinceEndC } };
  }
  if (step.bottle) {
    const [bottles, crate, capColour] = step.bottle;
    const counted = bottles.map(([kindId, count]) => ({ kindId, count }));
    const testBottle = counted.some((b) => b.kindId.startsWith('plastic'));
    return { kind: 'bottled', payload: { bottles: counted, testBottle, lossL: 0.3, crate, capColour, hottestC: 24, acknowledged: [] } };
  }
  if (step.keg) {
    const [key, volumeL, targetVolumes, storeC] = step.keg;
    return { kind: 'kegged', payload: { vessel: { vesselId: ids.get(key) ?? key, volumeL }, lossL: 0.5, targetVolumes, storeC, acknowledged: [] } };
  }
  if (step.open) return { kind: 'opened', payload: { kindId: step.open[0], count: step.open[1] } };
  throw new Error('a step of a story tells nothing');
}
