import type { InstrumentDto } from '@trug/contract';
import type { Transaction } from 'sequelize';
import { BatchModel } from '../batches/batch.model.js';
import { HttpError } from '../http/http-error.js';

/**
 * Refuses an instrument that does not add up with the rest of the cellar.
 *
 * @param card - the instrument
 * @param transaction - of the write
 * @throws {HttpError} not-found or not-allowed
 */
export async function checkInstrument(card: InstrumentDto, transaction: Transaction): Promise<void> {
  if (card.batchId === null) return;
  if (!card.posts) throw new HttpError('not-allowed', 'Only an instrument that posts its readings can stand in a batch.');
  if (!(await BatchModel.findByPk(card.batchId, { transaction }))) throw new HttpError('not-found', `there is no batch ${card.batchId}`);
}
