import { isDeepStrictEqual } from 'node:util';
import { checkDto, type DtoCheck, type UnreadableRow } from '@trug/contract';
import type { ClassConstructor } from 'class-transformer';
import type { Transaction } from 'sequelize';
import type { Write } from '../db/write-queue.js';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import type { InstrumentModel, JuiceModel, PlaceModel, SupplyModel } from './card.models.js';

/** What every card has. */
export interface Card {
  readonly id: string;
  readonly version: number;
}

/** Reads and writes cards of one kind. */
export interface CardStore<T extends Card> {
  /** Every card that can be read. */
  readonly list: () => Promise<readonly T[]>;
  /** Cards that are kept and cannot be read. */
  readonly unreadable: () => Promise<readonly UnreadableRow[]>;
  readonly find: (id: string, transaction: Transaction | null) => Promise<T | null>;
  /** Files a new card; the same card sent twice is filed once. */
  readonly add: (body: unknown) => Promise<{ readonly card: T; readonly created: boolean }>;
  /** Changes a card, unless another window changed it first. */
  readonly change: (id: string, body: unknown) => Promise<T>;
}

/** What a store of cards is made of. */
export interface CardKind<T extends Card> {
  readonly model: typeof JuiceModel | typeof SupplyModel | typeof InstrumentModel | typeof PlaceModel;
  readonly dto: ClassConstructor<T>;
  /** As the maker would call it. */
  readonly word: string;
  /** Refuses a card that does not add up with the rest of the cellar. */
  readonly check?: (card: T, transaction: Transaction) => Promise<void>;
}

interface CardRow {
  readonly id: string;
  readonly version: number;
  readonly facts: string;
}

/** A card's facts as stored; none when they are garbled, which its contract then refuses. */
function factsIn({ facts }: CardRow): object {
  try {
    const stored: unknown = JSON.parse(facts);
    return typeof stored === 'object' && stored !== null ? stored : {};
  } catch (error) {
    if (error instanceof SyntaxError) return {};
    throw error;
  }
}

/**
 * A store of cards.
 *
 * @param kind - its model and contract class
 * @param write - the write queue
 * @returns the store
 */
export function createCardStore<T extends Card>({ model, dto, word, check }: CardKind<T>, write: Write): CardStore<T> {
  const checked = (row: CardRow): DtoCheck<T> => checkDto(dto, { ...factsIn(row), id: row.id, version: row.version });
  const fromRow = (row: CardRow): T => {
    const check = checked(row);
    if (!check.ok)
      throw new HttpError('conflict', `This ${word} cannot be read any more: ${check.fields.map((f) => f.message).join('; ')}. It is kept as it is.`);
    return check.value;
  };
  const factsOf = (card: T): string => JSON.stringify(Object.fromEntries(Object.entries(card).filter(([key]) => key !== 'id' && key !== 'version')));
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
      const card = readBody(dto, body);
      return write(async (transaction) => {
        const there = await model.findByPk(card.id, { transaction });
        if (there) {
          if (isDeepStrictEqual(factsIn(there), JSON.parse(factsOf(card)))) return { card: fromRow(there), created: false };
          throw new HttpError('conflict', `another ${word} is already filed under ${card.id}`, { current: fromRow(there) });
        }
        await check?.(card, transaction);
        const row = await model.create({ id: card.id, version: 1, facts: factsOf(card) }, { transaction });
        return { card: fromRow(row), created: true };
      });
    },
    change: async (id, body) => {
      const card = readBody(dto, body);
      return write(async (transaction) => {
        const row = await model.findByPk(id, { transaction });
        if (!row || card.id !== id) throw new HttpError('not-found', `there is no ${word} ${id}`);
        // Sent again after an answer that was lost: it is stored already.
        if (row.version === card.version + 1 && isDeepStrictEqual(factsIn(row), JSON.parse(factsOf(card)))) return fromRow(row);
        if (row.version !== card.version) {
          throw new HttpError('conflict', `Another window changed this ${word} in the meantime. Look at both and choose.`, { current: fromRow(row) });
        }
        await check?.(card, transaction);
        await row.update({ version: row.version + 1, facts: factsOf(card) }, { transaction });
        return fromRow(row);
      });
    },
  };
}
