import { chmodSync, closeSync, openSync } from 'node:fs';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';

/** Every connection keeps what it acknowledged through a crash, and waits for another writer instead of failing. */
const PRAGMAS = 'PRAGMA busy_timeout=5000; PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL; PRAGMA foreign_keys=ON;';

/** Sequelize opens a connection for each transaction and leaves no hook there, so the pragmas are set where SQLite connections are made. */
class DurableDatabase extends sqlite3.Database {
  constructor(file: string, mode: number, opened: (error: Error | null) => void) {
    super(file, mode, opened);
    this.serialize();
    this.exec(PRAGMAS);
  }
}

/**
 * Connects to a database, or to one in memory.
 *
 * @param where - its file, made when missing and readable by its owner alone; a null file for memory
 * @returns the connection; nothing is migrated yet
 */
export function connect({ file }: { readonly file: string | null }): Sequelize {
  if (file !== null) {
    // Made before SQLite does, so that it is never readable by others; SQLite gives what it lays beside it the same rights.
    closeSync(openSync(file, 'a', 0o600));
    chmodSync(file, 0o600);
  }
  return new Sequelize({
    dialect: 'sqlite',
    dialectModule: { ...sqlite3, Database: DurableDatabase },
    storage: file ?? ':memory:',
    // A file that is gone is not made anew: it would take writes that nobody finds again.
    ...(file === null ? {} : { dialectOptions: { mode: sqlite3.OPEN_READWRITE } }),
    logging: false,
    define: { underscored: true, timestamps: false },
  });
}
