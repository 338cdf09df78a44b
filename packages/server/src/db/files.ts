import { closeSync, existsSync, fsyncSync, openSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Names of everything Trug keeps in a data folder. */
export const FILES = {
  book: 'trug.sqlite',
  /** What identifies the cellar and outlives its database. */
  mark: 'cellar.json',
  lock: 'trug.lock',
  /** Who runs on the folder; left behind by an unclean stop. */
  running: 'running.json',
  /** A database that is about to take the place of the book. */
  incoming: 'incoming.sqlite',
  /** Says that `incoming` is whole and shall take its place. */
  adoption: 'adoption.json',
  /** What was saved out of a damaged book. */
  salvaged: 'salvaged.sqlite',
  backups: 'backups',
  /** Databases that something took the place of. */
  kept: 'kept',
  /** Archives that were looked at and wait to be taken in. */
  imports: 'imports',
} as const;

/** The book with what SQLite lays beside it while it runs. */
export const bookFiles = (dataDir: string): readonly string[] => ['', '-wal', '-shm'].map((end) => join(dataDir, `${FILES.book}${end}`));

/** Makes what was written to a folder or file last through a power cut. */
export function syncPath(path: string): void {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Writes a small file so that after a crash either the old or the new one is there, whole. */
export function writeWhole(path: string, text: string): void {
  const beside = `${path}.new`;
  writeFileSync(beside, text, { mode: 0o600 });
  syncPath(beside);
  renameSync(beside, path);
  syncPath(dirname(path));
}

/** A JSON file's content; null when it is missing or is no JSON. */
export function readJson(path: string): unknown {
  if (!existsSync(path)) return null;
  try {
    return JSON.parse(readFileSync(path, 'utf8')) as unknown;
  } catch (error) {
    if (error instanceof SyntaxError) return null;
    throw error;
  }
}

/** Removes a database with what SQLite lays beside it. */
export function removeDatabase(file: string): void {
  for (const end of ['', '-wal', '-shm', '-journal']) rmSync(`${file}${end}`, { force: true });
}
