/** A reading's form as typed. */
export interface ReadingFields {
  readonly gravity: string;
  readonly instrument: string;
  readonly sample: string;
  readonly place: string;
  readonly ph: string;
  readonly ta: string;
  readonly bubbles: string;
  readonly note: string;
  readonly day: string;
}

/** An empty reading. */
export const NO_READING: ReadingFields = { gravity: '', instrument: 'hydrometer', sample: '', place: '', ph: '', ta: '', bubbles: '', note: '', day: '' };
