/** A gravity as judged: corrected, dated, with the temperature it was standing at when known. */
export interface GravityReading {
  /** The log entry it came from. */
  readonly id: string;
  /** ISO 8601. */
  readonly at: string;
  /** Corrected specific gravity. */
  readonly sg: number;
  /** Temperature of the sample or the drink, °C; null when nobody looked. */
  readonly tempC: number | null;
}

/** Rise between readings that roughness explains. @source estimate: two readings each ±0.0015 */
export const ROUGHNESS_SG = 0.003;

/** Readings sorted into those to use and those to ask about. */
export interface SiftedReadings {
  readonly usable: readonly GravityReading[];
  readonly questioned: readonly GravityReading[];
}

/**
 * Sets aside readings that cannot all be true: gravity does not rise in a ferment to which nothing was added. The
 * largest set of readings that falls, within roughness, is kept, so one mistype costs itself and no other.
 *
 * @param readings - in any order
 * @returns usable ones by date, and the rest
 * @source longest non-rising subsequence
 */
export function siftReadings(readings: readonly GravityReading[]): SiftedReadings {
  const sorted = [...readings].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const possible = sorted.filter((r) => r.sg >= 0.985 && r.sg <= 1.2);
  const bestLength: number[] = [];
  const cameFrom: number[] = [];
  let end = -1;
  possible.forEach((reading, i) => {
    bestLength[i] = 1;
    cameFrom[i] = -1;
    for (let j = 0; j < i; j += 1) {
      const earlier = possible[j];
      const length = (bestLength[j] ?? 0) + 1;
      if (earlier && reading.sg <= earlier.sg + ROUGHNESS_SG && length > (bestLength[i] ?? 0)) {
        bestLength[i] = length;
        cameFrom[i] = j;
      }
    }
    if (end < 0 || (bestLength[i] ?? 0) > (bestLength[end] ?? 0)) end = i;
  });
  const kept = new Set<GravityReading>();
  for (let i = end; i >= 0; i = cameFrom[i] ?? -1) {
    const reading = possible[i];
    if (reading) kept.add(reading);
  }
  return { usable: sorted.filter((r) => kept.has(r)), questioned: sorted.filter((r) => !kept.has(r)) };
}
