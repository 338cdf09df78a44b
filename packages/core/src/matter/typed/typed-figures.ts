import { OWN_CARBOHYDRATE_G, OWN_LASTING_G } from '../../base/reference/own-fermentable.js';
import { LIMITS } from '../../base/errors/limits.js';
import { CoreError } from '../../base/errors/core-error.js';
import { plainWriting, writtenNumber } from './written-number.js';

/** A figure that a maker types without choosing a unit: what it is, its limits and what to do when it is out of them. */
interface TypedFigure {
  readonly name: string;
  readonly min: number;
  readonly max: number;
  /** What usually stands there, for whoever typed something else. */
  readonly says: string;
}

/** Every plain figure of the forms. @source usual ranges of juice and cider; the limits are ours, wider than what is usual and narrower than what a slip of the keys gives */
export const TYPED_FIGURES = {
  ph: { name: 'pH', ...LIMITS.juicePh, says: 'Juice lies between 2.6 and 5, commonly 3.2 to 4.0. Look at the meter again, and whether it was rinsed and set.' },
  taGPerL: {
    name: 'acid, g/L',
    ...LIMITS.juiceTaGPerL,
    says: 'Juice holds 1 to 15 g/L of acid. Check the figure, and that the acid it is written as is the right one.',
  },
  tanninGPerL: {
    name: 'tannin, g/L',
    ...LIMITS.tanninGPerL,
    says: 'Juice holds 0 to 4 g/L of tannin. Write 0.5 for soft eating apples, 2 or more for bitter ones.',
  },
  yanMgPerL: { name: 'nitrogen, mg/L', ...LIMITS.yanMgPerL, says: 'Juice holds about 30 to 200 mg/L of nitrogen that yeast can use.' },
  abv: { name: 'strength, %', ...LIMITS.wantedAbv, says: 'Ciders lie between 3 and 9 %, country wines up to 15. Write it as 6.5.' },
  sugarGPer100Ml: { name: 'sugar in 100 mL, g', ...LIMITS.sugarGPer100Ml, says: 'A carton states 8 to 14 g of sugar in 100 mL.' },
  carbohydrateG: { name: 'carbohydrate in 100 g, g', ...OWN_CARBOHYDRATE_G, says: 'Its packet says how much of 100 g is carbohydrate, such as 95.' },
  lastingG: { name: 'g in 100 g that do not ferment', ...OWN_LASTING_G, says: 'Write the polyols or fibre in 100 g; 0 where the packet names none.' },
  sugarGPerL: { name: 'sugar, g/L', ...LIMITS.sugarGPerL, says: 'A test shows grams in a litre: 2 or less when dry.' },
  packetGPerL: { name: 'dose on the packet, g/L', ...LIMITS.packetGPerL, says: 'Write grams in a litre as the packet has it, such as 0.5.' },
  fizz: {
    name: 'volumes',
    ...LIMITS.fizzVolumes,
    says: 'Ciders hold 1 volume when still and about 2.5 when sparkling; more than 3.5 is for heavy bottles alone.',
  },
  brix: { name: '°Bx', ...LIMITS.juiceBrix, says: 'A refractometer shows 0 to 30 °Bx in juice.' },
  paid: { name: 'what was paid', ...LIMITS.paid, says: 'Write what was paid as a plain number, such as 4.50.' },
  costPerL: { name: 'cost of a litre', ...LIMITS.costPerL, says: 'Write what a litre costs as a plain number, such as 1.20.' },
  sampleMl: { name: 'mL', ...LIMITS.sampleMl, says: 'Write millilitres between 0.1 and 100.' },
  normality: { name: 'strength of the base, N', ...LIMITS.normality, says: 'Write the strength on the bottle of base, such as 0.1.' },
  givenMl: { name: 'mL', ...LIMITS.givenMl, says: 'Write millilitres, such as 40.' },
  count: { name: 'number', min: 0, max: 1000, says: 'Write how many, as a number such as 2.' },
  mgPerL: { name: 'mg/L', min: 0, max: 1000, says: 'Write milligrams in a litre, such as 50.' },
  recipeDays: { name: 'days', ...LIMITS.recipeDays, says: 'Write how many days after the first, such as 7; 0 is the first day.' },
  labels: { name: 'number of labels', ...LIMITS.labels, says: `Write how many, as a number up to ${LIMITS.labels.max}.` },
  cups: { name: 'cups', ...LIMITS.teaCups, says: 'Write how many cups, such as 2.' },
  teaspoonG: {
    name: 'grams in a level teaspoon',
    ...LIMITS.teaspoonG,
    says: 'Write what a level teaspoon of it weighs in grams, such as 4.2: weigh ten and take a tenth.',
  },
  packetG: { name: 'grams in a packet', ...LIMITS.packetG, says: 'Write the grams one packet holds, such as 5. It stands on the packet.' },
  infusionDays: { name: 'days in the drink', ...LIMITS.infusionDays, says: 'Write how many days, such as 14.' },
  heatedMin: { name: 'minutes in the bath', ...LIMITS.heatedMin, says: 'Write how many minutes it was held, such as 11.' },
  steepDays: { name: 'days on the pulp', ...LIMITS.steepDays, says: 'Write how many days, such as 5.' },
  altitudeM: { name: 'height above the sea, m', ...LIMITS.altitudeM, says: 'Write metres, such as 600; 1000 feet are 305 m.' },
  days: { name: 'days', min: 0, max: 60, says: 'Write how many days, such as 7.' },
} as const satisfies Record<string, TypedFigure>;

/** Which plain figure a field takes. */
export type TypedFigureId = keyof typeof TYPED_FIGURES;

/** Words that may stand behind a plain figure and change nothing. */
const UNITS_BEHIND = /\s*(?:%|g\/l|mg\/l|g|ml|n|°?bx|°?brix|cups?|min(?:utes?)?|days?|tablets?|packets?|m)\.?$/i;

/**
 * Reads a plain figure as a maker types it, with a point or a comma and perhaps its unit.
 *
 * @param text - as typed
 * @param id - which figure it is
 * @returns the number
 * @throws {CoreError} UNREADABLE when it is no number, OUT_OF_RANGE when it cannot be right; both with a sentence to show
 */
export function parseFigure(text: string, id: TypedFigureId): number {
  const { name, min, max, says } = TYPED_FIGURES[id];
  const plain = plainWriting(text)
    .replace(/^ph\s*/i, '')
    .replace(UNITS_BEHIND, '');
  let value: number;
  try {
    value = plain.startsWith('-') ? -writtenNumber(plain.slice(1), max >= 1000) : writtenNumber(plain, max >= 1000);
  } catch (cause) {
    if (!(cause instanceof CoreError)) throw cause;
    throw new CoreError('UNREADABLE', `“${text}” is not a number. ${says}`, { field: id, given: text }, { cause });
  }
  if (value >= min && value <= max) return value;
  throw new CoreError('OUT_OF_RANGE', `“${text}” cannot be right for ${name}. ${says}`, { field: id, given: value, min, max });
}
