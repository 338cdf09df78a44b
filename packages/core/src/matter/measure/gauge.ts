import { brixFromSg } from '../density/brix.js';
import type { RawGravity } from './raw-gravity.js';

/** What a gravity is read with by hand. */
export const GAUGE_KINDS = ['hydrometer', 'refractometer'] as const;

/** What a stem or a lens is true by. */
export interface GaugeScale {
  readonly kind: (typeof GAUGE_KINDS)[number];
  /** Where a stem is true, °C. */
  readonly calibratedAtC: number;
  /** What must be added to what a stem shows, SG. */
  readonly offsetSg: number;
  /** What must be added to what a lens shows, °Bx. */
  readonly offsetBrix: number;
}

/** A stem or a lens, with what its last check found. */
export interface Gauge extends GaugeScale {
  readonly id: string;
  readonly name: string;
}

/** How a stem is marked that nobody has put into the cupboard, and what it is off by. */
export type PlainStem = Pick<Gauge, 'calibratedAtC' | 'offsetSg'>;

/** A stem of which nothing is known, and what was put right by a sum already. @source usual mark of hydrometers for beer and wine, 20 °C */
export const PLAIN_STEM: GaugeScale = { kind: 'hydrometer', calibratedAtC: 20, offsetSg: 0, offsetBrix: 0 };

/** An instrument of the cupboard, of any kind. */
export interface InstrumentOfCupboard {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly calibratedAtC: number;
  /** In its own unit. */
  readonly offset: number;
}

const plainGauge = (kind: Gauge['kind'], { calibratedAtC, offsetSg }: PlainStem): Gauge => ({
  id: kind,
  kind,
  name: kind,
  calibratedAtC,
  offsetSg: kind === 'hydrometer' ? offsetSg : 0,
  offsetBrix: 0,
});

/**
 * The gauges of a cupboard. Where it has none of a kind, a plain one stands for it.
 *
 * @param instruments - those that are in use
 * @param plain - how a plain stem is marked
 * @returns hydrometers first; at least one of each kind
 */
export function gaugesOf(instruments: readonly InstrumentOfCupboard[], plain: PlainStem): readonly Gauge[] {
  return GAUGE_KINDS.flatMap((kind): readonly Gauge[] => {
    const own = instruments.filter((i) => i.kind === kind);
    if (own.length === 0) return [plainGauge(kind, plain)];
    return own.map(({ id, name, calibratedAtC, offset }) => ({
      id,
      kind,
      name,
      calibratedAtC,
      offsetSg: kind === 'hydrometer' ? offset : 0,
      offsetBrix: kind === 'refractometer' ? offset : 0,
    }));
  });
}

/**
 * The gauge that was chosen.
 *
 * @param gauges - those there are
 * @param chosen - its id, or only its kind
 * @returns it, the first of its kind, or the first of all where it is not there any more; undefined of none
 */
export const gaugeNamed = (gauges: readonly Gauge[], chosen: string): Gauge | undefined =>
  gauges.find(({ id }) => id === chosen) ?? gauges.find(({ kind }) => kind === chosen) ?? gauges[0];

/**
 * A gravity as it is stored, with what it was read with.
 *
 * @param gauge - the stem or lens
 * @param sg - what it showed, SG
 * @param sampleC - warmth of the sample, °C; null when nobody looked
 * @returns the raw reading; a lens is put right by its check, a stem when the reading is corrected
 */
export function rawGravityBy({ kind, calibratedAtC, offsetSg, offsetBrix }: GaugeScale, sg: number, sampleC: number | null): RawGravity {
  const reading = kind === 'refractometer' ? Math.max(0, brixFromSg(sg) + offsetBrix) : sg;
  return { instrument: kind, reading, sampleC, calibratedAtC, offsetSg };
}
