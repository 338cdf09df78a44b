import { checkEntry } from '@trug/contract';
import type { Entry } from '@trug/core';
import type { Transaction } from 'sequelize';
import { EntryModel } from './entry.model.js';

function fromRow(row: EntryModel): Entry {
  const { id, batchId, kind, at, writtenAt, note } = row;
  const check = checkEntry({ id, batchId, kind, at, writtenAt, note, payload: JSON.parse(row.payload) as unknown });
  if (!check.ok) {
    throw new Error(`entry ${id} in the database breaks its contract: ${check.fields.map((f) => `${f.path} ${f.code}`).join(', ')}`);
  }
  return check.value;
}

/** Reads and writes entries. */
export const entryRepository = {
  /** Every entry of a batch, or of all batches, in the order written. */
  async list(batchId: string | null, transaction: Transaction | null = null): Promise<readonly Entry[]> {
    const rows = await EntryModel.findAll({ ...(batchId === null ? {} : { where: { batchId } }), order: [['id', 'ASC']], transaction });
    return rows.map(fromRow);
  },

  async find(id: string, transaction: Transaction): Promise<Entry | null> {
    const row = await EntryModel.findByPk(id, { transaction });
    return row ? fromRow(row) : null;
  },

  async insert(entry: Entry, transaction: Transaction): Promise<void> {
    const { id, batchId, kind, at, writtenAt, note } = entry;
    await EntryModel.create({ id, batchId, kind, at, writtenAt, note, payload: JSON.stringify(entry.payload) }, { transaction });
  },
};
