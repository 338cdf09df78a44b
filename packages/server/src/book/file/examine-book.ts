import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs';
import { sqliteCode, withRaw, type RawDatabase } from '../../db/raw-database.js';
import { MARKS_TABLE, STEP_NAMES } from '../../migrations/index.js';

/** What a database file turned out to be. */
export type BookFound =
  | { readonly is: 'missing' }
  | { readonly is: 'empty' }
  | { readonly is: 'damaged'; readonly why: string }
  /** Written by a newer Trug than this one. */
  | { readonly is: 'newer'; readonly steps: readonly string[] }
  | { readonly is: 'foreign' }
  | { readonly is: 'sound'; readonly cellarId: string | null; readonly pending: readonly string[] };

const HEADER = 'SQLite format 3\0';

function headerOf(file: string): string {
  const handle = openSync(file, 'r');
  try {
    const bytes = Buffer.alloc(HEADER.length);
    return bytes.subarray(0, readSync(handle, bytes, 0, bytes.length, 0)).toString('latin1');
  } finally {
    closeSync(handle);
  }
}

/**
 * Looks at a database file without changing it.
 *
 * @param file - its path
 * @param check - `quick` reads every page, `whole` compares every index with its table too
 * @returns what it is
 */
export async function examineBook(file: string, check: 'quick' | 'whole'): Promise<BookFound> {
  if (!existsSync(file)) return { is: 'missing' };
  if (statSync(file).size === 0) return { is: 'empty' };
  if (headerOf(file) !== HEADER) return { is: 'damaged', why: 'it does not begin as a database does' };
  try {
    return await withRaw(file, 'read', (database) => examined(database, check));
  } catch (error) {
    const code = sqliteCode(error);
    if (code === 'SQLITE_CORRUPT' || code === 'SQLITE_NOTADB') return { is: 'damaged', why: (error as Error).message };
    throw error;
  }
}

async function examined(database: RawDatabase, check: 'quick' | 'whole'): Promise<BookFound> {
  const tables = new Set((await database.all("SELECT name FROM sqlite_master WHERE type = 'table'")).map((row) => String(row['name'])));
  const steps = tables.has(MARKS_TABLE) ? (await database.all(`SELECT name FROM ${MARKS_TABLE} ORDER BY name`)).map((row) => String(row['name'])) : [];
  // A newer Trug may have added what this one would take for damage, so that is asked first.
  const unknown = steps.filter((step) => !STEP_NAMES.includes(step));
  if (unknown.length > 0) return { is: 'newer', steps: unknown };
  if (steps.length === 0 && [...tables].some((table) => table !== MARKS_TABLE && !table.startsWith('sqlite_'))) return { is: 'foreign' };
  const answer = (await database.all(check === 'quick' ? 'PRAGMA quick_check(5)' : 'PRAGMA integrity_check(5)')).map((row) => String(Object.values(row)[0]));
  if (answer[0] !== 'ok') return { is: 'damaged', why: answer[0] ?? 'the check gave no answer' };
  const [cellar] = tables.has('cellar') ? await database.all("SELECT value FROM cellar WHERE key = 'id'") : [];
  return { is: 'sound', cellarId: cellar ? String(cellar['value']) : null, pending: STEP_NAMES.filter((step) => !steps.includes(step)) };
}
