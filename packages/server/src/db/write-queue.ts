import { Transaction, type Sequelize } from 'sequelize';

/** Runs a piece of work in one transaction, after every earlier one. */
export type Write = <T>(work: (transaction: Transaction) => Promise<T>) => Promise<T>;

/**
 * A queue of writes. SQLite has one writer at a time; taking turns here is quicker than waiting on its lock.
 *
 * @param sequelize - the connection
 * @returns a function that runs work in an immediate transaction, in turn
 */
export function createWriteQueue(sequelize: Sequelize): Write {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const turn = last.then(() => sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, work));
    last = turn.catch(() => undefined);
    return turn;
  };
}
