import { countText } from '@trug/core/matter/quantity/count-text';

/** Days as a maker would say them. */
export function waitWords(days: number): string {
  if (days < 14) return days === 1 ? 'a day' : `${days} days`;
  return days < 60 ? countText(Math.round(days / 7), 'week') : countText(Math.round(days / 30), 'month');
}
