import { caution } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import { bentoniteDose, enzymeDose } from '../../juice/adjust/enzyme-dose.js';
import type { ClearingMeans } from './clearing-means.js';
import { isWorking, type Verdict } from '../verdict/verdict.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Step, type Worked } from '../../base/worked/worked.js';

/** A way of clearing a drink. */
export interface ClearingWay {
  readonly means: ClearingMeans | 'time';
  readonly name: string;
  /** How well it suits this batch now. */
  readonly fits: 'well' | 'maybe' | 'not now';
  readonly why: string;
  /** g in all; 0 where nothing goes in. */
  readonly massG: number;
  /** What to do, in order, each with its wait until the next, minutes. */
  readonly steps: readonly { readonly text: string; readonly waitMin: number }[];
  /** Until it is worth looking, and until it should have worked, days. */
  readonly lookDays: readonly [number, number];
  readonly cautions: readonly Caution[];
  readonly working: readonly Step[];
}

/** Two-part finings, g of each part for a litre. @source usual packets of two-part finings; the packet wins */
const FININGS_FIRST_G_PER_L = 0.2;
const FININGS_SECOND_G_PER_L = 0.8;
/** The first part's time, min. @source usual packets: about an hour */
const FININGS_WAIT_MIN = 60;
/** Cold enough to settle yeast and chill haze, °C. @source usual practice */
const COLD_C = 4;
const DAY_MIN = 1440;

/** What a haze test or the fault finder found holding the haze up. */
export type HazeCause = 'pectin' | 'starch' | 'chill' | 'yeast' | 'bacteria' | 'unknown';

/**
 * The ways to clear a batch, each with its dose, its steps, an honest wait and how well it fits.
 *
 * @param input - volume, L; where it stands, °C; its verdict; what holds the haze up; whether bentonite is in already
 * @returns ways, those that fit best first
 * @throws {CoreError} OUT_OF_RANGE
 * @source usual rates and waits of packets; fits are our estimates
 */
export function clearingWays(input: {
  readonly volumeL: number;
  readonly tempC: number;
  readonly verdict: Verdict | null;
  readonly haze: HazeCause;
  readonly bentoniteIn: boolean;
}): Worked<readonly ClearingWay[]> {
  const { volumeL, tempC, haze } = input;
  const working = isWorking(input.verdict?.status);
  const all = [
    timeWay(working, haze),
    coldWay(tempC, working, haze),
    enzymeWay(input, haze),
    bentoniteWay(volumeL, working, haze),
    finingsWay(volumeL, working, haze),
  ];
  const order: readonly ClearingWay['fits'][] = ['well', 'maybe', 'not now'];
  const ways = all.sort((a, b) => order.indexOf(a.fits) - order.indexOf(b.fits));
  return worked(
    ways,
    ways.flatMap((w) => w.working),
  );
}

function timeWay(working: boolean, haze: HazeCause): ClearingWay {
  const fits = haze === 'pectin' || haze === 'starch' ? 'not now' : 'well';
  return {
    means: 'time',
    name: 'Time',
    fits: working ? 'well' : fits,
    why: working ? 'While it works, gas holds everything up. Most ciders clear by themselves once it is over.' : whyTime(haze),
    massG: 0,
    steps: [{ text: 'Leave it, full to the neck and cool, and rack it when you can read print through it.', waitMin: 42 * DAY_MIN }],
    lookDays: [28, 90],
    cautions: [],
    working: [],
  };
}

const whyTime = (haze: HazeCause): string =>
  haze === 'pectin' || haze === 'starch' ? 'Pectin and starch stay up for years.' : 'Six to twelve weeks in the cold clear most of them, and cost nothing.';

function coldWay(tempC: number, working: boolean, haze: HazeCause): ClearingWay {
  const helps = haze === 'yeast' || haze === 'chill' || haze === 'unknown';
  const step =
    haze === 'chill'
      ? 'Stand it near 0 °C for two weeks, and rack it while it is still that cold.'
      : `Stand it at ${COLD_C} °C or colder, still, for two to four weeks, then rack.`;
  return {
    means: 'cold',
    name: 'Cold',
    fits: working ? 'not now' : helps ? (tempC > 8 ? 'well' : 'maybe') : 'not now',
    why: working
      ? 'Cold would put its yeast to sleep with sugar left.'
      : helps
        ? 'Yeast and chill haze fall in the cold.'
        : 'Cold does not move pectin, starch or bacteria.',
    massG: 0,
    steps: [{ text: step, waitMin: 14 * DAY_MIN }],
    lookDays: [14, 28],
    cautions: [],
    working: [],
  };
}

