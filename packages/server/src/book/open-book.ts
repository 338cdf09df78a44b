import { chmodSync, existsSync, mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { QueryTypes, type Sequelize } from 'sequelize';
import { ulid } from 'ulid';
import { copyBook } from './file/copy-book.js';
import { connect } from '../db/connect.js';
import { initModels } from './init-models.js';
import { createMigrator, STEP_NAMES } from '../migrations/index.js';
import { carryOutAdoption, freeName } from './file/adopt-book.js';
import { summaryStore } from '../batches/summary.store.js';
import { CellarError, TROUBLE_WORDS } from '../db/cellar-error.js';
import { readMark, writeMark } from './file/cellar-mark.js';
import { examineBook } from './file/examine-book.js';
import { FILES, syncPath } from '../db/files.js';
import { salvageBook, type Salvaged } from './file/salvage.js';

/** In what state a cellar was found. */
export type BookState =
  | { readonly mode: 'open' }
  /** Damaged: what could be saved is shown, and nothing is written. */
  | { readonly mode: 'salvaged'; readonly why: string; readonly saved: Salvaged }
  /** There was a cellar, and there is nothing of it to read. */
  | { readonly mode: 'closed'; readonly why: string };

/** An opened cellar. */
export interface Book {
  readonly sequelize: Sequelize;
  readonly state: BookState;
  /** Null while closed, or when what was saved does not say. */
  readonly cellarId: string | null;
  /** @throws {CellarError} gone, when what is written would not reach the folder any more */
  readonly stillThere: () => void;
}

/** A book in memory, for tests. */
export async function openBookInMemory(): Promise<Book> {
  const sequelize = connect({ file: null });
  initModels(sequelize);
  await createMigrator(sequelize).up();
  return { sequelize, state: { mode: 'open' }, cellarId: await cellarIdOf(sequelize, ulid()), stillThere: () => undefined };
}

/** Makes the data folder, for its owner alone. */
export function makeDataFolder(dataDir: string): void {
  mkdirSync(dataDir, { recursive: true, mode: 0o700 });
  chmodSync(dataDir, 0o700);
}

async function cellarIdOf(sequelize: Sequelize, otherwise: string): Promise<string> {
  await sequelize.query("INSERT OR IGNORE INTO cellar (key, value) VALUES ('id', ?)", { replacements: [otherwise] });
  const [row] = await sequelize.query<{ value: string }>("SELECT value FROM cellar WHERE key = 'id'", { type: QueryTypes.SELECT });
  return row?.value ?? otherwise;
}

/**
 * Opens the cellar in a folder that is locked for this process: carries out what was decided, looks at the book before
 * touching it, keeps a copy of it before any migration, and never takes a cellar that lost its book for a new one.
 *
 * @param dataDir - the data folder
 * @param options - whether the last stop was unclean, which asks for a closer look, and what day it is
 * @returns the book and its state
 * @throws {CellarError} newer or foreign, with the book as it was
 */
export async function openBook(dataDir: string, { unclean, now }: { readonly unclean: boolean; readonly now: Date }): Promise<Book> {
  carryOutAdoption(dataDir);
  const file = join(dataDir, FILES.book);
  const mark = readMark(dataDir);
  const hadCellar = existsSync(join(dataDir, FILES.mark));
  const found = await examineBook(file, unclean ? 'whole' : 'quick');
  switch (found.is) {
    case 'newer':
      throw new CellarError(
        'newer',
        `${file} was written by a newer Trug (${found.steps.join(', ')}). It was not touched. Start that newer Trug, or name another folder in TRUG_DATA.`,
      );
    case 'foreign':
      throw new CellarError('foreign', `${file} is a database of something else. It was not touched. Name another folder in TRUG_DATA.`);
    case 'missing':
    case 'empty':
      if (!hadCellar) return opened(dataDir, ulid());
      return closedBook(
        `The file ${FILES.book} in ${dataDir} is ${found.is === 'missing' ? 'not there any more' : 'empty'}, though there was a cellar in it.`,
        mark?.cellarId ?? null,
      );
    case 'damaged':
      return damaged(dataDir, found.why);
    case 'sound': {
      // Nothing is worth a copy when a first start was killed before its first step.
      if (found.pending.length > 0 && found.pending.length < STEP_NAMES.length) {
        const kept = join(dataDir, FILES.kept);
        await copyBook(file, join(kept, freeName(now, (stamp) => `before-${found.pending[0] ?? 'step'}-${stamp}.sqlite`, kept).name));
      }
      return opened(dataDir, found.cellarId ?? mark?.cellarId ?? ulid());
    }
  }
}

async function opened(dataDir: string, newId: string): Promise<Book> {
  const file = join(dataDir, FILES.book);
  const sequelize = connect({ file });
  initModels(sequelize);
  await createMigrator(sequelize).up();
  await summaryStore.freshen(sequelize);
  const cellarId = await cellarIdOf(sequelize, newId);
  const mark = readMark(dataDir);
  if (mark?.cellarId !== cellarId) writeMark(dataDir, { cellarId, backupDir: mark?.backupDir ?? null });
  syncPath(dataDir);
  const { ino, dev } = statSync(file);
  const stillThere = (): void => {
    const now = statSync(file, { throwIfNoEntry: false });
    if (now?.ino !== ino || now.dev !== dev) throw new CellarError('gone', TROUBLE_WORDS.gone);
  };
  return { sequelize, state: { mode: 'open' }, cellarId, stillThere };
}

async function damaged(dataDir: string, why: string): Promise<Book> {
  const into = join(dataDir, FILES.salvaged);
  const saved = await salvageBook(dataDir, into);
  if (saved === null)
    return closedBook(`The file ${FILES.book} in ${dataDir} is damaged (${why}), and nothing of it can be read.`, readMark(dataDir)?.cellarId ?? null);
  const sequelize = connect({ file: into });
  initModels(sequelize);
  return {
    sequelize,
    state: {
      mode: 'salvaged',
      why: `The file ${FILES.book} in ${dataDir} is damaged (${why}). You see what could be saved out of it; nothing can be written down.`,
      saved,
    },
    cellarId: readMark(dataDir)?.cellarId ?? null,
    stillThere: () => undefined,
  };
}

/**
 * A book that cannot be read: it holds nothing and takes nothing.
 *
 * @param why - one sentence
 * @param cellarId - of the cellar that should be there
 */
export async function closedBook(why: string, cellarId: string | null): Promise<Book> {
  const { sequelize } = await openBookInMemory();
  return { sequelize, state: { mode: 'closed', why }, cellarId, stillThere: () => undefined };
}
