import { NewBatchDto, type BatchFacts, type BatchWithLog } from '@trug/contract';
import { summarise } from '@trug/core';
import type { Sequelize, Transaction } from 'sequelize';
import { groupBy } from '../db/group-by.js';
import type { Write } from '../db/write-queue.js';
import { entryRepository, type ReadLog } from './entry.repository.js';
import { readEntries, type EntryService } from './entry.service.js';
import { keptAnswer, type KeptAnswer } from '../http/kept-answer.js';
import { HttpError } from '../http/http-error.js';
import { listIn, readBody } from '../http/read-body.js';
import { summaryStore } from './summary.store.js';
import { BatchModel } from './batch.model.js';

/** Most vessels one pour may begin batches in. */
const MOST_BATCHES = 12;

/** The use cases of batches. */
export interface BatchService {
  /** Every batch, or those named, with its log. */
  readonly listWithLogs: (ids: readonly string[] | null) => Promise<readonly BatchWithLog[]>;
  /** Every batch, or those named, with its summary and without its log, as JSON text: what is kept as text is not read for nothing. */
  readonly listAsJson: (ids: readonly string[] | null) => Promise<string>;
  /** Every batch so, kept ready to send. */
  readonly wholeAsJson: KeptAnswer;
  readonly get: (id: string) => Promise<BatchWithLog>;
  /** Begins batches with entries on any batch, all or nothing; gives every batch the entries touch. */
  readonly begin: (body: unknown) => Promise<{ readonly batches: readonly BatchWithLog[]; readonly created: boolean }>;
}

const factsOf = ({ id, name, methodId, tape, startedAt }: BatchModel): BatchFacts => ({ id, name, methodId, tape, startedAt });

function toDto(row: BatchModel, { entries, unreadable }: ReadLog): BatchWithLog {
  return { ...factsOf(row), summary: summarise(entries), entries, ...(unreadable.length > 0 ? { unreadable } : {}) };
}

/** The batches named, or all, by id. */
const rowsOf = (ids: readonly string[] | null): Promise<BatchModel[]> =>
  BatchModel.findAll({ ...(ids === null ? {} : { where: { id: [...ids] } }), order: [['id', 'ASC']] });

/** A batch as JSON text around a summary that is text already. */
const asJson = (row: BatchModel, summary: string): string => `${JSON.stringify({ ...factsOf(row), entries: null }).slice(0, -1)},"summary":${summary}}`;

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

function readBatches(body: unknown): readonly NewBatchDto[] {
  const list = listIn(body, 'batches');
  if (!list || list.length > MOST_BATCHES) {
    throw new HttpError('bad-request', `batches must be a list of up to ${MOST_BATCHES}`);
  }
  return list.map((plain) => readBody(NewBatchDto, plain));
}

/** What the batch service needs. */
export interface BatchServiceDeps {
  readonly sequelize: Sequelize;
  readonly write: Write;
  readonly entries: EntryService;
}

/**
 * The use cases of batches.
 *
 * @param deps - the book, its write queue and the log's use cases
 * @returns the service
 */
export function createBatchService({ sequelize, write, entries }: BatchServiceDeps): BatchService {
  const get = async (id: string): Promise<BatchWithLog> => {
    const row = await BatchModel.findByPk(id);
    if (!row) throw new HttpError('not-found', `there is no batch ${id}`);
    return toDto(row, await entryRepository.read([id]));
  };
  const listAsJson = async (ids: readonly string[] | null): Promise<string> => {
    const [rows, summaries] = await Promise.all([rowsOf(ids), summaryStore.asJson(sequelize, ids)]);
    // Begun between the two questions: the next list has it.
    const found = rows.flatMap((row) => {
      const summary = summaries.get(row.id);
      return summary === undefined ? [] : [asJson(row, summary)];
    });
    return `[${found.join(',')}]`;
  };
  return {
    get,
    listAsJson,
    // Of what only grows, so that nothing written is missed, whoever wrote it.
    wholeAsJson: keptAnswer({ madeOf: async () => `${await BatchModel.count()}.${await entryRepository.head()}`, make: () => listAsJson(null) }),
    listWithLogs: async (ids) => {
      const [rows, log] = await Promise.all([rowsOf(ids), entryRepository.read(ids)]);
      const entriesOf = groupBy(log.entries, (entry) => entry.batchId);
      const unreadableOf = groupBy(log.unreadable, (row) => row.batchId);
      return rows.map((row) => toDto(row, { entries: entriesOf.get(row.id) ?? [], unreadable: unreadableOf.get(row.id) ?? [] }));
    },
    begin: async (body) => {
      const dtos = readBatches(body);
      const first = readEntries(body);
      const created = await write(async (transaction) => {
        let anyNew = false;
        for (const dto of dtos) if (await begun(dto, transaction)) anyNew = true;
        await entries.fileWithin(first, transaction);
        return anyNew;
      });
      const touched = new Set([...dtos.map((d) => d.id), ...first.map((e) => e.batchId)]);
      return { batches: await Promise.all([...touched].map(get)), created };
    },
  };
}
