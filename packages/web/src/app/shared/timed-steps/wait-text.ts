import { countText } from '@trug/core/matter/quantity/count-text';

/**
 * A wait in the unit people would say it in.
 *
 * @param minutes - whole minutes
 * @returns such as "15 min", "12 h" or "2 days"
 */
export function waitText(minutes: number): string {
  if (minutes < 120) return `${minutes} min`;
  if (minutes < 2880) return `${Math.round(minutes / 60)} h`;
  return countText(Math.round(minutes / 1440), 'day');
}
