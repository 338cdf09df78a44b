import { DEVICE_TIERS } from '@trug/core';
import { Op, QueryTypes } from 'sequelize';
import { DeviceReadingModel } from './device-reading.model.js';
import type { PostedReading } from './read-readings.js';

/** A reading with the device that sent it. */
export type DeviceRow = PostedReading & { readonly deviceId: string };

/**
 * Of a batch's readings the newest as they are, and of each five minutes before them, and each hour before those, the one
 * in the middle by its figure: readings that were sent, and none that is made of others. Sorted out by the database, so that
 * a season of a device that sends each minute costs the server little.
 *
 * @param batchId - whose they are
 * @returns rows by device and time
 */
export async function thinnedReadings(batchId: string): Promise<readonly DeviceRow[]> {
  const { sequelize } = DeviceReadingModel;
  if (!sequelize) throw new Error('device readings are asked for before the book is open');
  const { rawS, fineS, fineForS, coarseS } = DEVICE_TIERS;
  // Seconds, five-minute and one-hour counts since 1970 lie so far apart that they share no number.
  const rows = await sequelize.query<Omit<DeviceRow, 'madeUp'> & { readonly madeUp: number }>(
    `WITH aged AS (
       SELECT *, MAX(at_s) OVER (PARTITION BY device_id) - at_s AS age FROM device_readings WHERE batch_id = :batchId
     ), placed AS (
       SELECT *, CASE WHEN age < :rawS THEN at_s WHEN age < :fineForS THEN at_s / :fineS ELSE at_s / :coarseS END AS stretch FROM aged
     ), ranked AS (
       SELECT *,
         ROW_NUMBER() OVER (PARTITION BY device_id, stretch ORDER BY COALESCE(sg, mass_g, ph, temp_c), at_s) AS place,
         COUNT(*) OVER (PARTITION BY device_id, stretch) AS sent
       FROM placed
     )
     SELECT device_id AS deviceId, at_s AS atS, sg, temp_c AS tempC, ph, mass_g AS massG, made_up AS madeUp FROM ranked WHERE place = (sent + 1) / 2 ORDER BY device_id, at_s`,
    { type: QueryTypes.SELECT, replacements: { batchId, rawS, fineS, fineForS, coarseS } },
  );
  // The database knows no truth values.
  return rows.map((row) => ({ ...row, madeUp: row.madeUp !== 0 }));
}

/** A batch's readings as they were sent, all of them or those newer than a moment, s since 1970, by device and time. */
export function sentReadings(batchId: string, sinceS: number | null = null): Promise<readonly DeviceRow[]> {
  return DeviceReadingModel.findAll({
    where: { batchId, ...(sinceS === null ? {} : { atS: { [Op.gt]: sinceS } }) },
    order: [
      ['deviceId', 'ASC'],
      ['atS', 'ASC'],
    ],
    raw: true,
  });
}

/** How many readings of each device there are about a batch. */
export async function readingsHeld(batchId: string): Promise<readonly { readonly deviceId: string; readonly held: number }[]> {
  const counted = await DeviceReadingModel.count({ where: { batchId }, group: ['deviceId'], attributes: [] });
  return counted.map(({ deviceId, count }) => ({ deviceId: String(deviceId), held: count }));
}
