import { DEVICE_TIERS } from '@trug/core';
import { QueryTypes } from 'sequelize';
import { DeviceReadingModel } from './device-reading.model.js';
import type { PostedReading } from './read-readings.js';

/** A reading with the device that sent it. */
export type DeviceRow = PostedReading & { readonly deviceId: string };

/** As the database has it, which knows no truth values. */
type StoredRow = Omit<DeviceRow, 'madeUp'> & { readonly madeUp: number };
const COLUMNS = 'device_id AS deviceId, at_s AS atS, sg, temp_c AS tempC, ph, mass_g AS massG, made_up AS madeUp';

async function rowsOf(sql: string, replacements: Readonly<Record<string, string | number>>): Promise<readonly DeviceRow[]> {
  const { sequelize } = DeviceReadingModel;
  if (!sequelize) throw new Error('device readings are asked for before the book is open');
  const rows = await sequelize.query<StoredRow>(sql, { type: QueryTypes.SELECT, replacements: { ...replacements } });
  return rows.map((row) => ({ ...row, madeUp: row.madeUp !== 0 }));
}

/**
 * Of a batch's readings the newest as they are, and of each five minutes before them, and each hour before those, the one
 * in the middle by its figure: readings that were sent, and none that is made of others. Sorted out by the database, so that
 * a season of a device that sends each minute costs the server little.
 *
 * @param batchId - whose they are
 * @returns rows by device and time
 */
export function thinnedReadings(batchId: string): Promise<readonly DeviceRow[]> {
  const { rawS, fineS, fineForS, coarseS } = DEVICE_TIERS;
  // Seconds, five-minute and one-hour counts since 1970 lie so far apart that they share no number.
  return rowsOf(
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
     SELECT ${COLUMNS} FROM ranked WHERE place = (sent + 1) / 2 ORDER BY device_id, at_s`,
    { batchId, rawS, fineS, fineForS, coarseS },
  );
}

/** A batch's readings that are newer than a moment, all of them, by device and time. */
export function newerReadings(batchId: string, sinceS: number): Promise<readonly DeviceRow[]> {
  return rowsOf(`SELECT ${COLUMNS} FROM device_readings WHERE batch_id = :batchId AND at_s > :sinceS ORDER BY device_id, at_s`, { batchId, sinceS });
}

/** How many readings of each device there are about a batch. */
export async function readingsHeld(batchId: string): Promise<readonly { readonly deviceId: string; readonly held: number }[]> {
  const counted = await DeviceReadingModel.count({ where: { batchId }, group: ['deviceId'], attributes: [] });
  return counted.map(({ deviceId, count }) => ({ deviceId: String(deviceId), held: count }));
}
