import { CLEANING_WAYS, type CleaningMeans } from './cleaning-ways.js';
import { figure, trimmed } from '../../base/worked/figures.js';
import { dateAfter, dayText } from '../../matter/quantity/days.js';
import type { PrimingMode } from './priming-sugar.js';
import { countText } from '../../matter/quantity/count-text.js';

/** What a bottle run is made of. */
export interface RunInput {
  readonly bottleCount: number;
  /** The sugar that goes in, g, and how much that is where it is poured, L; null for a still drink. */
  readonly priming: { readonly massG: number; readonly litres: number | null; readonly of: string; readonly mode: PrimingMode } | null;
  /** Fresh yeast that goes in with the sugar, g; null for none. */
  readonly freshYeastG: number | null;
  readonly testBottle: boolean;
  /** Filled to be heated: share of the bottle left empty; null for all others. */
  readonly heatedRoom: number | null;
  readonly capColour: string;
  readonly cleanedBy: CleaningMeans;
  /** ISO 8601. */
  readonly today: string;
  readonly zone?: string | undefined;
}

/** Something to do, in its order, with how. */
export interface RunStep {
  readonly id: string;
  readonly text: string;
  readonly how: string;
  /** What it takes its time for, minutes; absent where nothing is waited for. */
  readonly waitMin?: number;
}

/** mL of water for a gram of sugar: a syrup that pours and sinks through the drink. @source usual practice, two to three */
const WATER_ML_PER_G = 2.5;
const WATER_STEP_ML = 50;
/** Days in the warm until the sugar is gone. @source usual practice, two to three weeks */
const WARM_DAYS = 21;

/**
 * Boiled water to dissolve priming sugar in.
 *
 * @param massG - the sugar, g
 * @returns mL, in steps of 50
 */
export const syrupWaterMl = (massG: number): number => Math.max(WATER_STEP_ML, Math.ceil((massG * WATER_ML_PER_G) / WATER_STEP_ML) * WATER_STEP_ML);

function restStep({ priming, heatedRoom }: Pick<RunInput, 'priming' | 'heatedRoom'>, warmUntil: string): RunStep {
  if (heatedRoom !== null) {
    return { id: 'bath', text: 'Into the bath, today', how: 'All of them, and the control bottle among them; the page for it says how long.' };
  }
  return priming === null
    ? { id: 'rest', text: 'Cool and dark', how: 'Try one after two weeks.' }
    : { id: 'warm', text: `In the warm until ${warmUntil}`, how: 'Closed crate, away from people, then cool and dark.' };
}

function sweetSteps(priming: RunInput['priming']): readonly RunStep[] {
  if (priming === null) return [];
  const { massG, litres, of, mode } = priming;
  if (mode === 'per-bottle') {
    return litres === null
      ? [{ id: 'dose', text: 'Sugar into each bottle', how: 'Level, never heaped, and each bottle once: tick them off as you go.' }]
      : [{ id: 'dose', text: `So much ${of} into each bottle`, how: 'With a syringe or a small measure, and each bottle once: tick them off as you go.' }];
  }
  return [
    litres === null
      ? {
          id: 'syrup',
          text: 'Syrup in, and the drink on top of it',
          how: `${figure(massG, 0)} g of ${of} in ${syrupWaterMl(massG)} mL of boiled water, cooled. No splashing.`,
        }
      : {
          id: 'syrup',
          text: `The ${of} in, and the drink on top of it`,
          how: `${trimmed(litres, 2)} L of it, fresh out of its carton or bottle and as warm as the drink. No splashing.`,
        },
    { id: 'stir', text: 'Stir slowly, thirty turns', how: 'From the bottom: uneven sugar is the usual burst bottle.' },
  ];
}

/**
 * The steps of a bottle run, in the order they are done.
 *
 * @param run - how many bottles, what goes in, and the day
 * @returns steps
 * @source usual practice of home makers
 */
export function runSteps({ bottleCount, priming, freshYeastG, testBottle, heatedRoom, capColour, cleanedBy, today, zone }: RunInput): readonly RunStep[] {
  const warmUntil = dayText(dateAfter(today, WARM_DAYS, zone), true);
  const clean = CLEANING_WAYS.find(({ id }) => id === cleanedBy);
  const yeast: readonly RunStep[] =
    freshYeastG === null
      ? []
      : [
          {
            id: 'yeast',
            text: `${trimmed(freshYeastG, 1)} g of fresh yeast, woken and stirred in`,
            how: 'A dry kind that stands its strength: a quarter of an hour in half a cup of water of 32 °C, then into the drink before the sugar.',
            waitMin: 15,
          },
        ];
  const test: readonly RunStep[] = testBottle
    ? [{ id: 'test', text: 'The plastic one in the middle of the run', how: 'Squeezed flat of air and screwed tight: it tells how firm the others are.' }]
    : [];
  const rest = restStep({ priming, heatedRoom }, warmUntil);
  return [
    {
      id: 'clean',
      text: `Clean ${countText(bottleCount, 'bottle')}, caps, tube and bucket`,
      how: `Hold each to the light: a chip or a scratch is where it breaks. ${clean?.how ?? ''}`.trim(),
      ...(clean ? { waitMin: clean.waitMin } : {}),
    },
    ...yeast,
    ...sweetSteps(priming),
    {
      id: 'fill',
      text: 'Fill from the bottom up',
      how:
        heatedRoom === null
          ? 'Leave two fingers of air, no more: what is left at the end goes into a glass.'
          : `Leave ${figure(heatedRoom * 100, 0)} % of each empty: measure it out once with water and hold the others beside it. The drink swells in the bath.`,
    },
    ...test,
    { id: 'cap', text: 'Cap, wipe, tape on the crate', how: `Caps of one colour tell the lot: ${capColour}.` },
    rest,
  ];
}
