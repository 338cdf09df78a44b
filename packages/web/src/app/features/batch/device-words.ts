import type { DeviceNow, Track } from '@trug/core';
import { daysBetween } from '@trug/core/matter/quantity/days';
import type { Units } from '../../units/units';

/**
 * What a device says, in a sentence.
 *
 * @param now - its latest warmth and pH
 * @param smooth - its gravity, corrected; null when it tells none
 * @param units - the maker's
 * @param today - ISO 8601
 * @returns such as `says about 1.012, pH 3.41 and 18 °C.`
 */
export function deviceWords(now: DeviceNow, smooth: Track | null, units: Pick<Units, 'gravity' | 'temperature' | 'day'>, today: string): string {
  const sg = smooth?.values.at(-1);
  const figures = [
    sg === undefined ? '' : `about ${units.gravity(sg)}`,
    now.ph === null ? '' : `pH ${now.ph.toFixed(2)}`,
    now.tempC === null ? '' : units.temperature(Math.round(now.tempC * 10) / 10),
  ].filter((f) => f !== '');
  const list = figures.length > 1 ? `${figures.slice(0, -1).join(', ')} and ${figures.at(-1) ?? ''}` : (figures[0] ?? 'nothing Trug can use');
  const last = new Date(now.atMs).toISOString();
  return daysBetween(last, today) > 1 ? `said last, on ${units.day(last)}, ${list}.` : `says ${list}.`;
}
