/**
 * The standard normal distribution function, by the rational approximation of its error function.
 *
 * @param z - standard deviations from the mean, any finite number
 * @returns the chance of a value at or below z, 0–1, good to about 1e-7
 * @source Abramowitz & Stegun, Handbook of Mathematical Functions (1964), 7.1.26
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/**
 * The standard normal density.
 *
 * @param z - standard deviations from the mean
 * @returns the density at z
 */
export function normalPdf(z: number): number {
  return Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
}

/** A standard normal as a share, 0–1, spread nearly evenly. @source the logistic curve stands in for the normal's integral, to two in a hundred */
export const evenly = (z: number): number => 1 / (1 + Math.exp(-1.7 * z));
