import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
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
 * Opens the maker's database, or one in memory.
 *
 * @param dataDir - the folder to keep `trug.sqlite` in, made when missing; null for memory
 * @returns the connection; nothing is migrated yet
 */
export function connect(dataDir: string | null): Sequelize {
  if (dataDir !== null) mkdirSync(dataDir, { recursive: true });
  return new Sequelize({
    dialect: 'sqlite',
    dialectModule: { ...sqlite3, Database: DurableDatabase },
    storage: dataDir === null ? ':memory:' : join(dataDir, 'trug.sqlite'),
    logging: false,
    define: { underscored: true, timestamps: false },
  });
}
