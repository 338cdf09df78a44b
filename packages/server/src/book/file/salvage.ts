import { existsSync } from 'node:fs';
import { connect } from '../../db/connect.js';
import { openRaw, type RawDatabase, type SqlRow } from '../../db/raw-database.js';
import { createMigrator, MARKS_TABLE } from '../../migrations/index.js';
import { DERIVED_TABLES } from '../../batches/summary.models.js';
import { bookFiles, removeDatabase } from '../../db/files.js';

/** How many rows of each table could be saved out of a damaged book. */
export type Salvaged = Readonly<Record<string, number>>;

async function columnsOf(database: RawDatabase, table: string): Promise<readonly string[]> {
  return (await database.all(`PRAGMA table_info("${table}")`)).map((row) => String(row['name']));
}

/** Every row that can still be read: from the first on until one fails, then from the last back. */
async function readableRows(damaged: RawDatabase, table: string, found: (row: SqlRow) => void): Promise<void> {
  for (const direction of ['ASC', 'DESC']) {
    try {
      await damaged.each(`SELECT * FROM "${table}" NOT INDEXED ORDER BY rowid ${direction}`, found);
      return;
    } catch {
      // What lies behind the damage is read from the other end; a table that fails from both ends keeps what came.
      continue;
    }
  }
}

async function copyTable(damaged: RawDatabase, saved: RawDatabase, table: string): Promise<number> {
  const wanted = await columnsOf(saved, table);
  const rows: SqlRow[] = [];
  await readableRows(damaged, table, (row) => rows.push(row));
  let count = 0;
  await saved.exec('BEGIN');
  for (const plain of rows) {
    // A log from before its order was kept is numbered as it was read.
    const row = table === 'entries' && !('seq' in plain) ? { ...plain, seq: count + 1 } : plain;
    const columns = wanted.filter((column) => column in row);
    const sql = `INSERT OR IGNORE INTO "${table}" (${columns.map((c) => `"${c}"`).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`;
    try {
      await saved.run(
        sql,
        columns.map((column) => row[column] ?? null),
      );
      count += 1;
    } catch {
      // A row that breaks its own table's rules is part of the damage.
      continue;
    }
  }
  await saved.exec('COMMIT');
  return count;
}

/**
 * Writes what can be read out of a damaged book into a new one, which leaves the damaged one as it is.
 *
 * @param dataDir - the data folder
 * @param into - the file to write; replaced when it is there
 * @returns rows saved of each table, or null when nothing could be opened
 */
export async function salvageBook(dataDir: string, into: string): Promise<Salvaged | null> {
  removeDatabase(into);
  const fresh = connect({ file: into });
  await createMigrator(fresh).up();
  await fresh.close();
  const [book = ''] = bookFiles(dataDir);
  if (!existsSync(book)) return null;
  let damaged: RawDatabase;
  try {
    damaged = await openRaw(book, 'read');
  } catch {
    return null;
  }
  // Without it SQLite refuses a file that was cut off before it looks at what is left.
  await damaged.exec('PRAGMA writable_schema=ON').catch(() => undefined);
  const saved = await openRaw(into, 'write');
  try {
    // What refers to a lost row is kept all the same.
    await saved.exec('PRAGMA foreign_keys=OFF');
    const tables = (await saved.all("SELECT name FROM sqlite_master WHERE type = 'table'"))
      .map((row) => String(row['name']))
      .filter((t) => t !== MARKS_TABLE && !DERIVED_TABLES.includes(t) && !t.startsWith('sqlite_'));
    const counts: Record<string, number> = {};
    for (const table of tables) counts[table] = await copyTable(damaged, saved, table).catch(() => 0);
    return Object.values(counts).some((n) => n > 0) ? counts : null;
  } finally {
    await saved.close();
    await damaged.close();
  }
}
