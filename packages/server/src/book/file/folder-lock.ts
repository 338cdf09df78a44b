import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { openRaw, sqliteCode } from '../../db/raw-database.js';
import { CellarError } from '../../db/cellar-error.js';
import { FILES, readJson, writeWhole } from '../../db/files.js';

/** A data folder held by this process alone. */
export interface FolderLock {
  /** Whether whoever held it before ended without letting go. */
  readonly afterUncleanStop: boolean;
  /** Says who runs here, for those who are refused. */
  readonly announce: (url: string) => void;
  readonly release: () => Promise<void>;
}

/**
 * Takes a data folder for this process. The lock is an exclusive transaction on a database of its own: the operating
 * system lets go of it when the process ends in whatever way, so that a killed Trug never locks its cellar away, and of
 * two that start at once exactly one gets it.
 *
 * @param dataDir - the folder
 * @returns the lock
 * @throws {CellarError} locked, naming who has it
 */
export async function lockFolder(dataDir: string): Promise<FolderLock> {
  const database = await openRaw(join(dataDir, FILES.lock), 'create');
  try {
    await database.exec('PRAGMA busy_timeout=0; BEGIN EXCLUSIVE');
  } catch (error) {
    await database.close();
    if (sqliteCode(error) !== 'SQLITE_BUSY') throw error;
    throw new CellarError('locked', `Trug already runs on ${dataDir}${holderWords(dataDir)}. Use that one, or stop it first.`, { cause: error });
  }
  const running = join(dataDir, FILES.running);
  return {
    afterUncleanStop: readJson(running) !== null,
    announce: (url) => writeWhole(running, `${JSON.stringify({ pid: process.pid, url })}\n`),
    release: async () => {
      rmSync(running, { force: true });
      await database.close();
    },
  };
}

function holderWords(dataDir: string): string {
  const holder = readJson(join(dataDir, FILES.running));
  if (typeof holder !== 'object' || holder === null || !('url' in holder) || !('pid' in holder)) return '';
  return `, at ${String(holder.url)} (process ${String(holder.pid)})`;
}
