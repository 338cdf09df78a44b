import { evenly } from '../../base/numeric/normal.js';
import type { FermentSetting } from './ferment-model.js';
import { SPREAD, type RateBelief } from './traits-prior.js';

/**
 * Shapes a fall of gravity can have. Real ferments share no one curve: some end abruptly, some with a long thin tail, some
 * in two phases as one sugar goes before the other, some with a second wind, some after a rest.
 *
 * @source plain closed forms, in usual use for growth and decay
 */
export const FAMILIES = ['decay', 'abrupt', 'bell', 'logistic', 'gompertz', 'two-phase', 'second-wind', 'rest'] as const;

/** One of them. */
export type Family = (typeof FAMILIES)[number];

/** How often each is believed to be met with, before any reading. @source our estimate, checked by family in the tests */
export const FAMILY_WEIGHTS: Readonly<Record<Family, number>> = {
  decay: 0.15,
  abrupt: 0.11,
  bell: 0.16,
  logistic: 0.2,
  gompertz: 0.02,
  'two-phase': 0.05,
  'second-wind': 0.09,
  rest: 0.22,
};

/** One possible fall, by a clock that runs with the warmth. */
export interface Curve {
  readonly family: Family;
  /** On the clock, days from pitching until it shows, and from there until half of it is gone. */
  readonly lag: number;
  readonly half: number;
  /** How sharply it sets in, by the measure of its family. */
  readonly steep: number;
  /** The power of what is left that its pace goes with: abrupt under 1, a thin tail above. */
  readonly order: number;
  /** Of a fall in two: the share of the first, when the second begins or the rest does, and its half or length. */
  readonly firstShare: number;
  readonly secondFrom: number;
  readonly secondDays: number;
  readonly endSg: number;
  /** Share of the fall at which it stops for good; 1 when it does not. */
  readonly stopsAt: number;
}

/** A share of something by how far it has come; what it needs of its curve is worked out once. */
type Fall = (x: number) => number;

/** Share gone of a fall whose pace goes with a power of what is left, half of it at x = 1. */
function decay(order: number): Fall {
  const a = Math.abs(order - 1) < 0.02 ? 0.02 : order - 1;
  const [pace, root] = [2 ** a - 1, -1 / a];
  return (x) => {
    const left = 1 + pace * x;
    return left <= 0 ? 1 : 1 - left ** root;
  };
}

/** An S about x = 1, begun at nothing. */
function logistic(steep: number): Fall {
  const at0 = 1 / (1 + Math.exp(steep));
  return (x) => (1 / (1 + Math.exp(-steep * (x - 1))) - at0) / (1 - at0);
}

/** An S about x = 1 by doubling powers, begun at nothing. */
function gompertz(steep: number): Fall {
  const least = Math.exp(-steep);
  const c = Math.log(steep / -Math.log(0.5 + 0.5 * least));
  return (x) => (Math.exp(-steep * Math.exp(-c * x)) - least) / (1 - least);
}

/** The fall of a curve by the days since it began to show, as if it never stopped. */
function fallOf({ family, half, steep, order, firstShare, secondFrom, secondDays }: Curve): Fall {
  switch (family) {
    case 'decay':
    case 'abrupt':
    case 'bell': {
      const fall = decay(order);
      return (t) => fall((t / half) ** steep);
    }
    case 'gompertz': {
      const fall = gompertz(steep);
      return (t) => fall(t / half);
    }
    case 'logistic': {
      const fall = logistic(steep);
      return (t) => fall(t / half);
    }
    case 'two-phase': {
      const [first, second] = [decay(1), decay(order)];
      return (t) => firstShare * first((t / half) ** steep) + (1 - firstShare) * second((t / secondDays) ** (0.5 + 0.5 * steep));
    }
    case 'second-wind': {
      const fall = logistic(steep);
      return (t) => firstShare * fall(t / half) + (t <= secondFrom ? 0 : (1 - firstShare) * fall((t - secondFrom) / secondDays));
    }
    case 'rest': {
      const fall = logistic(steep);
      // It stands still for a while, and goes on where it stood.
      return (t) => fall((t <= secondFrom ? t : Math.max(secondFrom, t - secondDays)) / half);
    }
  }
}

/**
 * A curve's course.
 *
 * @param curve - see `Curve`
 * @returns the share of the fall that is over after some days of the clock, 0–1
 */
export function shareAlong(curve: Curve): (clockDays: number) => number {
  const fall = fallOf(curve);
  const { lag, stopsAt } = curve;
  return (clockDays) => (clockDays <= lag ? 0 : Math.min(stopsAt, fall(clockDays - lag)));
}

/** What curves are drawn about: the textbook's own course for this must, kind and warmth. */
export interface CurvePrior {
  readonly setting: FermentSetting;
  readonly belief: RateBelief;
  /** Days of lag and of half the fall that the growth model gives, on the clock. */
  readonly lag: number;
  readonly half: number;
  /** What this kind of yeast stands, % by volume. */
  readonly toleranceAbv: readonly [low: number, high: number];
}

