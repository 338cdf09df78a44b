import { NewBatchDto, type BatchDto } from '@trug/contract';
import type { Entry } from '@trug/core';
import type { Transaction } from 'sequelize';
import { groupBy } from '../db/group-by.js';
import type { Write } from '../db/write-queue.js';
import { entryRepository, type ReadLog } from '../entries/entry.repository.js';
import { readEntries, type EntryService } from '../entries/entry.service.js';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import { BatchModel } from './batch.model.js';

/** The use cases of batches. */
export interface BatchService {
  readonly list: () => Promise<readonly BatchDto[]>;
  readonly get: (id: string) => Promise<BatchDto>;
  /** Begins several batches with entries on any batch, all or nothing; gives every batch the entries touch. */
  readonly beginFamily: (
    batches: readonly NewBatchDto[],
    entries: readonly Entry[],
  ) => Promise<{ readonly family: readonly BatchDto[]; readonly created: boolean }>;
  readonly begin: (body: unknown) => Promise<{ readonly batch: BatchDto; readonly created: boolean }>;
}

function toDto(row: BatchModel, { entries, unreadable }: ReadLog): BatchDto {
  const { id, name, methodId, tape, startedAt } = row;
  return { id, name, methodId, tape, startedAt, entries, ...(unreadable.length > 0 ? { unreadable } : {}) };
}

function sameBatch(row: BatchModel, dto: NewBatchDto): boolean {
  return row.name === dto.name && row.methodId === dto.methodId && row.tape === dto.tape && row.startedAt === dto.startedAt;
}

/** Stores a batch unless it is there already; tells whether it was new. */
async function begun(dto: NewBatchDto, transaction: Transaction): Promise<boolean> {
  const { id, name, methodId, tape, startedAt } = dto;
  const there = await BatchModel.findByPk(id, { transaction });
  if (there && !sameBatch(there, dto)) throw new HttpError('conflict', `another batch is already filed under ${id}`);
  if (!there) await BatchModel.create({ id, name, methodId, tape, startedAt }, { transaction });
  return !there;
}

/** The batch of a request, without the entries that come with it. */
function withoutEntries(body: unknown): unknown {
  return typeof body === 'object' && body !== null ? Object.fromEntries(Object.entries(body).filter(([key]) => key !== 'entries')) : body;
}

/**
 * The use cases of batches.
 *
 * @param deps - the write queue and the log's use cases
 * @returns the service
 */
export function createBatchService({ write, entries }: { readonly write: Write; readonly entries: EntryService }): BatchService {
  const get = async (id: string): Promise<BatchDto> => {
    const row = await BatchModel.findByPk(id);
    if (!row) throw new HttpError('not-found', `there is no batch ${id}`);
    return toDto(row, await entryRepository.read(id));
  };
  return {
    get,
    list: async () => {
      const [rows, log] = await Promise.all([BatchModel.findAll({ order: [['id', 'ASC']] }), entryRepository.read(null)]);
      const entriesOf = groupBy(log.entries, (entry) => entry.batchId);
      const unreadableOf = groupBy(log.unreadable, (row) => row.batchId);
      return rows.map((row) => toDto(row, { entries: entriesOf.get(row.id) ?? [], unreadable: unreadableOf.get(row.id) ?? [] }));
    },
    begin: async (body) => {
      const dto = readBody(NewBatchDto, withoutEntries(body));
      const first = readEntries(body);
      const created = await write(async (transaction) => {
        const isNew = await begun(dto, transaction);
        await entries.fileWithin(first, transaction);
        return isNew;
      });
      return { batch: await get(dto.id), created };
    },
    beginFamily: async (dtos, first) => {
      const created = await write(async (transaction) => {
        let anyNew = false;
        for (const dto of dtos) if (await begun(dto, transaction)) anyNew = true;
        await entries.fileWithin(first, transaction);
        return anyNew;
      });
      const touched = new Set([...dtos.map((d) => d.id), ...first.map((e) => e.batchId)]);
      return { family: await Promise.all([...touched].map(get)), created };
    },
  };
}
