import { seededRandom, type Random } from '../../base/numeric/random.js';
import { DAY_MS } from '../../matter/quantity/days.js';

/** What is true in the vessel at a moment, for a stand-in to measure. */
export interface VesselTruth {
  readonly sg: number;
  readonly tempC: number;
  readonly ph: number;
  /** Vessel and drink together, g. */
  readonly massG: number;
  /** How much foam stands on it, 0–1. */
  readonly foam: number;
}

/** Instruments that a stand-in can play. */
export const STAND_IN_KINDS = ['floating-hydrometer', 'ph-meter', 'scale'] as const;

/** One of them. */
export type StandInKind = (typeof STAND_IN_KINDS)[number];

/** What a stand-in says at one moment. */
export interface StandInReading {
  readonly sg?: number;
  readonly tempC?: number;
  readonly ph?: number;
  readonly massG?: number;
}

/** Faults of a made device; all are our estimates of cheap ones. */
const OFFSET_SG = 0.003;
const DRIFT_SG_PER_DAY = 0.00004;
const NOISE_SG = 0.0006;
const OFFSET_C = 0.6;
const NOISE_C = 0.15;
const DRIFT_PH_PER_DAY = 0.008;
const NOISE_PH = 0.02;
const NOISE_G = 3;
const KNOCK_G = 400;
/** A spell of foam or silence begins at most once in this time. */
const SPELL_MS = DAY_MS / 2;
const FOAM_CHANCE = 0.45;
const FOAM_SG = 0.012;
const SILENCE_CHANCE = 0.05;
const KNOCK_CHANCE = 0.01;
const SPELL_SALT = 7919;

/** A source of its own for every moment, so that a reading does not depend on which were taken before it. */
const randomOf = (seed: number, salt: number): Random => {
  const random = seededRandom((Math.imul(seed, 2654435761) ^ Math.imul(salt, 40503)) >>> 0);
  random.uniform();
  return random;
};

/** Whether a moment lies in the spell of its half day, which begins and ends within it. */
function inSpell(random: Random, share: number): boolean {
  const begin = random.uniform() * 0.6;
  const length = 0.1 + random.uniform() * 0.5;
  return share >= begin && share <= begin + length;
}

/**
 * What a simulated device reports of a vessel: an offset and a drift of its own, noise, foam that lifts a float by
 * hours, hours of silence, and now and then a knock. The same seed and moment give the same reading.
 *
 * @param input - its kind, seed, when it was put in and now (ms since 1970), and what is true at this moment
 * @returns the reading; null while it is silent
 * @source our own faults, made for trying Trug out
 */
export function standInReading(input: {
  readonly kind: StandInKind;
  readonly seed: number;
  readonly sinceMs: number;
  readonly atMs: number;
  readonly truth: VesselTruth;
}): StandInReading | null {
  const { kind, seed, sinceMs, atMs, truth } = input;
  const own = randomOf(seed, 1);
  const [offset, offsetC, drift] = [own.normal(), own.normal(), own.normal()];
  const days = (atMs - sinceMs) / DAY_MS;
  const half = Math.floor((atMs - sinceMs) / SPELL_MS);
  const share = (atMs - sinceMs) / SPELL_MS - half;
  const spell = randomOf(seed, SPELL_SALT + half);
  const foamHigh = spell.uniform() < FOAM_CHANCE * truth.foam ? FOAM_SG * (0.4 + 0.6 * spell.uniform()) * truth.foam : 0;
  const silent = spell.uniform() < SILENCE_CHANCE;
  const within = inSpell(spell, share);
  if (silent && within) return null;
  const noise = randomOf(seed, Math.floor(atMs / 1000));
  const tempC = round(truth.tempC + OFFSET_C * offsetC + NOISE_C * noise.normal(), 2);
  switch (kind) {
    case 'floating-hydrometer':
      return {
        sg: round(truth.sg + OFFSET_SG * offset + DRIFT_SG_PER_DAY * drift * days + NOISE_SG * noise.normal() + (within ? foamHigh : 0), 4),
        tempC,
      };
    case 'ph-meter':
      return { ph: round(truth.ph + DRIFT_PH_PER_DAY * drift * days + NOISE_PH * noise.normal(), 2), tempC };
    case 'scale':
      return { massG: round(truth.massG + NOISE_G * noise.normal() + (noise.uniform() < KNOCK_CHANCE ? KNOCK_G * noise.normal() : 0), 0) };
  }
}

function round(value: number, decimals: number): number {
  return Math.round(value * 10 ** decimals) / 10 ** decimals;
}
