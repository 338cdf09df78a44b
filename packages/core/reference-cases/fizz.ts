/** Solubility of CO₂ in cider: 0.95 of water's Bunsen coefficient. */
export const SOLUBILITY_CASES = [
  { tempC: 0, volumesPerAtm: 1.627 },
  { tempC: 4, volumesPerAtm: 1.404 },
  { tempC: 20, volumesPerAtm: 0.834 },
] as const;

/** Gauge pressure in a sealed bottle by Henry's law. */
export const PRESSURE_CASES = [
  { co2Volumes: 2.5, tempC: 20, headspaceFraction: 0, bar: 2.02 },
  { co2Volumes: 2.5, tempC: 30, headspaceFraction: 0.04, bar: 2.78 },
] as const;
