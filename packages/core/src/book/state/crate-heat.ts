import { ENOUGH_UNITS } from '../../finish/bottle/heat-units.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import type { Crate } from './batch-state.js';

/** Hours from the filling within which bottles of sugar and live yeast are heated. @source our rule: yeast that had starved needs about a day to wake */
const HEAT_WITHIN_HOURS = 24;
const HOUR_MS = DAY_MS / 24;

/** Whether bottles still wait for their bath, or for the rest of it. */
export const awaitsHeat = ({ heat }: Pick<Crate, 'heat'>): boolean => heat !== null && heat.units < ENOUGH_UNITS;

/** Until when they may be heated without anybody looking first, ISO 8601. */
export const heatBy = ({ bottledAt }: Pick<Crate, 'bottledAt'>): string => new Date(Date.parse(bottledAt) + HEAT_WITHIN_HOURS * HOUR_MS).toISOString();
