import type { InstrumentDto } from '@trug/contract';
import type { Transaction } from 'sequelize';
import { BatchModel } from '../batches/batch.model.js';
import { DeviceReadingModel } from './device-reading.model.js';
import { HttpError } from '../http/http-error.js';

/**
 * Refuses an instrument that does not add up with the rest of the cellar.
 *
 * @param instrument - the instrument
 * @param transaction - of the write
 * @throws {HttpError} not-found or not-allowed
 */
export async function checkPlacement(instrument: InstrumentDto, transaction: Transaction): Promise<void> {
  if (instrument.batchId === null) return;
  if (!instrument.posts) throw new HttpError('not-allowed', 'Only an instrument that posts its readings can stand in a batch.');
  if (!(await BatchModel.findByPk(instrument.batchId, { transaction }))) throw new HttpError('not-found', `there is no batch ${instrument.batchId}`);
}

/**
 * Whether an instrument has readings of its own.
 *
 * @param id - the instrument
 * @param transaction - of the write
 */
export async function isInstrumentTold(id: string, transaction: Transaction): Promise<boolean> {
  return (await DeviceReadingModel.findOne({ where: { deviceId: id }, attributes: ['deviceId'], transaction })) !== null;
}