/**
 * Share of the textbook's days until something shows that are waited through before a family begins: those that set in slowly
 * by themselves wait less. @source our estimate: each then shows about when the growth model does
 */
const WAITS: Readonly<Record<Family, number>> = {
  decay: 0.8,
  abrupt: 0.7,
  bell: 0.4,
  gompertz: 0.3,
  logistic: 0.2,
  'two-phase': 0.6,
  'second-wind': 0.2,
  rest: 0.2,
};
/** Spread of the pace and the lag, as standard deviations of logarithms. @source our estimates, checked by family in the tests */
const WIDE = { half: 0.75, lag: 0.8 } as const;
/** How sharply each family sets in, and by how much that differs, as a logarithm. @source our estimates, checked by family in the tests */
const STEEP: Readonly<Record<Family, readonly [usual: number, spread: number]>> = {
  decay: [1, 0.12],
  abrupt: [1.15, 0.15],
  bell: [2, 0.3],
  gompertz: [4.5, 0.4],
  logistic: [4.5, 0.3],
  'two-phase': [1.5, 0.25],
  'second-wind': [4.5, 0.3],
  rest: [4.5, 0.3],
};
/** Between these orders the tails of a family lie. @source our estimates, checked by family in the tests */
const ORDERS: Readonly<Record<'decay' | 'abrupt' | 'bell' | 'two-phase', readonly [least: number, most: number]>> = {
  decay: [0.9, 2],
  abrupt: [0, 0.45],
  bell: [0.6, 1.7],
  'two-phase': [0.7, 1.5],
};

const within = ([low, high]: readonly [number, number], z: number): number => low + (high - low) * evenly(z);

/** The parts of a fall in two, by its family. */
function partsOf(family: Family, half: number, z: (i: number) => number): Pick<Curve, 'firstShare' | 'secondFrom' | 'secondDays'> {
  const log = (i: number, usual: number, spread: number): number => usual * Math.exp(spread * z(i));
  switch (family) {
    case 'two-phase':
      return { firstShare: within([0.35, 0.9], z(3)), secondFrom: 0, secondDays: log(4, 2.2, 0.4) * half };
    case 'second-wind':
      return { firstShare: within([0.5, 0.9], z(3)), secondFrom: log(4, 2.5, 0.3) * half, secondDays: log(8, 0.8, 0.5) * half };
    default:
      return { firstShare: 1, secondFrom: log(3, 0.8, 0.4) * half, secondDays: log(4, 0.4, 0.6) * half };
  }
}

/** Where an end lies beside bone dry, SG: about it, and now and then some points above. @source our estimate of what kinds of yeast leave */
function endOffset(z: number): number {
  return z < 0.6 ? 0.0003 + 0.0011 * z : 0.00096 + 0.0022 * (z - 0.6) ** 1.3 + 0.0011 * (z - 0.6);
}

/**
 * Standard normals as a curve.
 *
 * @param family - its shape
 * @param z - nine numbers
 * @param prior - what it is drawn about
 * @param stopsAtShareLeft - share of the sugar left at which it sticks; 0 when it does not
 * @returns the curve
 */
export function curveFrom(family: Family, z: Float64Array, prior: CurvePrior, stopsAtShareLeft: number): Curve {
  const { setting, belief } = prior;
  const at = (i: number): number => z[i] ?? 0;
  const sdRate = Math.hypot(WIDE.half, belief.sdLog) * (belief.sdLog < SPREAD.rate ? belief.sdLog / SPREAD.rate : 1);
  const waits = WAITS[family];
  const half = (prior.half + (1 - waits) * prior.lag) * Math.exp(-belief.meanLog + sdRate * at(0));
  const [usual, spread] = STEEP[family];
  const [low, high] = prior.toleranceAbv;
  const tolerance = Math.max(low - 1, (low + high) / 2 + 0.5 + ((high - low) / 4) * at(6));
  const dry = setting.drySg + endOffset(at(5));
  const reach = Math.min(1, Math.max(0.05, (tolerance - setting.startAbv) / Math.max(0.1, setting.dryAbv - setting.startAbv)));
  return {
    family,
    lag: waits * prior.lag * Math.exp(WIDE.lag * at(1)),
    half,
    steep: usual * Math.exp(spread * at(2)),
    order: family in ORDERS ? within(ORDERS[family as keyof typeof ORDERS], at(8)) : 1,
    ...partsOf(family, half, at),
    endSg: setting.originalSg - (setting.originalSg - dry) * reach,
    stopsAt: 1 - stopsAtShareLeft,
  };
}

/** Gravity along a curve, by the days of the clock. */
export function gravityAlong(curve: Curve, originalSg: number): (clockDays: number) => number {
  const share = shareAlong(curve);
  return (clockDays) => originalSg - (originalSg - curve.endSg) * share(clockDays);
}

/** Where a curve ends. */
export const endOn = (curve: Curve, originalSg: number): number => originalSg - (originalSg - curve.endSg) * curve.stopsAt;
