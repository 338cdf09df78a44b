import type { DeviceColumns, HeldColumns, InstrumentDto, ReadingsReply } from '@trug/contract';
import { Op, type Transaction } from 'sequelize';
import type { Clock } from '../run/clock.js';
import { BatchModel } from '../batches/batch.model.js';
import type { ResourceStore } from '../resources/resource.store.js';
import type { Write } from '../db/write-queue.js';
import { HttpError } from '../http/http-error.js';
import { DeviceReadingModel } from './device-reading.model.js';
import type { LiveHub } from './live-hub.js';
import { readReadings, type PostedReading } from './read-readings.js';
import { readingsHeld, sentReadings, thinnedReadings, type DeviceRow } from './shown-readings.js';

/** What the service needs. */
export interface DeviceServiceDeps {
  readonly write: Write;
  readonly clock: Clock;
  readonly instruments: ResourceStore<InstrumentDto>;
  readonly hub: LiveHub;
}

/** What a device posted, found right. */
export interface ReadPost {
  readonly deviceId: string;
  readonly batchId: string | null;
  readonly readings: readonly PostedReading[];
}

/** The use cases of devices. The log is never touched by them. */
export interface DeviceService {
  /** Looks at a request's readings: whose they are, and whether they may be taken in. */
  readonly read: (deviceId: string, body: unknown) => Promise<ReadPost>;
  /** Takes a request's readings in, all or none. */
  readonly store: (post: ReadPost) => Promise<ReadingsReply>;
  /** Everything devices sent about a batch. */
  readonly ofBatch: (batchId: string) => Promise<readonly DeviceColumns[]>;
  /** The same as it is drawn: thinned where it is old, or all that is newer than a moment, s since 1970. */
  readonly shownOf: (batchId: string, sinceS: number | null) => Promise<readonly HeldColumns[]>;
  /** Takes out what a device sent about a batch, such as a stand-in's play; gives how many readings that were. */
  readonly forget: (deviceId: string, batchId: string) => Promise<number>;
  /** A device's newest reading about a batch, s since 1970, and whether any is a true one; null when there is none. */
  readonly lastOf: (deviceId: string, batchId: string) => Promise<{ readonly atS: number; readonly measured: boolean } | null>;
}

/** Rows written by one statement. */
const ROWS_AT_ONCE = 1000;

function columnsOf(deviceId: string, rows: readonly PostedReading[]): DeviceColumns {
  return {
    deviceId,
    at: rows.map((r) => r.atS),
    sg: rows.map((r) => r.sg),
    tempC: rows.map((r) => r.tempC),
    ph: rows.map((r) => r.ph),
    massG: rows.map((r) => r.massG),
    madeUp: rows.some((r) => r.madeUp),
  };
}

/** Rows by the device that sent them, each in their order. */
function byDevice(rows: readonly DeviceRow[]): ReadonlyMap<string, readonly PostedReading[]> {
  const lists = new Map<string, PostedReading[]>();
  for (const row of rows) {
    const list = lists.get(row.deviceId);
    if (list) list.push(row);
    else lists.set(row.deviceId, [row]);
  }
  return lists;
}

/**
 * The use cases of devices.
 *
 * @param deps - the write queue, the clock, the instruments and the hub of open pages
 * @returns the service
 */
export function createDeviceService({ write, clock, instruments, hub }: DeviceServiceDeps): DeviceService {
  async function fresh(deviceId: string, readings: readonly PostedReading[], transaction: Transaction): Promise<readonly PostedReading[]> {
    const bySecond = new Map<number, PostedReading>();
    for (const reading of readings) if (!bySecond.has(reading.atS)) bySecond.set(reading.atS, reading);
    const seconds = [...bySecond.keys()].sort((a, b) => a - b);
    const there = await DeviceReadingModel.findAll({
      attributes: ['atS'],
      where: { deviceId, atS: { [Op.between]: [seconds[0] ?? 0, seconds.at(-1) ?? 0] } },
      raw: true,
      transaction,
    });
    for (const { atS } of there) bySecond.delete(atS);
    return [...bySecond.values()].sort((a, b) => a.atS - b.atS);
  }

  return {
    read: async (deviceId, body) => {
      const device = await instruments.find(deviceId, null);
      if (!device) throw new HttpError('not-found', `There is no device ${deviceId}. Its address stands beside it in the cupboard.`);
      if (!device.posts) throw new HttpError('not-allowed', `${device.name} is not set to post its readings. Tick that it does on its card in the cupboard.`);
      const posted = readReadings(body, clock.now().getTime());
      const batchId = posted.batchId ?? device.batchId;
      if (batchId !== null && !(await BatchModel.findByPk(batchId))) throw new HttpError('not-found', `there is no batch ${batchId}`);
      return { deviceId, batchId, readings: posted.readings };
    },
    store: async ({ deviceId, batchId, readings }) => {
      const added = await write(async (transaction) => {
        const rows = await fresh(deviceId, readings, transaction);
        for (let i = 0; i < rows.length; i += ROWS_AT_ONCE) {
          await DeviceReadingModel.bulkCreate(
            rows.slice(i, i + ROWS_AT_ONCE).map((row) => ({ ...row, deviceId, batchId })),
            { transaction },
          );
        }
        return rows;
      });
      if (batchId !== null && added.length > 0) hub.tell(batchId, columnsOf(deviceId, added));
      return { stored: added.length, repeated: readings.length - added.length };
    },
    ofBatch: async (batchId) => [...byDevice(await sentReadings(batchId))].map(([deviceId, list]) => columnsOf(deviceId, list)),
    shownOf: async (batchId, sinceS) => {
      const rows = byDevice(await (sinceS === null ? thinnedReadings(batchId) : sentReadings(batchId, sinceS)));
      return (await readingsHeld(batchId)).map(({ deviceId, held }) => ({ ...columnsOf(deviceId, rows.get(deviceId) ?? []), held }));
    },
    forget: async (deviceId, batchId) => {
      const count = await write((transaction) => DeviceReadingModel.destroy({ where: { deviceId, batchId }, transaction }));
      hub.tellForgotten(batchId, deviceId);
      return count;
    },
    lastOf: async (deviceId, batchId) => {
      const row = await DeviceReadingModel.findOne({ where: { deviceId, batchId }, order: [['atS', 'DESC']], raw: true });
      return row && { atS: row.atS, measured: (await DeviceReadingModel.count({ where: { deviceId, batchId, madeUp: false } })) > 0 };
    },
  };
}
