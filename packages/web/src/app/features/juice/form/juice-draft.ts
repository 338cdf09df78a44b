import type { StoredJuice } from '@trug/contract/plain';
import type { Fruit, RawGravity, Worked } from '@trug/core';
import { attempt } from '@trug/core/base/errors/attempt';
import { isWithin } from '@trug/core/base/errors/guards';
import { LIMITS } from '@trug/core/base/errors/limits';
import { JUICE_ORIGINS, type JuiceOrigin } from '@trug/core/juice/fruit/juice';
import { ACID_EQUIVALENT_G, convertAcidity, titratableAcidity, type AcidityAs } from '@trug/core/matter/measure/acidity';
import { correctGravity } from '@trug/core/matter/measure/correct-gravity';
import { rawGravityOfCarton } from '@trug/core/matter/measure/carton-gravity';
import { parseFigure, type TypedFigureId } from '@trug/core/matter/typed/typed-figures';
import { fruitById } from '@trug/core/base/reference/fruit-library';
import { figure, gravityText } from '@trug/core/base/worked/figures';

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

/** What a reading with a unit may be, in canonical units. */
interface Bounds {
  readonly min: number;
  readonly max: number;
  readonly says: string;
}

const SG: Bounds = {
  ...LIMITS.juiceSg,
  says: 'Juice reads 1.030 to 1.090 on a hydrometer. A concentrate that is not made up yet reads more: say that it is one.',
};
/** A concentrate as it comes. */
const CONCENTRATE_SG: Bounds = { ...LIMITS.concentrateSg, says: 'A concentrate reads 1.300 to 1.360.' };

/** What is chosen where a gravity is known by what the carton says. */
export const CARTON = 'carton';

/** How a gravity is read in the maker's units, with the maker's gauges; null when empty, or when it cannot be read. */
export interface FormUnits {
  readonly gravity: (text: string, by: string, sample: string) => RawGravity | null;
  /** What a price is for, L. */
  readonly measureL: number;
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
  const number = (field: JuiceField, figure: TypedFigureId): number | null => {
    if (fields[field].trim() === '') return null;
    const read = attempt(() => parseFigure(fields[field], figure));
    if (read.ok) return read.value;
    problems[field] = read.error.message;
    return null;
  };
  const byCarton = (): RawGravity | null => {
    const sugarGPer100Ml = number('gravity', 'sugarGPer100Ml');
    return sugarGPer100Ml === null ? null : rawGravityOfCarton({ sugarGPer100Ml, fruit: fields.fruit as Fruit });
  };
  const byGauge = (): RawGravity | null => {
    const read = units.gravity(fields.gravity, fields.instrument, fields.sample);
    if (read === null) return null;
    const bounds = fields.origin === 'concentrate' ? CONCENTRATE_SG : SG;
    const corrected = attempt(() => correctGravity(read, null));
    if (corrected.ok && isWithin(corrected.value.sg, bounds)) return read;
    problems.gravity = `${fields.gravity} cannot be right. ${bounds.says}`;
    return null;
  };
  const gravity = fields.instrument === CARTON ? byCarton() : byGauge();
  const taWorking = titration(fields, number);
  const cost = number('cost', 'costPerL');
  const asMalic = (): number | null => {
    const gPerL = number('ta', 'taGPerL');
    if (gPerL === null) return null;
    const from: AcidityAs = fields.taAs in ACID_EQUIVALENT_G ? (fields.taAs as AcidityAs) : 'malic';
    return convertAcidity({ gPerL, from, to: 'malic' });
  };
  const taGPerL = fields.taBy === 'titration' ? (taWorking?.value ?? null) : asMalic();
  return {
    problems,
    readings: {
      gravity,
      ph: number('ph', 'ph'),
      taGPerL,
      taWorking,
      tanninGPerL: number('tannin', 'tanninGPerL'),
      yanMgPerL: number('yan', 'yanMgPerL'),
      costPerL: cost === null ? null : cost / units.measureL,
    },
  };
}

function titration(fields: Fields, number: (field: JuiceField, figure: TypedFigureId) => number | null): Worked<number> | null {
  if (fields.taBy !== 'titration') return null;
  const titrantMl = number('titrantMl', 'sampleMl');
  const sampleMl = number('sampleMl', 'sampleMl');
  const normality = number('normality', 'normality');
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
 * @param measureL - what a price is for, L
 * @returns fields
 */
export function fieldsOf(juice: StoredJuice, volumeText: (valueL: number) => string, temperatureText: (valueC: number) => string, measureL: number): Fields {
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
    gravity:
      gravity === null ? '' : gravity.instrument === 'refractometer' ? `${figure(gravity.reading, 1)} Bx` : gravityText(gravity.reading, 4).replace(/0$/, ''),
    sample: gravity === null || gravity.sampleC === null ? '' : temperatureText(gravity.sampleC),
    ph: asText(juice.ph),
    taBy: 'figure',
    ta: juice.taGPerL === null ? '' : String(Math.round(juice.taGPerL * 100) / 100),
    tannin: asText(juice.tanninGPerL),
    yan: asText(juice.yanMgPerL),
    cost: asText(juice.costPerL === null ? null : Math.round(juice.costPerL * measureL * 100) / 100),
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
