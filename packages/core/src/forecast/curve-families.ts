import type { FermentSetting } from './ferment-model.js';
import { SPREAD, type RateBelief } from './traits-prior.js';

/**
 * Shapes a fall of gravity can have. Real ferments share no one curve: some end abruptly, some with a long thin tail, some
 * in two phases as one sugar goes before the other, some with a second wind.
 *
 * @source plain closed forms, in usual use for growth and decay
 */
export const FAMILIES = ['weibull', 'log-logistic', 'gompertz', 'logistic', 'two-phase', 'second-wind', 'abrupt'] as const;

/** One of them. */
export type Family = (typeof FAMILIES)[number];

/** How often each is believed to be met with, before any reading. @source our estimate, checked by family in the tests */
export const FAMILY_WEIGHTS: Readonly<Record<Family, number>> = {
  weibull: 0.18,
  'log-logistic': 0.16,
  gompertz: 0.12,
  logistic: 0.17,
  'two-phase': 0.1,
  'second-wind': 0.17,
  abrupt: 0.1,
};

/** One possible fall, by a clock that runs with the warmth. */
export interface Curve {
  readonly family: Family;
  /** On the clock, days from pitching until it shows, and from there until half of it is gone. */
  readonly lag: number;
  readonly half: number;
  readonly steep: number;
  /** Of a fall in two phases: the share of the first, and the half of the second. Of one that rests: when, and for how long. */
  readonly firstShare: number;
  readonly secondFrom: number;
  readonly secondHalf: number;
  readonly endSg: number;
  /** Share of the fall at which it stops for good; 1 when it does not. */
  readonly stopsAt: number;
}

const LN2 = Math.LN2;
const weibull = (t: number, half: number, steep: number): number => 1 - Math.exp(-LN2 * (t / half) ** steep);

/** An S about its half, begun at nothing. */
function logistic(t: number, half: number, steep: number): number {
  const k = 2.2 * steep;
  const at0 = 1 / (1 + Math.exp(k));
  return (1 / (1 + Math.exp(-k * (t / half - 1))) - at0) / (1 - at0);
}

/** Share of the fall that is over after some days of the clock, 0–1. */
export function shareFallen(curve: Curve, clockDays: number): number {
  return Math.min(curve.stopsAt, fallen(curve, clockDays - curve.lag));
}

function fallen({ family, half, steep, firstShare, secondFrom, secondHalf }: Curve, t: number): number {
  if (t <= 0) return 0;
  switch (family) {
    case 'weibull':
      return weibull(t, half, steep);
    case 'log-logistic':
      return 1 / (1 + (half / t) ** (1.15 * steep));
    case 'gompertz': {
      const b = 1.5 + 2 * steep;
      const least = Math.exp(-b);
      const c = Math.log(b / -Math.log(0.5 + 0.5 * least)) / half;
      return (Math.exp(-b * Math.exp(-c * t)) - least) / (1 - least);
    }
    case 'logistic':
      return logistic(t, half, steep);
    case 'two-phase':
      return firstShare * weibull(t, half, steep) + (1 - firstShare) * (1 - Math.exp((-LN2 * t) / secondHalf));
    case 'second-wind':
      // It stands still for a while, and goes on where it stood.
      return logistic(t <= secondFrom ? t : Math.max(secondFrom, t - secondHalf), half, steep);
    case 'abrupt': {
      // Falls along nearly a straight line and ends within days.
      const u = Math.min(1, t / (2 * half));
      return 1 - (1 - u ** Math.max(1, 0.75 * steep)) ** 1.15;
    }
  }
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

/** Spread of each trait, as standard deviations of logarithms unless said. @source our estimates, checked by family in the tests */
const WIDE = { half: 0.75, lag: 0.8, steep: 0.44, secondHalf: 0.7, secondFrom: 0.4 } as const;
/** A usual steepness, and of the parts of a fall in two. */
const USUAL_STEEP = 2.3;

/** Where an end lies beside bone dry, SG: about it, and now and then some points above. @source our estimate of what kinds of yeast leave */
function endOffset(z: number): number {
  return z < 0.6 ? 0.0003 + 0.0011 * z : 0.00096 + 0.0022 * (z - 0.6) ** 1.3 + 0.0011 * (z - 0.6);
}

/**
 * Standard normals as a curve.
 *
 * @param family - its shape
 * @param z - eight numbers
 * @param prior - what it is drawn about
 * @param stopsAtShareLeft - share of the sugar left at which it sticks; 0 when it does not
 * @returns the curve
 */
export function curveFrom(family: Family, z: Float64Array, prior: CurvePrior, stopsAtShareLeft: number): Curve {
  const { setting, belief } = prior;
  const at = (i: number): number => z[i] ?? 0;
  const sdRate = Math.hypot(WIDE.half, belief.sdLog) * (belief.sdLog < SPREAD.rate ? belief.sdLog / SPREAD.rate : 1);
  const half = prior.half * Math.exp(-belief.meanLog + sdRate * at(0));
  const [low, high] = prior.toleranceAbv;
  const tolerance = Math.max(low - 1, (low + high) / 2 + 0.5 + ((high - low) / 4) * at(6));
  const dry = setting.drySg + endOffset(at(5));
  const reach = Math.min(1, Math.max(0.05, (tolerance - setting.startAbv) / Math.max(0.1, setting.dryAbv - setting.startAbv)));
  return {
    family,
    lag: prior.lag * Math.exp(WIDE.lag * at(1)),
    half,
    steep: USUAL_STEEP * Math.exp(WIDE.steep * at(2)),
    firstShare: 0.35 + 0.6 / (1 + Math.exp(-1.2 * at(3) - 0.6)),
    secondFrom: half * 0.9 * Math.exp(WIDE.secondFrom * at(3)),
    secondHalf: half * (family === 'second-wind' ? 0.6 : 2.2) * Math.exp(WIDE.secondHalf * at(4)),
    endSg: setting.originalSg - (setting.originalSg - dry) * reach,
    stopsAt: 1 - stopsAtShareLeft,
  };
}

/** Gravity along a curve. */
export const gravityOn = (curve: Curve, originalSg: number, clockDays: number): number =>
  originalSg - (originalSg - curve.endSg) * shareFallen(curve, clockDays);

/** Where a curve ends. */
export const endOn = (curve: Curve, originalSg: number): number => originalSg - (originalSg - curve.endSg) * curve.stopsAt;
