import { isWithin, type Range } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { correctHydrometer } from '../../matter/measure/correct-hydrometer.js';

/** What an instrument of a kind is checked against at home. */
export interface InstrumentCheck {
  /** What to put it into, in words. */
  readonly against: string;
  /** What it should show there, in its own unit. */
  readonly truth: number;
  readonly decimals: number;
  readonly unit: 'SG' | 'Bx' | 'C' | 'pH' | 'g';
  /** An error above this is worth correcting; far above it the instrument is broken or misread. */
  readonly worth: number;
  /** Days after which it should be checked again. */
  readonly everyDays: number;
}

/** The checks by kind. @source makers' usual practice; the spans are our estimates */
export const INSTRUMENT_CHECKS = {
  hydrometer: { against: 'plain water', truth: 1, decimals: 3, unit: 'SG', worth: 0.001, everyDays: 365 },
  refractometer: { against: 'plain water', truth: 0, decimals: 1, unit: 'Bx', worth: 0.2, everyDays: 180 },
  thermometer: { against: 'ice and water, well stirred', truth: 0, decimals: 1, unit: 'C', worth: 0.5, everyDays: 365 },
  'ph-meter': { against: 'fresh pH 4.01 buffer', truth: 4.01, decimals: 2, unit: 'pH', worth: 0.05, everyDays: 30 },
  scale: { against: 'one litre of water, its jug weighed off', truth: 998, decimals: 0, unit: 'g', worth: 5, everyDays: 365 },
  'floating-hydrometer': { against: 'plain water', truth: 1, decimals: 3, unit: 'SG', worth: 0.001, everyDays: 120 },
} as const satisfies Record<string, InstrumentCheck>;

/** A kind of instrument that can be checked. */
export type CheckedKind = keyof typeof INSTRUMENT_CHECKS;

/** What a check says. */
export type CheckOutcome = { readonly ok: true; readonly offset: number; readonly text: string } | { readonly ok: false; readonly text: string };

/** Times the worth of an error at which it cannot be an offset any more. @source our estimate */
const BROKEN_TIMES = 15;
const within = (most: number): Range => ({ min: -most, max: most });

/** What must be added to what an instrument shows, in its own unit: one that is farther out is broken or misread. */
export const OFFSET_LIMITS: Readonly<Record<CheckedKind, Range>> = {
  hydrometer: LIMITS.offsetSg,
  'floating-hydrometer': LIMITS.offsetSg,
  refractometer: within(BROKEN_TIMES * INSTRUMENT_CHECKS.refractometer.worth),
  thermometer: within(BROKEN_TIMES * INSTRUMENT_CHECKS.thermometer.worth),
  'ph-meter': within(BROKEN_TIMES * INSTRUMENT_CHECKS['ph-meter'].worth),
  scale: within(BROKEN_TIMES * INSTRUMENT_CHECKS.scale.worth),
};

/**
 * What must be added to an instrument's figures, from what it showed in something known.
 *
 * @param kind - the kind of instrument
 * @param shown - what it showed, in its own unit
 * @param scale - where its scale is true and how warm the water was, °C; only a hydrometer minds
 * @returns the offset in its own unit and the finding in words; refused when it is too far off to be mended by a sum
 * @source water at 20 °C is 1.000 and 998 g a litre; Kell (1975) for other temperatures
 */
export function checkInstrument(kind: CheckedKind, shown: number, scale: { readonly calibratedAtC: number; readonly sampleC: number }): CheckOutcome {
  const check: InstrumentCheck = INSTRUMENT_CHECKS[kind];
  const { calibratedAtC, sampleC } = scale;
  const inRange = check.unit !== 'SG' || isWithin(shown, LIMITS.sg);
  const read = check.unit === 'SG' && inRange ? correctHydrometer({ reading: shown, sampleC, calibratedAtC, offset: 0 }).value.sg : shown;
  const off = read - check.truth;
  if (!Number.isFinite(shown) || !inRange || Math.abs(off) > OFFSET_LIMITS[kind].max) {
    return {
      ok: false,
      text: `In ${check.against} it should show about ${check.truth.toFixed(check.decimals)}. ${Number.isFinite(shown) ? String(shown) : 'That'} is too far off to be corrected by a sum: look again, and do not trust it for a seal or a bottle.`,
    };
  }
  const offset = Math.abs(off) < 0.5 * 10 ** -check.decimals ? 0 : -Number(off.toFixed(check.decimals + 1));
  const by = Math.abs(off).toFixed(check.decimals);
  const text = offset === 0 ? 'It is true.' : `It reads ${by} ${off > 0 ? 'high' : 'low'}; Trug takes that off its figures from now on.`;
  return { ok: true, offset, text: offset !== 0 && off < 0 ? text.replace('takes that off', 'adds that to') : text };
}
