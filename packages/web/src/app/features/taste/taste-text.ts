import type { Tasting } from '@trug/core';
import { countText } from '@trug/core/matter/quantity/count-text';
import type { Units } from '../../units/units';

const WEEK_DAYS = 7;
const MONTH_DAYS = 30.44;
/** Months are told from here on, days. */
const IN_MONTHS_FROM = 92;

/** When a tasting was: how long after the bottling, or else the day. */
export function whenTasted({ ageDays, at }: Pick<Tasting, 'ageDays' | 'at'>, units: Units): string {
  if (ageDays === null) return `on ${units.day(at)}`;
  if (ageDays < WEEK_DAYS * 2) return `after ${countText(Math.max(1, Math.round(ageDays)), 'day')}`;
  return ageDays < IN_MONTHS_FROM
    ? `after ${countText(Math.round(ageDays / WEEK_DAYS), 'week')}`
    : `after ${countText(Math.round(ageDays / MONTH_DAYS), 'month')}`;
}
