import { isDeepStrictEqual } from 'node:util';
import { checkDto, type DtoCheck, type UnreadableRow } from '@trug/contract';
import type { ClassConstructor } from 'class-transformer';
import type { Transaction } from 'sequelize';
import type { Write } from '../db/write-queue.js';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import type { InstrumentModel, JuiceModel, PlaceModel, RecipeModel, SupplyModel } from './resource.models.js';

/** What every resource has. */
export interface Resource {
  readonly id: string;
  readonly version: number;
}

/** Reads and writes resources of one kind. */
export interface ResourceStore<T extends Resource> {
  /** Every resource that can be read. */
  readonly list: () => Promise<readonly T[]>;
  /** Cards that are kept and cannot be read. */
  readonly unreadable: () => Promise<readonly UnreadableRow[]>;
  readonly find: (id: string, transaction: Transaction | null) => Promise<T | null>;
  /** Files a new resource; the same resource sent twice is filed once. */
  readonly add: (body: unknown) => Promise<{ readonly resource: T; readonly created: boolean }>;
  /** Changes a resource, unless another window changed it first. */
  readonly change: (id: string, body: unknown) => Promise<T>;
  /** Takes one away again that nothing tells of, unless another window changed it since. */
  readonly remove: (id: string, version: number) => Promise<void>;
}

/** What a store of resources is made of. */
export interface ResourceKind<T extends Resource> {
  readonly model: typeof JuiceModel | typeof SupplyModel | typeof InstrumentModel | typeof PlaceModel | typeof RecipeModel;
  readonly dto: ClassConstructor<T>;
  /** As the maker would call it. */
  readonly word: string;
  /** Refuses a resource that does not add up with the rest of the cellar. */
  readonly check?: (resource: T, transaction: Transaction) => Promise<void>;
  /** Whether something kept in the book tells of it, so that it must stay. */
  readonly isTold: IsTold;
}

/** Whether something kept in the book tells of a resource. */
export type IsTold = (id: string, transaction: Transaction) => Promise<boolean>;

interface ResourceRow {
  readonly id: string;
  readonly version: number;
  readonly facts: string;
}

/** A resource's facts as stored; none when they are garbled, which its contract then refuses. */
function factsIn({ facts }: ResourceRow): object {
  try {
    const stored: unknown = JSON.parse(facts);
    return typeof stored === 'object' && stored !== null ? stored : {};
  } catch (error) {
    if (error instanceof SyntaxError) return {};
    throw error;
  }
}

/**
 * A store of resources.
 *
 * @param kind - its model and contract class
 * @param write - the write queue
 * @returns the store
 */
export function createResourceStore<T extends Resource>({ model, dto, word, check, isTold }: ResourceKind<T>, write: Write): ResourceStore<T> {
  const checked = (row: ResourceRow): DtoCheck<T> => checkDto(dto, { ...factsIn(row), id: row.id, version: row.version });
  const fromRow = (row: ResourceRow): T => {
    const check = checked(row);
    if (!check.ok)
      throw new HttpError('conflict', `This ${word} cannot be read any more: ${check.fields.map((f) => f.message).join('; ')}. It is kept as it is.`);
    return check.value;
  };
  const factsOf = (resource: T): string => JSON.stringify(Object.fromEntries(Object.entries(resource).filter(([key]) => key !== 'id' && key !== 'version')));
  const find = async (id: string, transaction: Transaction | null): Promise<T | null> => {
    const row = await model.findByPk(id, { transaction });
    return row ? fromRow(row) : null;
  };
  return {
    find,
    list: async () =>
      (await model.findAll({ order: [['id', 'ASC']] })).flatMap((row) => {
        const check = checked(row);
        return check.ok ? [check.value] : [];
      }),
    unreadable: async () =>
      (await model.findAll({ order: [['id', 'ASC']] })).flatMap((row) => {
        const check = checked(row);
        return check.ok
          ? []
          : [{ where: model.tableName, id: row.id, batchId: null, at: null, why: check.fields.map((f) => `${f.path} ${f.message}`).join('; ') }];
      }),
    add: async (body) => {
      const resource = readBody(dto, body);
      return write(async (transaction) => {
        const there = await model.findByPk(resource.id, { transaction });
        if (there) {
          if (isDeepStrictEqual(factsIn(there), JSON.parse(factsOf(resource)))) return { resource: fromRow(there), created: false };
          throw new HttpError('conflict', `another ${word} is already filed under ${resource.id}`, { current: fromRow(there) });
        }
        await check?.(resource, transaction);
        const row = await model.create({ id: resource.id, version: 1, facts: factsOf(resource) }, { transaction });
        return { resource: fromRow(row), created: true };
      });
    },
    change: async (id, body) => {
      const resource = readBody(dto, body);
      return write(async (transaction) => {
        const row = await model.findByPk(id, { transaction });
        if (!row || resource.id !== id) throw new HttpError('not-found', `there is no ${word} ${id}`);
        // Sent again after an answer that was lost: it is stored already.
        if (row.version === resource.version + 1 && isDeepStrictEqual(factsIn(row), JSON.parse(factsOf(resource)))) return fromRow(row);
        if (row.version !== resource.version) {
          throw new HttpError('conflict', `Another window changed this ${word} in the meantime. Look at both and choose.`, { current: fromRow(row) });
        }
        await check?.(resource, transaction);
        await row.update({ version: row.version + 1, facts: factsOf(resource) }, { transaction });
        return fromRow(row);
      });
    },
    remove: (id, version) =>
      write(async (transaction) => {
        const row = await model.findByPk(id, { transaction });
        // Taken away twice is taken away.
        if (!row) return;
        if (row.version !== version) {
          throw new HttpError('conflict', `Another window changed this ${word} in the meantime, so it stays.`, { current: fromRow(row) });
        }
        if (await isTold(id, transaction)) throw new HttpError('not-allowed', `Something was written down about this ${word} since, so it stays.`);
        await row.destroy({ transaction });
      }),
  };
}
