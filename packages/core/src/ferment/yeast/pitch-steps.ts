import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import type { YeastKind } from '../../base/reference/yeast-kinds-data.js';
import { USUAL_MUST_C } from './pitch-rate.js';
import { celsius, figure } from '../../base/worked/figures.js';

/** How yeast goes in. */
export type PitchWay = 'sprinkled' | 'rehydrated' | 'starter' | 'wild' | 'left';

/** One step, with how long it takes. */
export interface PitchStep {
  readonly text: string;
  /** Minutes until the next step; 0 for at once. */
  readonly waitMin: number;
}

/** Water a gram of dry yeast is rehydrated in, mL. @source usual packet advice: ten times its weight */
export const WATER_ML_PER_G = 10;
/** Temperature of rehydration, °C. @source usual packet advice: 35–40 for wine kinds, cooler for ale kinds */
export const REHYDRATE_C = 35;
/** Largest difference between yeast and juice when they meet, °C. @source usual packet advice: under 10 */
const MOST_JUMP_C = 8;
/** Minutes in a day. */
export const DAY_MIN = 1440;

/** Juice as a jug measures it, to ten millilitres. */
const tensOfMl = (ml: number): string => `${figure(Math.round(ml / 10) * 10, 0)} mL`;

/** Juice by the spoonful, so that the cup comes down to the juice in jumps that yeast stands. */
function coolingSteps(cupMl: number, juiceC: number): readonly PitchStep[] {
  const jumps = Math.ceil((REHYDRATE_C - juiceC) / MOST_JUMP_C);
  const steps: PitchStep[] = [];
  let [ml, tempC] = [cupMl, REHYDRATE_C];
  for (let i = 1; i < jumps; i += 1) {
    const next = REHYDRATE_C - (i * (REHYDRATE_C - juiceC)) / jumps;
    const added = (ml * (tempC - next)) / (next - juiceC);
    steps.push({ text: `Add ${figure(added, 0)} mL of the juice: the cup cools to about ${figure(next, 0)} °C.`, waitMin: 5 });
    [ml, tempC] = [ml + added, next];
  }
  return steps;
}

/** The juice beside what the yeast likes; of a juice that nobody read, that it be read. */
function warmthText({ tempC: [, from, to] }: YeastKind, readC: number | null): string {
  const liked = `${from} to ${to} °C`;
  if (readC === null) return `Read how warm the juice is, and bring it into ${liked} if you can.`;
  return readC >= from && readC <= to
    ? `The juice is at ${celsius(readC)}, which suits it.`
    : `Bring the juice into ${liked} if you can. It is at ${celsius(readC)}.`;
}

/**
 * Pitching as a list of timed steps with amounts for this volume.
 *
 * @param input - the kind of yeast, g of it (0 for wild), the way, the juice's temperature, °C, null where nobody read it, and volume, L
 * @returns steps in order
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source usual packet advice; temperatures are matched so that the yeast meets no jump above 8 °C
 */
export function pitchSteps(input: {
  readonly yeastId: string;
  readonly massG: number;
  readonly way: PitchWay;
  readonly juiceC: number | null;
  readonly volumeL: number;
}): readonly PitchStep[] {
  const yeast = yeastById(input.yeastId);
  const massG = inRange('massG', input.massG, LIMITS.smallDoseG);
  const readC = input.juiceC === null ? null : inRange('juiceC', input.juiceC, LIMITS.tempC);
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.volumeL);
  const grams = `${figure(massG, 1)} g`;
  switch (input.way) {
    case 'sprinkled':
      return [
        { text: warmthText(yeast, readC), waitMin: 0 },
        { text: `Sprinkle ${grams} over the surface and leave it.`, waitMin: 15 },
        { text: 'Stir it in, close loosely, fit the airlock.', waitMin: 0 },
      ];
    case 'rehydrated': {
      return [
        { text: `Warm ${figure(massG * WATER_ML_PER_G, 0)} mL of clean water to ${REHYDRATE_C} °C in a clean cup.`, waitMin: 0 },
        { text: `Sprinkle ${grams} on it. Do not stir.`, waitMin: 15 },
        { text: 'Stir gently until it is even.', waitMin: 5 },
        ...(readC === null ? [{ text: `Read how warm the juice is: from here it is taken to be at ${celsius(USUAL_MUST_C)}.`, waitMin: 0 }] : []),
        ...coolingSteps(massG * WATER_ML_PER_G, readC ?? USUAL_MUST_C),
        { text: `Cup and juice now differ by less than ${MOST_JUMP_C + 1} °C: pour it in and stir.`, waitMin: 0 },
      ];
    }
    case 'starter':
      return [
        { text: `Boil ${tensOfMl(volumeL * 50)} of the juice two minutes and let it cool to 25 °C in a covered jar.`, waitMin: 60 },
        { text: `Sprinkle ${grams} on it, cover loosely and keep it warm.`, waitMin: DAY_MIN },
        {
          text: `It should foam. Add as much juice again, and let it cool to within ${MOST_JUMP_C} °C of the juice${readC === null ? '' : ` (${celsius(readC)})`}.`,
          waitMin: 12 * 60,
        },
        { text: 'Pour it in while it works.', waitMin: 0 },
      ];
    case 'left':
      return [
        { text: 'Nothing goes in. Cover it, leave room for foam, and keep it cool: its own yeast is at work within days to three weeks.', waitMin: 0 },
        { text: 'Once the foam has settled, fill the vessel to the neck and fit the airlock.', waitMin: 0 },
      ];
    case 'wild':
      return [
        { text: `Take ${tensOfMl(volumeL * 30)} of the freshest juice, with a few washed peels, into a clean jar. Cover with a cloth.`, waitMin: DAY_MIN },
        { text: 'Stir twice a day. Throw it out if it smells of vinegar, glue or rot.', waitMin: 2 * DAY_MIN },
        { text: `When it foams and smells clean, feed it ${tensOfMl(volumeL * 60)} of juice.`, waitMin: DAY_MIN },
        { text: 'Pour it in while it works, and fill the vessel to the neck once the foam has settled.', waitMin: 0 },
      ];
  }
}
