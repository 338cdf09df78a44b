import { accessSync, constants, createWriteStream, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { Transform, type Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { BackupDto, BookComparison, BookSource, CellarStatus, UnreadableRow } from '@trug/contract';
import type { Logger } from 'pino';
import { ulid } from 'ulid';
import { readArchive } from './archive/read-archive.js';
import { writeArchive } from './archive/write-archive.js';
import { checkBackupFolder, listBackups, makeBackup } from './file/backup-store.js';
import { HttpError } from '../http/http-error.js';
import type { BookKeeper } from './book-keeper.js';
import { CellarError, troubleOf, type Trouble } from '../db/cellar-error.js';
import { readMark, writeMark } from './file/cellar-mark.js';
import { compareBooks, countBook } from './file/compare-books.js';
import { examineBook } from './file/examine-book.js';
import { FILES } from '../db/files.js';

/** What the service needs. */
export interface CellarServiceDeps {
  /** Null for a book in memory, which has nothing to back up. */
  readonly dataDir: string | null;
  readonly keeper: BookKeeper;
  readonly now: () => Date;
  readonly log: Logger;
  /** Rows of the open book that cannot be read. */
  readonly unreadable: () => Promise<readonly UnreadableRow[]>;
}

/** The use cases of the book as a whole. */
export interface CellarService {
  readonly status: () => Promise<CellarStatus>;
  readonly backUp: () => Promise<BackupDto>;
  /** Makes a backup when the newest is older than a day. */
  readonly backUpDaily: () => Promise<void>;
  readonly setBackupDir: (backupDir: string | null) => Promise<CellarStatus>;
  /** What another book would take away and bring. */
  readonly compare: (source: BookSource, name: string) => Promise<BookComparison>;
  /** Puts another book in the place of the one there is, which is kept. */
  readonly restore: (source: BookSource, name: string) => Promise<CellarStatus>;
  readonly exportTo: (out: Writable) => Promise<void>;
  /** Looks at an archive and lays it ready. */
  readonly lookAt: (archive: Readable) => Promise<BookComparison>;
}

const DAY_MS = 86_400_000;
/** A daily backup is made a little before a day is over, so that a Trug started every morning makes one each day. */
const DAILY_MS = DAY_MS - 2 * 3_600_000;
/** What an archive may weigh packed, bytes. */
const MOST_PACKED = 200_000_000;
/** How many books that were replaced or kept before a migration stay. */
const MOST_KEPT = 10;

/**
 * The use cases of the book as a whole.
 *
 * @param deps - the folder, who keeps the book, the clock and the log
 */
export function createCellarService({ dataDir, keeper, now, log, unreadable }: CellarServiceDeps): CellarService {
  let backupTrouble: string | null = null;
  const folder = (): string => {
    if (dataDir === null) throw new HttpError('not-allowed', 'This Trug keeps everything in memory.');
    return dataDir;
  };
  const book = (): string => join(folder(), FILES.book);
  const backupDir = (): string => readMark(folder())?.backupDir ?? join(folder(), FILES.backups);
  const isOpen = (): boolean => keeper.book().state.mode === 'open';
  /** The database in which the book can be read; null when there is none. */
  const readable = (): string | null => ({ open: book(), salvaged: join(folder(), FILES.salvaged), closed: null })[keeper.book().state.mode];

  const status = async (): Promise<CellarStatus> => {
    const { state, cellarId } = keeper.book();
    const file = dataDir === null ? null : readable();
    return {
      mode: state.mode,
      why: state.mode === 'open' ? null : state.why,
      cellarId,
      dataDir,
      backupDir: dataDir === null ? null : backupDir(),
      backups: dataDir === null ? [] : listBackups(backupDir()),
      backupTrouble,
      counts: file === null ? null : await countBook(file).catch(() => null),
      unreadable: state.mode === 'closed' ? [] : await unreadable(),
    };
  };

  const backUp = async (): Promise<BackupDto> => {
    if (!isOpen()) throw new HttpError('read-only', 'The cellar is damaged, so no backup is made of it: the good ones stay.');
    try {
      const made = await makeBackup(book(), backupDir(), now());
      backupTrouble = null;
      return made;
    } catch (error) {
      const found = troubleOf(error, null);
      // Where the folder is there and takes files, what SQLite cannot open it has no handle for.
      const trouble = found === 'gone' && isWritable(backupDir()) ? 'no-handles' : found;
      backupTrouble = trouble === null ? 'The last backup could not be made.' : backupWords(trouble);
      log.error({ err: error }, 'backup failed');
      throw new HttpError(trouble === 'disk-full' ? 'no-room' : 'no-disk', backupTrouble);
    }
  };

  /** The file a source names, which must be there and sound. */
  const fileOf = async (source: BookSource, name: string): Promise<string> => {
    if (name !== basename(name) || name.startsWith('.')) throw new HttpError('bad-request', 'That is no name of a backup.');
    const file = {
      backup: () => join(backupDir(), name),
      import: () => join(folder(), FILES.imports, `${name}.sqlite`),
      salvage: () => join(folder(), FILES.salvaged),
    }[source]();
    if (source === 'backup' && !listBackups(backupDir()).some((b) => b.name === name)) throw new HttpError('not-found', 'There is no backup of that name.');
    if (source === 'salvage' && keeper.book().state.mode !== 'salvaged')
      throw new HttpError('not-allowed', 'Nothing was damaged, so nothing was saved out of it.');
    if (!existsSync(file)) throw new HttpError('not-found', 'That is not there any more. Look at it again.');
    const found = await examineBook(file, 'whole');
    if (found.is === 'newer') throw new HttpError('not-allowed', 'A newer Trug wrote it, so this one cannot take it in.');
    if (found.is !== 'sound') throw new HttpError('not-allowed', 'It is damaged itself, so it cannot take the place of anything. Choose another.');
    return file;
  };

  const compare = async (source: BookSource, name: string): Promise<BookComparison> => {
    const file = await fileOf(source, name);
    return { source, name, ...(await compareBooks(file, readable())) };
  };

  return {
    status,
    backUp,
    compare,
    backUpDaily: async () => {
      if (dataDir === null || !isOpen()) return;
      const newest = listBackups(backupDir())[0];
      const age = newest ? Math.abs(now().getTime() - Date.parse(newest.madeAt)) : Infinity;
      // What cannot be made is told in Settings; Trug goes on.
      if (age >= DAILY_MS) await backUp().catch(() => undefined);
    },
    setBackupDir: async (wanted) => {
      const { cellarId } = keeper.book();
      if (cellarId === null || !isOpen()) throw new HttpError('read-only', 'The cellar is not open.');
      try {
        if (wanted !== null) checkBackupFolder(wanted);
      } catch (error) {
        if (!(error instanceof CellarError)) throw error;
        throw new HttpError('not-allowed', error.message, { fields: [{ path: 'backupDir', code: 'folder', message: error.message }] });
      }
      writeMark(folder(), { cellarId, backupDir: wanted });
      return status();
    },
    restore: async (source, name) => {
      const file = await fileOf(source, name);
      await keeper.adopt(file);
      tidyFolders(folder());
      return status();
    },
    exportTo: async (out) => {
      const file = readable();
      if (file === null) throw new HttpError('closed', 'The cellar cannot be read, so there is nothing to give out.');
      await writeArchive(file, out, { now: now(), unreadable: (await unreadable()).map((row) => row.id) });
    },
    lookAt: async (archive) => {
      const at = join(folder(), FILES.imports);
      mkdirSync(at, { recursive: true, mode: 0o700 });
      const name = ulid(now().getTime());
      const zip = join(at, `${name}.zip`);
      try {
        await pipeline(archive, atMost(MOST_PACKED), createWriteStream(zip, { mode: 0o600 }));
        await readArchive(zip, join(at, `${name}.sqlite`));
      } finally {
        rmSync(zip, { force: true });
      }
      return compare('import', name);
    },
  };
}

function isWritable(folder: string): boolean {
  try {
    accessSync(folder, constants.W_OK);
    return true;
  } catch {
    return false;
  }
}

function backupWords(trouble: Trouble): string {
  if (trouble === 'disk-full') return 'The last backup could not be made: the disk is full.';
  if (trouble === 'no-handles') return 'The last backup could not be made: this machine has no more files to give out. Close some programs and try again.';
  return 'The last backup could not be made: its folder cannot be written to.';
}

/** Lets so many bytes through. The rest is heard and dropped: whoever is cut off while sending never reads the refusal. */
function atMost(bytes: number): Transform {
  let seen = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen += chunk.length;
      if (seen > bytes) done();
      else done(null, chunk);
    },
    flush(done) {
      done(seen > bytes ? new HttpError('too-large', `The archive is larger than ${Math.round(bytes / 1e6)} MB.`) : null);
    },
  });
}

/** Lets go of archives that were looked at, and of the oldest books that were replaced. */
export function tidyFolders(dataDir: string): void {
  const imports = join(dataDir, FILES.imports);
  if (existsSync(imports)) for (const name of readdirSync(imports)) rmSync(join(imports, name), { force: true, recursive: true });
  const kept = join(dataDir, FILES.kept);
  if (!existsSync(kept)) return;
  const newestFirst = readdirSync(kept)
    .map((name) => ({ name, ms: statSync(join(kept, name)).mtimeMs }))
    .sort((a, b) => b.ms - a.ms);
  for (const { name } of newestFirst.slice(MOST_KEPT)) rmSync(join(kept, name), { force: true, recursive: true });
}
