/** A reading as it is given out, by hand or by a device, in Trug's own units. */
export interface ReadingOut {
  readonly batch: string;
  /** ISO 8601, UTC. */
  readonly at: string;
  /** `maker`, or the name of the device. */
  readonly by: string;
  /** What it was read with; null for a device. */
  readonly instrument: string | null;
  /** The figure as read: SG, or °Bx of a refractometer. */
  readonly reading: number | null;
  readonly sampleC: number | null;
  /** Specific gravity 20 °C/20 °C, corrected. */
  readonly sg: number | null;
  readonly plusMinusSg: number | null;
  readonly ph: number | null;
  readonly taGPerL: number | null;
  /** Of the place, or of the drink where a device floats in it. */
  readonly tempC: number | null;
  readonly massG: number | null;
  readonly note: string;
}

/** The columns of readings as CSV, in order. */
export const READING_COLUMNS = [
  'batch',
  'at',
  'by',
  'instrument',
  'reading',
  'sampleC',
  'sg',
  'plusMinusSg',
  'ph',
  'taGPerL',
  'tempC',
  'massG',
  'note',
] as const satisfies readonly (keyof ReadingOut)[];

const figure = (description: string): object => ({ type: ['number', 'null'], description });

/** What readings look like as JSON, as a JSON Schema. */
export const READINGS_SCHEMA = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Readings of one batch',
  type: 'array',
  items: {
    type: 'object',
    additionalProperties: false,
    required: READING_COLUMNS,
    properties: {
      batch: { type: 'string', description: 'Name of the batch' },
      at: { type: 'string', format: 'date-time', description: 'When it was read, UTC' },
      by: { type: 'string', description: '“maker”, or the name of the device' },
      instrument: { type: ['string', 'null'], description: 'What it was read with; null for a device' },
      reading: figure('As read: specific gravity, or °Bx of a refractometer'),
      sampleC: figure('Temperature of the sample, °C'),
      sg: figure('Specific gravity 20 °C/20 °C, corrected'),
      plusMinusSg: figure('How far it may be off'),
      ph: figure('pH'),
      taGPerL: figure('Titratable acidity as malic acid, g/L'),
      tempC: figure('Temperature of the place or the drink, °C'),
      massG: figure('Weight on a scale, g'),
      note: { type: 'string' },
    },
  },
} as const;
