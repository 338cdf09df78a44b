import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { createWriteQueue, type WriteQueue } from '../db/write-queue.js';
import { decideAdoption } from './file/adopt-book.js';
import { CellarError, startError, TROUBLE_WORDS, troubleOf } from '../db/cellar-error.js';
import { readMark } from './file/cellar-mark.js';
import { FILES } from '../db/files.js';
import { lockFolder, type FolderLock } from './file/folder-lock.js';
import { closedBook, makeDataFolder, openBook, openBookInMemory, type Book } from './open-book.js';

/** A book as it is in use. */
export interface BookInUse extends Book {
  readonly queue: WriteQueue;
}

/** What a keeper tells of its book. */
export interface KeeperDeps {
  /** Null keeps everything in memory. */
  readonly dataDir: string | null;
  readonly now: () => Date;
  /** Builds what serves a book; `close` ends what it keeps running. */
  readonly serve: (book: BookInUse) => { readonly close: () => void };
}

/** Holds the book open, puts another in its place when asked, and opens it again when its folder comes back. */
export interface BookKeeper {
  readonly book: () => BookInUse;
  /** Says where Trug answers, for a second one that is refused. */
  readonly announce: (url: string) => void;
  /** Runs a request's work; a change of book waits until it has ended, and it waits while one is going on. */
  readonly during: (ended: Promise<void>) => Promise<void>;
  /** Puts a database in the place of the book. */
  readonly adopt: (from: string) => Promise<void>;
  /** A trouble of the disk was met: when the book is gone or damaged it is opened anew as soon as that can be done. */
  readonly noteTrouble: (error: unknown) => void;
  /** Brings what was written into the named file, when nothing was written for a while. */
  readonly tidy: () => Promise<void>;
  /** Ends after the acknowledged writes. */
  readonly close: () => Promise<void>;
}

/** A book that was gone is looked for at most this often, ms. */
const LOOK_AGAIN_MS = 1000;
/** A change of book waits this long for requests under way, ms: what is written is in the queue and waited for in any case. */
const PATIENCE_MS = 3000;
/** Nothing written for so long counts as idle, ms. */
const IDLE_MS = 20_000;

/**
 * Takes the folder, opens the book in it and serves it.
 *
 * @param deps - the folder, the clock and what serves a book
 * @returns the keeper
 * @throws {CellarError} when the folder is taken, or its book cannot be used
 */
export async function createBookKeeper({ dataDir, now, serve }: KeeperDeps): Promise<BookKeeper> {
  let lock: FolderLock | null = null;
  let announced: string | null = null;
  const underWay = new Set<Promise<void>>();
  let changing: Promise<void> = Promise.resolve();
  let lookedMs = 0;
  let closing = false;

  async function take(): Promise<BookInUse> {
    if (dataDir === null) return inUse(await openBookInMemory());
    try {
      makeDataFolder(dataDir);
      lock = await lockFolder(dataDir);
      return inUse(await openBook(dataDir, { unclean: lock.afterUncleanStop, now: now() }));
    } catch (error) {
      await lock?.release();
      lock = null;
      throw startError(error, dataDir);
    }
  }
  const inUse = (book: Book): BookInUse => ({ ...book, queue: createWriteQueue(book.sequelize, book.stillThere) });

  let current = await take();
  let served = serve(current);

  async function put(): Promise<void> {
    if (current.state.mode === 'open') await checkpoint(current).catch(() => undefined);
    await current.sequelize.close();
  }

  /** Closes the book, does some work on its files, and opens what is then there. */
  function change(work: () => Promise<void>): Promise<void> {
    const turn = changing.then(async () => {
      // Streams end first: they would never end by themselves.
      served.close();
      await Promise.race([Promise.allSettled([...underWay]), new Promise((resolve) => setTimeout(resolve, PATIENCE_MS).unref())]);
      await current.queue.settled();
      await put();
      const { cellarId } = current;
      try {
        await work();
        if (dataDir !== null) current = inUse(await openBook(dataDir, { unclean: false, now: now() }));
      } catch (error) {
        current = inUse(await closedBook(error instanceof Error ? error.message : String(error), cellarId));
        throw error;
      } finally {
        served = serve(current);
      }
    });
    changing = turn.catch(() => undefined);
    return turn;
  }

  /** Whether the folder has a book again that is this one. */
  const isBack = (): boolean => dataDir !== null && existsSync(join(dataDir, FILES.book)) && readMark(dataDir)?.cellarId === current.cellarId;

  async function reopen(): Promise<void> {
    if (dataDir === null) return;
    const old = lock;
    await change(async () => {
      await old?.release().catch(() => undefined);
      lock = await lockFolder(dataDir);
      if (announced !== null) lock.announce(announced);
    });
  }

  return {
    book: () => current,
    announce: (url) => {
      announced = url;
      lock?.announce(url);
    },
    during: async (ended) => {
      await changing;
      const done = ended.finally(() => underWay.delete(done));
      underWay.add(done);
    },
    adopt: async (from) => {
      if (dataDir === null) throw new CellarError('gone', TROUBLE_WORDS.gone);
      await decideAdoption(dataDir, from, now());
      // Opening the book carries the adoption out.
      await change(() => Promise.resolve());
    },
    noteTrouble: (error) => {
      const trouble = troubleOf(error, dataDir);
      if (closing || (trouble !== 'gone' && trouble !== 'damaged') || Date.now() - lookedMs < LOOK_AGAIN_MS) return;
      lookedMs = Date.now();
      // Back, or damaged: both are found out by opening it anew; what goes wrong there is met again by the next request.
      if (trouble === 'damaged' || isBack()) void reopen().catch(() => undefined);
    },
    tidy: async () => {
      const idle = Date.now() - current.queue.lastWriteMs();
      if (closing || current.state.mode !== 'open' || current.queue.lastWriteMs() === 0 || idle < IDLE_MS) return;
      await checkpoint(current).catch(() => undefined);
    },
    close: async () => {
      closing = true;
      served.close();
      await changing;
      await current.queue.settled();
      await put();
      await lock?.release();
    },
  };
}

/** Brings everything into the file that has the book's name, so that it is the whole. */
async function checkpoint({ sequelize }: Book): Promise<void> {
  await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)', { type: QueryTypes.SELECT });
}
