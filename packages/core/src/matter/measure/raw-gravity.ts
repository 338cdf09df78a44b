/** What a gravity is read with. */
export const READING_INSTRUMENTS = ['hydrometer', 'refractometer', 'carton'] as const;
export type ReadingInstrument = (typeof READING_INSTRUMENTS)[number];

/** A gravity as it was taken: nothing is corrected before it is stored. */
export interface RawGravity {
  readonly instrument: ReadingInstrument;
  /** The figure as read: SG, or °Bx for a refractometer. */
  readonly reading: number;
  /** °C; null when nobody looked. */
  readonly sampleC: number | null;
  readonly calibratedAtC: number;
  readonly offsetSg: number;
}