function enzymeWay(
  { volumeL, tempC, bentoniteIn }: { readonly volumeL: number; readonly tempC: number; readonly bentoniteIn: boolean },
  haze: HazeCause,
): ClearingWay {
  const { value, steps } = enzymeDose({ volumeL, tempC, boiled: false, fermented: true, bentoniteIn, sulfitedHoursAgo: null });
  const { massG } = value;
  return {
    means: 'enzyme',
    name: 'Pectic enzyme',
    fits: haze === 'pectin' ? 'well' : haze === 'unknown' ? 'maybe' : 'not now',
    why:
      haze === 'pectin'
        ? 'It cuts the pectin that nothing else moves.'
        : haze === 'unknown'
          ? 'Worth it when a spirit test shows strings, or the fruit was cooked, steeped or stored soft.'
          : 'It cuts pectin, and nothing else.',
    massG,
    steps: [{ text: `Stir in ${figure(massG, 1)} g, and keep it at 15–20 °C for two weeks.`, waitMin: 14 * DAY_MIN }],
    lookDays: [14, 42],
    cautions: [],
    working: steps,
  };
}

function bentoniteWay(volumeL: number, working: boolean, haze: HazeCause): ClearingWay {
  const { value, steps, cautions } = bentoniteDose({ volumeL });
  const fits = haze === 'chill' || haze === 'starch' ? 'well' : haze === 'pectin' || haze === 'bacteria' ? 'not now' : 'maybe';
  return {
    means: 'bentonite',
    name: 'Bentonite',
    fits: working ? 'not now' : fits,
    why: working
      ? 'It would carry working yeast down.'
      : fits === 'not now'
        ? 'Clay carries protein and some starch, not this.'
        : 'Clay carries protein, some starch and tired yeast down, and a little taste with them.',
    massG: value.massG,
    steps: [
      {
        text: `Stir ${figure(value.massG, 0)} g into ${figure((value.massG * 20) / 1000, 1)} L of hot water, a little at a time, and let it swell.`,
        waitMin: DAY_MIN,
      },
      { text: 'Stir the slurry gently all through the drink, again after an hour, then leave it a week or two and rack.', waitMin: 7 * DAY_MIN },
    ],
    lookDays: [7, 21],
    cautions,
    working: steps,
  };
}

function finingsWay(volumeL: number, working: boolean, haze: HazeCause): ClearingWay {
  const [first, second] = [FININGS_FIRST_G_PER_L * volumeL, FININGS_SECOND_G_PER_L * volumeL];
  const helps = haze === 'yeast' || haze === 'unknown';
  return {
    means: 'finings',
    name: 'Two-part finings',
    fits: working ? 'not now' : helps ? 'maybe' : 'not now',
    why: working
      ? 'Rising gas would carry it all up again.'
      : helps
        ? 'Clear in two or three days, in a drink that is done and free of gas.'
        : 'They pull yeast down, and leave this haze as it is.',
    massG: first + second,
    steps: [
      { text: `Stir the gas out. Stir in the first part, ${figure(first, 1)} g.`, waitMin: FININGS_WAIT_MIN },
      { text: `Stir in the second part, ${figure(second, 1)} g, gently, and leave it quite still.`, waitMin: 2 * DAY_MIN },
    ],
    lookDays: [2, 7],
    cautions: [caution('allergen')],
    working: [
      {
        label: 'First part',
        expression: `${FININGS_FIRST_G_PER_L} g/L × ${figure(volumeL, 1)} L`,
        result: `${figure(first, 1)} g`,
        source: 'usual packet rate; your packet wins',
      },
      {
        label: 'Second part',
        expression: `${FININGS_SECOND_G_PER_L} g/L × ${figure(volumeL, 1)} L`,
        result: `${figure(second, 1)} g`,
        source: 'usual packet rate; your packet wins',
      },
    ],
  };
}
