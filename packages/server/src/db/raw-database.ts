import sqlite3 from 'sqlite3';

/** A value of a row as SQLite has it. */
export type SqlValue = string | number | null;
/** A row by its columns. */
export type SqlRow = Readonly<Record<string, SqlValue>>;

/** A connection for work on whole files: checks, copies and comparisons. */
export interface RawDatabase {
  readonly all: (sql: string, values?: readonly SqlValue[]) => Promise<readonly SqlRow[]>;
  /** Calls back with each row in turn, so that a table never stands in memory whole. */
  readonly each: (sql: string, row: (row: SqlRow) => void) => Promise<void>;
  readonly run: (sql: string, values?: readonly SqlValue[]) => Promise<void>;
  readonly exec: (sql: string) => Promise<void>;
  readonly close: () => Promise<void>;
}

const MODES = {
  read: sqlite3.OPEN_READONLY,
  write: sqlite3.OPEN_READWRITE,
  create: sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE,
} as const;

function settled(work: (done: (error: Error | null) => void) => void): Promise<void> {
  return new Promise((resolve, reject) => work((error) => (error ? reject(error) : resolve())));
}

/**
 * Opens a database file as it is, without models.
 *
 * @param file - its path
 * @param mode - `read` changes nothing, `write` needs the file, `create` makes it
 * @returns the connection
 * @throws the SQLite error when it cannot be opened
 */
export async function openRaw(file: string, mode: keyof typeof MODES): Promise<RawDatabase> {
  let opened: sqlite3.Database | undefined;
  await settled((done) => {
    opened = new sqlite3.Database(file, MODES[mode], done);
  });
  const database = opened;
  if (!database) throw new Error(`no connection to ${file}`);
  database.configure('busyTimeout', 5000);
  return {
    all: (sql, values = []) =>
      new Promise((resolve, reject) => database.all<SqlRow>(sql, [...values], (error: Error | null, rows) => (error ? reject(error) : resolve(rows)))),
    each: (sql, row) =>
      new Promise((resolve, reject) =>
        database.each<SqlRow>(
          sql,
          (error: Error | null, value) => {
            if (!error) row(value);
          },
          (error: Error | null) => (error ? reject(error) : resolve()),
        ),
      ),
    run: (sql, values = []) => settled((done) => database.run(sql, [...values], done)),
    exec: (sql) => settled((done) => database.exec(sql, done)),
    close: () => settled((done) => database.close(done)),
  };
}

/** Opens a file, works on it and closes it again, whatever happens. */
export async function withRaw<T>(file: string, mode: keyof typeof MODES, work: (database: RawDatabase) => Promise<T>): Promise<T> {
  const database = await openRaw(file, mode);
  try {
    return await work(database);
  } finally {
    await database.close();
  }
}

/** The code that SQLite or the system gives an error, such as `SQLITE_FULL` or `ENOSPC`; undefined for any other. */
export function sqliteCode(error: unknown): string | undefined {
  // Asked for by what it has and not by its class: an error may come from outside this realm, and wrapped by others.
  for (let at = error; typeof at === 'object' && at !== null; at = 'original' in at ? at.original : 'cause' in at ? at.cause : null) {
    if ('code' in at && typeof at.code === 'string' && 'errno' in at) return at.code;
  }
  return undefined;
}
