import { existsSync, statfsSync } from 'node:fs';
import { join } from 'node:path';
import { sqliteCode } from './raw-database.js';
import { FILES } from './files.js';

/** Why a cellar cannot be opened or written, in one sentence a maker can act on. */
export class CellarError extends Error {
  override readonly name = 'CellarError';

  constructor(
    readonly code: CellarErrorCode,
    message: string,
    options?: ErrorOptions,
  ) {
    super(message, options);
  }
}

/** What may be wrong with the place a cellar lies in. */
export type CellarErrorCode = 'locked' | 'newer' | 'foreign' | 'port-taken' | Trouble;

/** The sentence for each trouble of the machine. `gone` is said while running; at the start a missing folder is made. */
export const TROUBLE_WORDS = {
  'disk-full': 'The disk is full, so nothing more can be written down. Make room and try again; what is written already is safe.',
  'read-only-disk': 'The disk can only be read, so nothing can be written down. Make it writable and try again; what is written already is safe.',
  'no-handles': 'This machine has no more files to give out. Close some programs and try again.',
  gone: 'The folder with your cellar is gone or was replaced, so nothing is written down. Put it back: Trug goes on by itself.',
  damaged: 'The file with your cellar is damaged. Trug is looking what can be saved; nothing is written down until then.',
  'disk-error': 'The disk gave an error, so this was not written down. Try again; if it goes on, copy your cellar to another disk.',
} as const;

/** A trouble of the machine. */
export type Trouble = keyof typeof TROUBLE_WORDS;

const BY_CODE: Readonly<Record<string, Trouble>> = {
  SQLITE_FULL: 'disk-full',
  ENOSPC: 'disk-full',
  EDQUOT: 'disk-full',
  EFBIG: 'disk-full',
  SQLITE_READONLY: 'read-only-disk',
  EROFS: 'read-only-disk',
  EACCES: 'read-only-disk',
  EPERM: 'read-only-disk',
  EMFILE: 'no-handles',
  ENFILE: 'no-handles',
  SQLITE_CANTOPEN: 'gone',
  SQLITE_IOERR: 'disk-error',
  EIO: 'disk-error',
  ENOENT: 'gone',
  ENOTDIR: 'gone',
  SQLITE_CORRUPT: 'damaged',
  SQLITE_NOTADB: 'damaged',
};

/** Below this many free blocks a disk counts as full: SQLite then says only that a write failed. */
const FREE_BLOCKS = 16;

/**
 * What an error of the disk or of SQLite means.
 *
 * @param error - whatever was thrown
 * @param dataDir - the data folder, which tells apart what SQLite calls by one name; null for a book in memory
 * @returns the trouble, or null when it is no such error
 */
export function troubleOf(error: unknown, dataDir: string | null): Trouble | null {
  if (error instanceof CellarError) return error.code in TROUBLE_WORDS ? (error.code as Trouble) : null;
  const trouble = BY_CODE[sqliteCode(error) ?? ''] ?? null;
  if (dataDir === null || trouble === null) return trouble;
  const there = existsSync(join(dataDir, FILES.book));
  if (trouble === 'gone') return there ? 'no-handles' : 'gone';
  if (trouble === 'disk-error') return there ? (statfsSync(dataDir).bavail < FREE_BLOCKS ? 'disk-full' : 'disk-error') : 'gone';
  return trouble;
}

/** A trouble of the disk at the start, as one sentence with the folder's name; any other error as it is. */
export function startError(error: unknown, dataDir: string): unknown {
  if (error instanceof CellarError) return error;
  const trouble = BY_CODE[sqliteCode(error) ?? ''] ?? null;
  if (trouble === null) return error;
  const words: Readonly<Record<Trouble, string>> = {
    'disk-full': `Trug cannot start: the disk that ${dataDir} lies on is full. Make room and start again.`,
    'read-only-disk': `Trug cannot start: ${dataDir} cannot be written to. Make it writable, or name another folder in TRUG_DATA.`,
    'no-handles': 'Trug cannot start: this machine has no more files to give out. Close some programs and start again.',
    gone: `Trug cannot start: ${dataDir} is no folder that can be used. Check TRUG_DATA.`,
    damaged: `Trug cannot start: a file in ${dataDir} is damaged.`,
    'disk-error': `Trug cannot start: the disk that ${dataDir} lies on gave an error.`,
  };
  return new CellarError(trouble, words[trouble], { cause: error });
}
