import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { MALIC_EQUIVALENT_G } from '../liquid/acid-chemistry.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** Gram equivalents of the acids in which acidity is written. @source molar masses over protons titrated: IUPAC atomic masses */
export const ACID_EQUIVALENT_G = { malic: MALIC_EQUIVALENT_G, tartaric: 75.04, citric: 64.03, lactic: 90.08, sulfuric: 49.04 } as const;

/** An acid in which acidity is written. */
export type AcidityAs = keyof typeof ACID_EQUIVALENT_G;

/**
 * An acidity written as one acid, written as another.
 *
 * @param input - g/L, 0–80, the acid it was written as, and the one wanted
 * @returns g/L as the other acid
 * @throws {CoreError} OUT_OF_RANGE
 * @source gram equivalents
 */
export function convertAcidity(input: { readonly gPerL: number; readonly from: AcidityAs; readonly to: AcidityAs }): number {
  return (inRange('gPerL', input.gPerL, LIMITS.taGPerL) * ACID_EQUIVALENT_G[input.to]) / ACID_EQUIVALENT_G[input.from];
}

/**
 * Acidity by titration to pH 8.1 or a phenolphthalein blush.
 *
 * @param input - juice taken, mL, 1–100; base used, mL, 0–100; its normality, 0.01–1; and the acid to write it as
 * @returns g/L with the working
 * @throws {CoreError} OUT_OF_RANGE
 * @source equivalents of base neutralise equivalents of acid
 */
export function titratableAcidity(input: {
  readonly sampleMl: number;
  readonly titrantMl: number;
  readonly normality: number;
  readonly as?: AcidityAs;
}): Worked<number> {
  const sampleMl = inRange('sampleMl', input.sampleMl, { ...LIMITS.sampleMl, min: 1 });
  const titrantMl = inRange('titrantMl', input.titrantMl, { ...LIMITS.sampleMl, min: 0 });
  const normality = inRange('normality', input.normality, LIMITS.normality);
  const as = input.as ?? 'malic';
  const gPerL = (titrantMl * normality * ACID_EQUIVALENT_G[as]) / sampleMl;
  return worked(gPerL, [
    {
      label: 'Acidity',
      expression: `${figure(titrantMl, 1)} mL × ${normality} N × ${ACID_EQUIVALENT_G[as]} ÷ ${figure(sampleMl, 1)} mL`,
      result: `${figure(gPerL, 2)} g/L as ${as}`,
      source: 'gram equivalents of acid and base',
    },
  ]);
}
