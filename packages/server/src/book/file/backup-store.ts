import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { isAbsolute, join } from 'node:path';
import { freeName } from './adopt-book.js';
import { CellarError } from '../../db/cellar-error.js';
import { copyBook } from './copy-book.js';
import { whichToKeep } from './which-to-keep.js';

/** A backup as it lies in its folder. */
export interface StoredBackup {
  readonly name: string;
  /** ISO 8601. */
  readonly madeAt: string;
  readonly bytes: number;
}

const NAME = /^trug-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z\.sqlite$/;

/** When a backup was made, by its name; null for a file that is none. */
function madeAt(name: string): string | null {
  const found = NAME.exec(name);
  return found ? `${found[1] ?? ''}T${found[2] ?? ''}:${found[3] ?? ''}:${found[4] ?? ''}.${found[5] ?? ''}Z` : null;
}

/** The backups in a folder, newest first. A missing folder has none. */
export function listBackups(folder: string): readonly StoredBackup[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const at = madeAt(name);
      return at === null ? [] : [{ name, madeAt: at, bytes: statSync(join(folder, name)).size }];
    })
    .sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
}

/**
 * Makes a backup and lets go of those that have had their time.
 *
 * @param book - the database
 * @param folder - where backups lie; made when missing
 * @param now - names it
 * @returns the backup
 */
export async function makeBackup(book: string, folder: string, now: Date): Promise<StoredBackup> {
  const { at, name } = freeName(now, (stamp) => `trug-${stamp}.sqlite`, folder);
  await copyBook(book, join(folder, name));
  const all = listBackups(folder);
  const keep = new Set(whichToKeep(all.map((b) => new Date(b.madeAt))).map((d) => d.toISOString()));
  // What was made just now stays whatever its name says: a clock may stand still, or have been turned back.
  for (const old of all) if (old.name !== name && !keep.has(old.madeAt)) rmSync(join(folder, old.name), { force: true });
  return { name, madeAt: at.toISOString(), bytes: statSync(join(folder, name)).size };
}

/**
 * Checks a folder that a maker wants backups in.
 *
 * @param folder - an absolute path
 * @throws {CellarError} when it cannot be made or written
 */
export function checkBackupFolder(folder: string): void {
  if (!isAbsolute(folder)) throw new CellarError('gone', 'Give the whole path of the folder, from its root.');
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const probe = join(folder, '.trug-probe');
    mkdirSync(probe, { recursive: true });
    rmSync(probe, { recursive: true });
  } catch (error) {
    throw new CellarError('gone', 'That folder cannot be made or written to. Check its name, and that its disk is there.', { cause: error });
  }
}
