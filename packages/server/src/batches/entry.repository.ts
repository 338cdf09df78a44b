import type { UnreadableRow } from '@trug/contract';
import type { Entry } from '@trug/core';
import { Op, type Transaction } from 'sequelize';
import { EntryModel } from './entry.model.js';
import { payloadVersionOf } from './lift-payload.js';
import { digestOf, readEntryRow } from './read-entry-row.js';

/** A log as far as it can be read. */
export interface ReadLog {
  /** In the order filed. */
  readonly entries: readonly Entry[];
  /** Rows that are kept and cannot be read. */
  readonly unreadable: readonly UnreadableRow[];
}

/** Reads and writes entries. */
export const entryRepository = {
  /** Every entry of some batches, or of all, and what cannot be read among them. */
  async read(batchIds: readonly string[] | null, transaction: Transaction | null = null): Promise<ReadLog> {
    const rows = await EntryModel.findAll({
      ...(batchIds === null ? {} : { where: { batchId: [...batchIds] } }),
      order: [['seq', 'ASC']],
      transaction,
      raw: true,
    });
    const entries: Entry[] = [];
    const unreadable: UnreadableRow[] = [];
    for (const row of rows) {
      const read = readEntryRow(row);
      if (read.ok) entries.push(read.entry);
      else unreadable.push({ where: 'entries', id: row.id, batchId: row.batchId, at: row.at, why: read.why });
    }
    return { entries, unreadable };
  },

  /** Every entry of a batch that can be read. */
  async list(batchId: string, transaction: Transaction | null = null): Promise<readonly Entry[]> {
    return (await entryRepository.read([batchId], transaction)).entries;
  },

  /** An entry by its id; `unreadable` when there is one that cannot be read. */
  async find(id: string, transaction: Transaction): Promise<Entry | 'unreadable' | null> {
    const row = await EntryModel.findByPk(id, { transaction, raw: true });
    if (!row) return null;
    const read = readEntryRow(row);
    return read.ok ? read.entry : 'unreadable';
  },

  /** Whether any entry, corrected or not, names something by its id. */
  async tellsOf(id: string, transaction: Transaction): Promise<boolean> {
    return (await EntryModel.findOne({ where: { payload: { [Op.like]: `%${id}%` } }, attributes: ['id'], transaction })) !== null;
  },

  async insert(entry: Entry, transaction: Transaction): Promise<void> {
    const { id, batchId, kind, at, writtenAt, note } = entry;
    const row = { id, batchId, kind, at, writtenAt, note, payload: JSON.stringify(entry.payload) };
    await EntryModel.create(
      { ...row, seq: (await entryRepository.head(transaction)) + 1, payloadVersion: payloadVersionOf(kind), digest: digestOf(row) },
      { transaction },
    );
  },

  /** Where the logs of all batches end; 0 where nothing is in them. */
  async head(transaction: Transaction | null = null): Promise<number> {
    return (await EntryModel.max<number | null, EntryModel>('seq', { transaction })) ?? 0;
  },

  /** Where a batch's log ends; 0 where nothing is in it. */
  async headOf(batchId: string, transaction: Transaction | null): Promise<number> {
    return (await EntryModel.max<number | null, EntryModel>('seq', { where: { batchId }, transaction })) ?? 0;
  },
};
