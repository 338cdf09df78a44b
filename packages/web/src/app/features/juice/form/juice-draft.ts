import type { StoredJuice } from '@trug/contract/plain';
import type { Fruit, RawGravity, Worked } from '@trug/core';
import { attempt } from '@trug/core/errors/attempt';
import { LIMITS } from '@trug/core/errors/guards';
import { JUICE_ORIGINS, type JuiceOrigin } from '@trug/core/juice/juice';
import { ACID_EQUIVALENT_G, convertAcidity, titratableAcidity, type AcidityAs } from '@trug/core/measure/acidity';
import { gravityFromCarton } from '@trug/core/measure/carton-gravity';
import { fruitById } from '@trug/core/reference/fruit-library';
import { gravityText } from '@trug/core/worked/figures';

/** A juice as typed. */
export const JUICE_FIELDS = {
  /** The version of the card the form was filled from; empty for a new one. */
  version: '',
  name: '',
  origin: 'pressed',
  fruit: 'apple',
  fruitId: '',
  volume: '',
  instrument: 'hydrometer',
  gravity: '',
  sample: '',
  ph: '',
  taBy: 'titration',
  ta: '',
  taAs: 'malic',
  sampleMl: '10',
  titrantMl: '',
  normality: '0.1',
  tannin: '',
  yan: '',
  cost: '',
  preservative: 'none',
  vitaminC: 'no',
  fromConcentrate: 'no',
  gone: '',
  note: '',
};

/** The fields' names. */
export type JuiceField = keyof typeof JUICE_FIELDS;
type Fields = typeof JUICE_FIELDS;

/** What was read out of the form. */
export interface JuiceReadings {
  readonly gravity: RawGravity | null;
  readonly ph: number | null;
  readonly taGPerL: number | null;
  readonly taWorking: Worked<number> | null;
  readonly tanninGPerL: number | null;
  readonly yanMgPerL: number | null;
  readonly costPerL: number | null;
}

/** A form read: what is wrong beside each field, and what could be read. */
export interface ReadJuice {
  readonly problems: Readonly<Partial<Record<JuiceField, string>>>;
  readonly readings: JuiceReadings;
}

interface Bounds {
  readonly min: number;
  readonly max: number;
  readonly says: string;
}

const PH: Bounds = {
  min: 2.5,
  max: 5,
  says: 'Juice lies between pH 2.5 and 5, commonly 3.2 to 4.0. Look at the meter again, and whether it was rinsed and set.',
};
const TA: Bounds = { min: 0, max: 30, says: 'Juice holds 1 to 15 g/L of acid. Check the figure, and that the acid it is written as is the right one.' };
const TANNIN: Bounds = { min: 0, max: 10, says: 'Juice holds 0 to 4 g/L of tannin. Write 0.5 for soft eating apples, 2 or more for bitter ones.' };
const YAN: Bounds = { min: 0, max: 800, says: 'Juice holds about 30 to 200 mg/L of nitrogen yeast can use.' };
const COST: Bounds = { min: 0, max: 1000, says: 'Write what a litre costs as a plain number, such as 1.20.' };
const ML: Bounds = { min: 0.1, max: 100, says: 'Write millilitres between 0.1 and 100.' };
const NORMALITY: Bounds = { min: 0.01, max: 1, says: 'Write the strength on the bottle of base, such as 0.1.' };
const BRIX: Bounds = { min: 0, max: LIMITS.brix.max, says: 'A refractometer shows 0 to 30 °Bx in juice.' };
const CARTON_SUGAR: Bounds = { min: 2, max: 30, says: 'A carton states 8 to 14 g of sugar in 100 mL.' };
const SG: Bounds = { min: 1, max: LIMITS.sg.max, says: 'Juice reads 1.030 to 1.090 on a hydrometer.' };
const SAMPLE_C: Bounds = { min: 0, max: 60, says: 'A sample lies between 0 and 60 °C.' };

/** How a gravity and a temperature are read in the maker's units; null when empty. */
export interface FormUnits {
  readonly gravity: (text: string) => { readonly ok: boolean; readonly value: number } | null;
  readonly temperature: (text: string) => { readonly ok: boolean; readonly value: number } | null;
  readonly calibratedAtC: number;
  readonly offsetSg: number;
}

/**
 * Reads a juice form. Whatever cannot be is named beside its field with what to do; the text itself stays as typed.
 *
 * @param fields - as typed
 * @param units - how quantities are read
 * @returns problems by field and the readings
 */
