import type { Random } from '../numeric/random.js';
import { drawNormals, logDensity, logStandard, type Normals } from './importance.js';
import { DIMENSIONS } from './traits-prior.js';

/** One possible ferment before it is run: its traits as normals, and where it sticks. */
export interface Member {
  readonly z: Float64Array;
  readonly sticksAtShare: number;
  /** Log of its chance beforehand less log of its chance of being drawn. */
  readonly logCorrection: number;
}

/** Share of members drawn from the prior whatever the readings say, so that no corner is forgotten. */
const DEFENSIVE = 0.12;
/** Share of members drawn as sticking: more than believed, with a lower weight, so that the chance is known well. */
const DRAWN_STICKING = 0.2;
/** Shares of sugar at which a ferment may stick. */
const STICK_RANGE = { min: 0.02, max: 0.9 } as const;
const STICK_DENSITY = 1 / (STICK_RANGE.max - STICK_RANGE.min);
/** Spread about the share left at the last reading, for those drawn as sticking there. */
const NEAR_NOW = 0.03;

/** What members are drawn from. */
export interface Draw {
  /** Where the readings point; null for the prior alone. */
  readonly proposal: Normals | null;
  readonly chanceToStick: number;
  /** Share of the sugar left at the last reading; 1 when there is none. */
  readonly shareLeft: number;
}

const normalDensity = (x: number, mean: number, sd: number): number => Math.exp(-(((x - mean) / sd) ** 2) / 2) / (sd * Math.sqrt(2 * Math.PI));

/** Draws one possible ferment, with what its weight must make up for. */
export function drawMember({ proposal, chanceToStick, shareLeft }: Draw, random: Random): Member {
  const fromPrior = proposal === null || random.uniform() < DEFENSIVE;
  const z = fromPrior ? standardNormals(random) : drawNormals(proposal, random);
  const prior = logStandard(z);
  const drawn = proposal === null ? prior : Math.log(DEFENSIVE * Math.exp(prior) + (1 - DEFENSIVE) * Math.exp(logDensity(proposal, z)));
  const stick = drawStick(chanceToStick, shareLeft, random);
  return { z, sticksAtShare: stick.share, logCorrection: prior - drawn + stick.logCorrection };
}

function standardNormals(random: Random): Float64Array {
  const z = new Float64Array(DIMENSIONS);
  for (let i = 0; i < DIMENSIONS; i += 1) z[i] = random.normal();
  return z;
}

function drawStick(chance: number, shareLeft: number, random: Random): { readonly share: number; readonly logCorrection: number } {
  if (random.uniform() >= DRAWN_STICKING) return { share: 0, logCorrection: Math.log((1 - chance) / (1 - DRAWN_STICKING)) };
  const anywhere = random.uniform() < 0.5;
  const share = anywhere ? STICK_RANGE.min + random.uniform() * (STICK_RANGE.max - STICK_RANGE.min) : shareLeft + NEAR_NOW * random.normal();
  const within = share >= STICK_RANGE.min && share <= STICK_RANGE.max;
  const density = 0.5 * (within ? STICK_DENSITY : 0) + 0.5 * normalDensity(share, shareLeft, NEAR_NOW);
  return { share: Math.max(0, share), logCorrection: within ? Math.log(chance / DRAWN_STICKING) + Math.log(STICK_DENSITY / density) : -Infinity };
}
