import { caution } from '../../base/cautions/catalogue.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';

/** Above this much nitrogen yeast does not starve, mg/L; what is allowed of acidity and warmth. @source design rules for keeving, after usual orchard practice */
const MOST_YAN_MG_PER_L = 75;
const PH = { least: 3.4, most: 4 } as const;
const WARMTH_C = { least: 5, most: 10 } as const;
/** Calcium chloride, g/L. @source design rule */
const CALCIUM_G_PER_L = 0.4;
/** Days in which the brown cap comes, if it comes. @source design rule */
export const CAP_DAYS = [3, 8] as const;
const DAY_MIN = 24 * 60;

/** Something that speaks for or against keeving a juice. */
export interface KeevingSign {
  readonly id: 'nitrogen' | 'acidity' | 'warmth';
  readonly isRight: boolean;
  readonly says: string;
}

/** A timed step. */
export interface KeevingStep {
  readonly text: string;
  readonly waitMin: number;
}

/** How a juice is keeved, and how likely it is to work. */
export interface KeevingPlan {
  readonly signs: readonly KeevingSign[];
  /** Whether all of them speak for it. It fails often enough even so. */
  readonly mayWork: boolean;
  readonly calciumG: number;
  readonly steps: readonly KeevingStep[];
  /** How it goes on once it stands off its cap. */
  readonly after: string;
  /** What can go wrong, and what is left to do then. */
  readonly failures: readonly string[];
}

const nitrogen = (yanMgPerL: number): KeevingSign => ({
  id: 'nitrogen',
  isRight: yanMgPerL < MOST_YAN_MG_PER_L,
  says:
    yanMgPerL < MOST_YAN_MG_PER_L
      ? `About ${figure(yanMgPerL, 0)} mg/L of nitrogen, a usual figure unless it was measured: lean enough to starve its yeast.`
      : `About ${figure(yanMgPerL, 0)} mg/L of nitrogen. Over ${MOST_YAN_MG_PER_L} its yeast does not starve and eats all the sugar: fruit of old, unfed trees has less.`,
});

function acidity(exactPh: number): KeevingSign {
  // As a meter shows it: nobody knows the third figure.
  const ph = Math.round(exactPh * 100) / 100;
  const isRight = ph >= PH.least && ph <= PH.most;
  const way =
    ph < PH.least ? 'More acid, and the enzyme hardly works: a riper, softer juice is wanted.' : 'So little acid, and spoilage comes first: it wants acid.';
  return { id: 'acidity', isRight, says: `pH ${figure(ph, 2)}, where ${PH.least} to ${PH.most} is right.${isRight ? '' : ` ${way}`}` };
}

function warmth(tempC: number): KeevingSign {
  const isRight = tempC >= WARMTH_C.least && tempC <= WARMTH_C.most;
  const way = tempC > WARMTH_C.most ? 'Warmer, and it works before the cap is up, which then sinks.' : 'Colder, and the enzyme sleeps.';
  return { id: 'warmth', isRight, says: `${celsius(tempC)}, where ${WARMTH_C.least} to ${celsius(WARMTH_C.most)} is right.${isRight ? '' : ` ${way}`}` };
}

const FAILURES: readonly string[] = [
  `No cap after ${CAP_DAYS[1]} days, or it sinks as the juice begins to work: it is an ordinary juice then. Pitch it, or let it work by itself.`,
  'It goes dry all the same: it was fed by its lees, or not racked in time. It is a dry cider then, and a good one.',
  'It turns to vinegar or film, since it works for so long: keep it full, cold and under an airlock.',
  'It wakes in spring, in the bottle: so it is bottled by what a sample fermented out in the warm still loses, and never by a quiet airlock.',
];

const AFTER =
  'Then without food, by its own yeast or a pinch of a slow one, as cold as it will work. Read it each month, and rack it off its lees whenever it loses more than a point of gravity in a week: two or three times by spring.';

/**
 * How a juice is keeved: its pectin is set into a brown cap that takes the food of the yeast along, so that it works slowly and
 * stops before it is dry. A difficult way, with its failures named.
 *
 * @param input - the juice before yeast, and where it stands, °C
 * @returns what speaks for and against it, what goes in, the steps with their waits, and what can go wrong
 * @throws {CoreError} OUT_OF_RANGE
 * @source design rules: nitrogen under 75 mg/L, pH 3.4–4.0, 5–10 °C, pectin methylesterase, 0.4 g/L of calcium chloride, a cap in 3–8 days
 */
export function keevingPlan({ liquid, tempC }: { readonly liquid: Liquid; readonly tempC: number }): Worked<KeevingPlan> {
  inRange('tempC', tempC, LIMITS.tempC);
  const signs = [nitrogen(liquid.yanMgPerL), acidity(phOf(liquid)), warmth(tempC)];
  const calciumG = CALCIUM_G_PER_L * liquid.volumeL;
  return worked(
    {
      signs,
      mayWork: signs.every((sign) => sign.isRight),
      calciumG,
      steps: [
        {
          text: 'Pectin methylesterase, and no other enzyme, stirred in by its packet: one that splits pectin makes a cap impossible.',
          waitMin: 12 * 60,
        },
        { text: `${figure(calciumG, 1)} g of food-grade calcium chloride, dissolved in water, stirred in gently.`, waitMin: CAP_DAYS[0] * DAY_MIN },
        { text: 'Look: a firm brown cap on top, clear juice under it, lees below. Give it until the eighth day.', waitMin: 0 },
        { text: 'Rack the clear middle from under the cap the day it stands firm, into a full vessel, without a splash.', waitMin: 0 },
      ],
      after: AFTER,
      failures: FAILURES,
    },
    [
      {
        label: 'Calcium chloride',
        expression: `${CALCIUM_G_PER_L} g/L × ${figure(liquid.volumeL, 1)} L`,
        result: `${figure(calciumG, 1)} g`,
        source: 'usual practice; the packet wins',
      },
    ],
    [caution('keeving')],
  );
}