export function readJuice(fields: Fields, units: FormUnits): ReadJuice {
  const problems: Partial<Record<JuiceField, string>> = {};
  const number = (field: JuiceField, { min, max, says }: Bounds): number | null => {
    const text = fields[field].trim().replace(',', '.');
    if (text === '') return null;
    const value = Number(text);
    if (text !== '' && value >= min && value <= max) return value;
    problems[field] = `${Number.isFinite(value) ? fields[field] : `“${fields[field]}”`} cannot be right. ${says}`;
    return null;
  };
  const within = (field: JuiceField, read: { readonly ok: boolean; readonly value: number } | null, { min, max, says }: Bounds): number | null => {
    if (read?.ok !== true) return null;
    if (read.value >= min && read.value <= max) return read.value;
    problems[field] = `${fields[field]} cannot be right. ${says}`;
    return null;
  };
  const reading = (): number | null => {
    if (fields.instrument === 'refractometer') return number('gravity', BRIX);
    if (fields.instrument === 'carton') {
      const sugarGPer100Ml = number('gravity', CARTON_SUGAR);
      return sugarGPer100Ml === null ? null : gravityFromCarton({ sugarGPer100Ml, fruit: fields.fruit as Fruit }).value;
    }
    return within('gravity', units.gravity(fields.gravity), SG);
  };
  const read = reading();
  const gravity: RawGravity | null =
    read === null
      ? null
      : {
          instrument: fields.instrument === 'refractometer' || fields.instrument === 'carton' ? fields.instrument : 'hydrometer',
          reading: read,
          sampleC: fields.instrument === 'hydrometer' ? within('sample', units.temperature(fields.sample), SAMPLE_C) : null,
          calibratedAtC: units.calibratedAtC,
          offsetSg: fields.instrument === 'hydrometer' ? units.offsetSg : 0,
        };
  const taWorking = titration(fields, number);
  const asMalic = (): number | null => {
    const gPerL = number('ta', TA);
    if (gPerL === null) return null;
    const from: AcidityAs = fields.taAs in ACID_EQUIVALENT_G ? (fields.taAs as AcidityAs) : 'malic';
    return convertAcidity({ gPerL, from, to: 'malic' });
  };
  const taGPerL = fields.taBy === 'titration' ? (taWorking?.value ?? null) : asMalic();
  return {
    problems,
    readings: {
      gravity,
      ph: number('ph', PH),
      taGPerL,
      taWorking,
      tanninGPerL: number('tannin', TANNIN),
      yanMgPerL: number('yan', YAN),
      costPerL: number('cost', COST),
    },
  };
}

function titration(fields: Fields, number: (field: JuiceField, bounds: Bounds) => number | null): Worked<number> | null {
  if (fields.taBy !== 'titration') return null;
  const titrantMl = number('titrantMl', ML);
  const sampleMl = number('sampleMl', ML);
  const normality = number('normality', NORMALITY);
  if (titrantMl === null || sampleMl === null || normality === null) return null;
  const done = attempt(() => titratableAcidity({ titrantMl, sampleMl, normality }));
  return done.ok ? done.value : null;
}

/** The origin out of its text. */
export const originOf = (text: string): JuiceOrigin => JUICE_ORIGINS.find((o) => o === text) ?? 'pressed';

/** The fruit a juice counts as: that of its kind in the library, or as said. */
export const fruitOf = (fields: Fields): Fruit => (fields.fruitId === '' ? (fields.fruit as Fruit) : fruitById(fields.fruitId).fruit);

const asText = (value: number | null): string => (value === null ? '' : String(value));

/**
 * A stored juice as the form would hold it, to be changed.
 *
 * @param juice - the card
 * @param volumeText - its litres in the maker's units
 * @param temperatureText - a temperature in the maker's units
 * @returns fields
 */
export function fieldsOf(juice: StoredJuice, volumeText: (valueL: number) => string, temperatureText: (valueC: number) => string): Fields {
  const { gravity } = juice;
  return {
    ...JUICE_FIELDS,
    version: String(juice.version),
    name: juice.name,
    origin: juice.origin,
    fruit: juice.fruit,
    fruitId: juice.fruitId ?? '',
    volume: volumeText(juice.volumeL),
    instrument: gravity?.instrument === 'refractometer' ? 'refractometer' : 'hydrometer',
    gravity: gravity === null ? '' : gravity.instrument === 'refractometer' ? String(gravity.reading) : gravityText(gravity.reading, 4).replace(/0$/, ''),
    sample: gravity === null || gravity.sampleC === null ? '' : temperatureText(gravity.sampleC),
    ph: asText(juice.ph),
    taBy: 'figure',
    ta: juice.taGPerL === null ? '' : String(Math.round(juice.taGPerL * 100) / 100),
    tannin: asText(juice.tanninGPerL),
    yan: asText(juice.yanMgPerL),
    cost: asText(juice.costPerL),
    preservative: juice.preserved ? 'sorbate-benzoate' : 'none',
    vitaminC: juice.vitaminC ? 'yes' : 'no',
    fromConcentrate: juice.fromConcentrate === true ? 'yes' : 'no',
    gone: juice.goneL > 0 ? volumeText(juice.goneL) : '',
    note: juice.note,
  };
}

/**
 * Whether some fields of the form still hold what they were filled with, so that the stored figure stays as it is:
 * what the form shows is rounded, and a carton's gravity is shown as a hydrometer's.
 *
 * @param fields - as they are now
 * @param initial - as the form was filled; null for a new juice
 * @param names - which fields
 * @returns true when none was touched
 */
export function untouched(fields: Fields, initial: Fields | null, names: readonly JuiceField[]): boolean {
  return initial !== null && names.every((name) => fields[name] === initial[name]);
}
