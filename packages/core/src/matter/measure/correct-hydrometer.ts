import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** A hydrometer as read. */
export interface HydrometerReading {
  /** The number at the meniscus, SG. */
  readonly reading: number;
  /** Temperature of the sample, °C, 0–100. */
  readonly sampleC: number;
  /** Temperature the stem is marked for, °C; commonly 15.6 or 20. */
  readonly calibratedAtC: number;
  /** What must be added to make this stem read 1.000 in plain water at its own temperature, SG. */
  readonly offset?: number;
  /** How well the meniscus could be read, ± SG; bubbles and small jars make it worse. */
  readonly readingUncertainty?: number;
}

/** A gravity with how far it may be off. */
export interface CorrectedGravity {
  readonly sg: number;
  /** Half-width of the honest range, ± SG. */
  readonly plusMinus: number;
}

/** How closely a home stem is read. @source estimate: half a 0.002 division */
export const DEFAULT_READING_UNCERTAINTY_SG = 0.001;
/** How well a kitchen thermometer is trusted. @source estimate */
const SAMPLE_TEMP_UNCERTAINTY_C = 1;
/** Volume expansion of the hydrometer's glass, per °C. @source soda-lime glass, usual in hydrometer correction tables */
const GLASS_EXPANSION_PER_C = 25e-6;

/**
 * Density of air-free water.
 *
 * @param tempC - temperature, °C, 0–100
 * @returns kg/m³
 * @source Kell, J. Chem. Eng. Data 20 (1975) 97
 */
export function waterDensityKgPerM3(tempC: number): number {
  const t = tempC;
  const top = 999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))));
  return top / (1 + 16.87985e-3 * t);
}

function trueGravity(reading: number, sampleC: number, calibratedAtC: number): number {
  const glass = 1 - GLASS_EXPANSION_PER_C * (sampleC - calibratedAtC);
  return (reading * waterDensityKgPerM3(calibratedAtC) * glass) / waterDensityKgPerM3(sampleC);
}

/**
 * The corrected gravity alone, for folding long logs: {@link correctHydrometer} without its working.
 *
 * @param input - the reading, the sample's temperature, the stem's temperature and its offset
 * @returns the true gravity and its honest ±
 * @throws {CoreError} OUT_OF_RANGE for gravities outside 0.98–1.4 or temperatures outside 0–100 °C
 */
export function correctedGravity(input: HydrometerReading): CorrectedGravity {
  const { reading, sampleC, calibratedAtC, offset = 0, readingUncertainty = DEFAULT_READING_UNCERTAINTY_SG } = input;
  inRange('reading', reading, LIMITS.sg);
  inRange('sampleC', sampleC, LIMITS.sampleC);
  inRange('calibratedAtC', calibratedAtC, LIMITS.calibratedAtC);
  inRange('offset', offset, LIMITS.offsetSg);
  inRange('readingUncertainty', readingUncertainty, { min: 0, max: 0.02 });
  const sg = trueGravity(reading + offset, sampleC, calibratedAtC);
  return { sg, plusMinus: Math.hypot(readingUncertainty, thermometerUncertaintySg(input, sg), hotUncertaintySg(sampleC)) };
}

/** Warmer than this a sample cools as it is read, gives off gas and swells otherwise than water does. @source usual practice: let it cool */
export const HOT_SAMPLE_C = 35;
/** What each degree beyond adds to the doubt, SG. @source our estimate: a sample cools by some degrees while it is read, at 0.0004 each */
const HOT_DOUBT_SG_PER_C = 0.0003;

/**
 * What to do about a sample that is too hot to be read well.
 *
 * @param sampleC - its warmth, °C; null where nobody said
 * @returns null for one that may be read as it is
 * @source usual practice: let it cool
 */
export const hotSampleAdvice = (sampleC: number | null): string | null =>
  sampleC !== null && sampleC > HOT_SAMPLE_C
    ? `Warmer than ${HOT_SAMPLE_C} °C a sample reads badly, and may crack the glass: cover it, let it cool and read it again. Until then its ± is wide.`
    : null;

const hotUncertaintySg = (sampleC: number): number => Math.max(0, sampleC - HOT_SAMPLE_C) * HOT_DOUBT_SG_PER_C;

/** What a degree of doubt about the sample's temperature is worth. */
function thermometerUncertaintySg({ reading, offset = 0, sampleC, calibratedAtC }: HydrometerReading, sg: number): number {
  return Math.abs(
    trueGravity(reading + offset, sampleC < LIMITS.sampleC.max ? sampleC + SAMPLE_TEMP_UNCERTAINTY_C : sampleC - SAMPLE_TEMP_UNCERTAINTY_C, calibratedAtC) - sg,
  );
}

/**
 * What a hydrometer would have read at its own temperature: the stem floats in a liquid thinned or
 * thickened by heat, and the glass itself swells a little.
 *
 * @param input - the reading, the sample's temperature, the stem's temperature and its offset
 * @returns the true gravity and its honest ± with the working
 * @throws {CoreError} OUT_OF_RANGE for gravities outside 0.98–1.4 or temperatures outside 0–100 °C
 * @source (reading+offset)·ρw(cal)·(1−25e-6(t−cal))/ρw(t), water by Kell (1975)
 */
export function correctHydrometer(input: HydrometerReading): Worked<CorrectedGravity> {
  const { reading, sampleC, calibratedAtC, offset = 0, readingUncertainty = DEFAULT_READING_UNCERTAINTY_SG } = input;
  const { sg, plusMinus } = correctedGravity(input);
  const fromTemp = thermometerUncertaintySg(input, sg);
  return worked({ sg, plusMinus }, [
    {
      label: 'Heat',
      expression: `${gravityText(reading + offset, 4)} × ρ(${figure(calibratedAtC, 1)} °C) ÷ ρ(${figure(sampleC, 1)} °C), less the swelling of the glass`,
      result: gravityText(sg, 4),
      source: 'water density by Kell 1975',
    },
    {
      label: 'How sure',
      expression: `reading ±${figure(readingUncertainty, 4)}, thermometer ±${SAMPLE_TEMP_UNCERTAINTY_C} °C is ±${figure(fromTemp, 4)}${sampleC > HOT_SAMPLE_C ? ', and more for so hot a sample: let it cool' : ''}`,
      result: `±${figure(plusMinus, 4)}`,
      source: 'our estimate of a home bench',
    },
  ]);
}
