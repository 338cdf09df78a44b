import { join } from 'node:path';
import { FILES, readJson, writeWhole } from '../../db/files.js';

/** What is kept beside the database, so that it is still known when the database is not. */
export interface CellarMark {
  /** ULID of the cellar, also kept in its database. */
  readonly cellarId: string;
  /** Where backups go; null for the folder `backups` beside the database. */
  readonly backupDir: string | null;
}

/**
 * Reads a data folder's mark.
 *
 * @param dataDir - the data folder
 * @returns the mark; null when there is none, or it cannot be read
 */
export function readMark(dataDir: string): CellarMark | null {
  const stored = readJson(join(dataDir, FILES.mark));
  if (typeof stored !== 'object' || stored === null || !('cellarId' in stored) || typeof stored.cellarId !== 'string') return null;
  const backupDir = 'backupDir' in stored && typeof stored.backupDir === 'string' ? stored.backupDir : null;
  return { cellarId: stored.cellarId, backupDir };
}

/** Writes a data folder's mark, whole or not at all. */
export function writeMark(dataDir: string, mark: CellarMark): void {
  writeWhole(join(dataDir, FILES.mark), `${JSON.stringify({ ...mark, about: 'Belongs to trug.sqlite beside it. Keep both.' }, null, 2)}\n`);
}
