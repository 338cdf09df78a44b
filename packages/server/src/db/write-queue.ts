import { Transaction, type Sequelize } from 'sequelize';

/** Runs a piece of work in one transaction, after every earlier one. */
export type Write = <T>(work: (transaction: Transaction) => Promise<T>) => Promise<T>;

/** A queue of writes that can be waited for. */
export interface WriteQueue {
  readonly write: Write;
  /** Settles once every write asked for so far has ended. */
  readonly settled: () => Promise<void>;
  /** When the last write ended, ms of the machine's clock; 0 before the first. */
  readonly lastWriteMs: () => number;
}

/**
 * A queue of writes. SQLite has one writer at a time; taking turns here is quicker than waiting on its lock.
 *
 * @param sequelize - the connection
 * @param stillThere - refuses, by throwing, when what is written would not reach the book; asked first and last
 * @returns the queue; each piece of work is an immediate transaction
 */
export function createWriteQueue(sequelize: Sequelize, stillThere: () => void = () => undefined): WriteQueue {
  let last: Promise<unknown> = Promise.resolve();
  let lastWriteMs = 0;
  return {
    write: (work) => {
      const turn = last.then(() => {
        stillThere();
        return sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, async (transaction) => {
          const result = await work(transaction);
          stillThere();
          return result;
        });
      });
      last = turn.then(
        () => {
          lastWriteMs = Date.now();
        },
        () => undefined,
      );
      return turn;
    },
    settled: async () => {
      await last;
    },
    lastWriteMs: () => lastWriteMs,
  };
}
