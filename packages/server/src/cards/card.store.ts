import { isDeepStrictEqual } from 'node:util';
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
  readonly list: () => Promise<readonly T[]>;
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

/**
 * A store of cards.
 *
 * @param kind - its model and contract class
 * @param write - the write queue
 * @returns the store
 */
export function createCardStore<T extends Card>({ model, dto, word, check }: CardKind<T>, write: Write): CardStore<T> {
  const fromRow = (row: { readonly id: string; readonly version: number; readonly facts: string }): T =>
    readBody(dto, { ...(JSON.parse(row.facts) as object), id: row.id, version: row.version });
  const factsOf = (card: T): string => JSON.stringify(Object.fromEntries(Object.entries(card).filter(([key]) => key !== 'id' && key !== 'version')));
  const find = async (id: string, transaction: Transaction | null): Promise<T | null> => {
    const row = await model.findByPk(id, { transaction });
    return row ? fromRow(row) : null;
  };
  return {
    find,
    list: async () => (await model.findAll({ order: [['id', 'ASC']] })).map(fromRow),
    add: async (body) => {
      const card = readBody(dto, body);
      return write(async (transaction) => {
        const there = await model.findByPk(card.id, { transaction });
        if (there) {
          if (isDeepStrictEqual(JSON.parse(there.facts), JSON.parse(factsOf(card)))) return { card: fromRow(there), created: false };
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
