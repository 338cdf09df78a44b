import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { bookFiles, FILES, readJson, removeDatabase, syncPath, writeWhole } from '../../db/files.js';

/** When something happened, as a file name can say it. */
const stampOf = (date: Date): string => date.toISOString().replace(/[:.]/g, '-');

/**
 * When something happened, as a name that nothing in a folder has yet: clocks stand still and are turned back.
 *
 * @param now - the moment
 * @param nameOf - makes the whole name of a stamp
 * @param folder - where nothing of that name may be
 * @returns the moment, at most some thousandths of a second later, and its name
 */
export function freeName(now: Date, nameOf: (stamp: string) => string, folder: string): { readonly at: Date; readonly name: string } {
  let at = now;
  while (existsSync(join(folder, nameOf(stampOf(at))))) at = new Date(at.getTime() + 1);
  return { at, name: nameOf(stampOf(at)) };
}

/**
 * Lays a database ready to take the place of the book, and decides that it shall. From here on it takes its place at
 * the latest at the next start, whatever happens in between.
 *
 * @param dataDir - the data folder
 * @param from - the database that shall be the book; it stays where it is
 * @param now - for the name under which the old book is kept
 */
export async function decideAdoption(dataDir: string, from: string, now: Date): Promise<void> {
  const incoming = join(dataDir, FILES.incoming);
  removeDatabase(incoming);
  await copyFile(from, incoming);
  syncPath(incoming);
  const { name: keepAs } = freeName(now, (stamp) => `replaced-${stamp}`, join(dataDir, FILES.kept));
  writeWhole(join(dataDir, FILES.adoption), `${JSON.stringify({ from: basename(from), keepAs })}\n`);
}

/**
 * Carries out an adoption that was decided, from wherever it stopped: the old book with what SQLite laid beside it is
 * set aside whole, then the new one takes its name. The book must not be open.
 *
 * @param dataDir - the data folder
 * @returns the folder in which the old book is kept, or null when nothing was decided
 */
export function carryOutAdoption(dataDir: string): string | null {
  const decision = join(dataDir, FILES.adoption);
  const incoming = join(dataDir, FILES.incoming);
  const decided = readJson(decision);
  if (decided === null) {
    // Killed before the decision: what was laid ready is of no use.
    rmSync(decision, { force: true });
    removeDatabase(incoming);
    return null;
  }
  const keepAs = typeof decided === 'object' && 'keepAs' in decided ? basename(String(decided.keepAs)) : 'replaced';
  const kept = join(dataDir, FILES.kept, keepAs);
  // While the new one lies ready, whatever has the book's name is the old one.
  if (existsSync(incoming)) {
    mkdirSync(kept, { recursive: true, mode: 0o700 });
    for (const file of bookFiles(dataDir)) if (existsSync(file)) renameSync(file, join(kept, basename(file)));
    syncPath(kept);
    renameSync(incoming, join(dataDir, FILES.book));
    syncPath(dataDir);
  }
  rmSync(decision, { force: true });
  syncPath(dataDir);
  return kept;
}
