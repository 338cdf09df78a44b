import { chmodSync, existsSync, mkdirSync, renameSync } from 'node:fs';
import { dirname } from 'node:path';
import { examineBook } from './examine-book.js';
import { removeDatabase, syncPath } from '../../db/files.js';
import { withRaw } from '../../db/raw-database.js';

/**
 * Copies a database, open or not, into one self-contained file, and reads the copy through before it gets its name: a
 * file of that name is always whole.
 *
 * @param book - the database
 * @param into - the file to make; it must not be there
 * @throws {Error} when the copy is not sound; nothing is left behind then
 */
export async function copyBook(book: string, into: string): Promise<void> {
  if (existsSync(into)) throw new Error(`${into} is there already`);
  mkdirSync(dirname(into), { recursive: true, mode: 0o700 });
  const unfinished = `${into}.unfinished`;
  removeDatabase(unfinished);
  try {
    await withRaw(book, 'read', (database) => database.run('VACUUM INTO ?', [unfinished]));
    const found = await examineBook(unfinished, 'whole');
    if (found.is !== 'sound') throw new Error(`the copy of ${book} is ${found.is}`);
    chmodSync(unfinished, 0o600);
    syncPath(unfinished);
    renameSync(unfinished, into);
    syncPath(dirname(into));
  } finally {
    removeDatabase(unfinished);
  }
}
