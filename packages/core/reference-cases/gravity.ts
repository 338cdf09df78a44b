/** Strength by each school, 1.050 and 1.100 down to 1.000. Sources: OIV yield with mass balance; fixed factors; sliding duty-type table. */
export const STRENGTH_CASES = [
  { school: 'mass-balance', from1050: 6.62, from1100: 13.5, abs: 0.03 },
  { school: 'x131.25', from1050: 6.56, from1100: 13.1, abs: 0.03 },
  { school: 'x135', from1050: 6.75, from1100: 13.5, abs: 0.01 },
  { school: 'duty-table', from1050: 6.55, from1100: 13.5, abs: 0.01 },
] as const;

/** Hydrometer corrections with Kell's water density (1975). */
export const HYDROMETER_CASES = [
  { reading: 1.05, sampleC: 30, calibratedAtC: 20, sg: 1.0524 },
  { reading: 1.06, sampleC: 25, calibratedAtC: 15.6, sg: 1.0618 },
] as const;

/** Points of the OIML ethanol table at 20 °C, density relative to water at 20 °C. */
export const ETHANOL_TABLE = [
  { abv: 5, sg: 0.99281 },
  { abv: 10, sg: 0.98657 },
  { abv: 15, sg: 0.98085 },
] as const;
