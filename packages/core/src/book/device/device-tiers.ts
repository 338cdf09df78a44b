/**
 * How finely what a device sent is drawn, by its age before the newest of it: as it is, then one reading of each five minutes,
 * then one of each hour, s. Stretches of an hour are what it is smoothed by.
 *
 * @source our estimate: a day's steps show on a screen, a fortnight's five minutes and a season's hours as well
 */
export const DEVICE_TIERS = { rawS: 86_400, fineS: 300, fineForS: 14 * 86_400, coarseS: 3600 } as const;
