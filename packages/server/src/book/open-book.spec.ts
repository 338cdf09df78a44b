import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect } from '../db/connect.js';
import { initModels } from './init-models.js';
import { withRaw } from '../db/raw-database.js';
import { createMigrator, STEP_NAMES } from '../migrations/index.js';
import { carryOutAdoption, decideAdoption } from './file/adopt-book.js';
import { copyBook } from './file/copy-book.js';
import { readMark, writeMark } from './file/cellar-mark.js';
import { FILES } from '../db/files.js';
import { lockFolder } from './file/folder-lock.js';
import { makeDataFolder, openBook, type Book } from './open-book.js';

const NOW = new Date('2026-11-23T10:00:00.000Z');
let dataDir: string;
const open: Book[] = [];
beforeEach(() => {
  dataDir = join(mkdtempSync(join(tmpdir(), 'trug-book-')), 'cellar');
  makeDataFolder(dataDir);
});
afterEach(async () => {
  for (const book of open.splice(0)) await book.sequelize.close();
  rmSync(join(dataDir, '..'), { recursive: true, force: true });
});

const at = (name: string): string => join(dataDir, name);
async function opened(): Promise<Book> {
  const book = await openBook(dataDir, { unclean: false, now: NOW });
  open.push(book);
  return book;
}
async function closed(): Promise<void> {
  for (const book of open.splice(0)) await book.sequelize.close();
}
const names = (n: number): string => `INSERT INTO vessels (id, name, kind, capacity_l) VALUES ('01J0000000000000000000000${n}', 'Jar ${n}', 'jar', 5)`;
async function vessels(book: Book): Promise<number> {
  const [rows] = await book.sequelize.query('SELECT COUNT(*) AS n FROM vessels');
  return (rows as { n: number }[])[0]?.n ?? -1;
}

describe('a cellar', () => {
  it('has an id that outlives its database, in a folder and files for its owner alone', async () => {
    const { cellarId } = await opened();
    expect(readMark(dataDir)).toEqual({ cellarId, backupDir: null });
    expect(statSync(dataDir).mode & 0o777).toBe(0o700);
    for (const name of readdirSync(dataDir)) expect([name, statSync(at(name)).mode & 0o077]).toEqual([name, 0]);
    await closed();
    expect((await opened()).cellarId).toBe(cellarId);
  });
  it.each([
    ['vanished', (): void => rmSync(at(FILES.book)), /not there any more/],
    ['emptied', (): void => truncateSync(at(FILES.book), 0), /is empty/],
  ])('that %s is not taken for a new one, and nothing is made in its place', async (_what, spoil, why) => {
    await opened();
    await closed();
    spoil();
    const book = await opened();
    expect(book.state).toMatchObject({ mode: 'closed', why: expect.stringMatching(why) as string });
    expect(existsSync(at(FILES.book)) ? statSync(at(FILES.book)).size : 0).toBe(0);
  });
  it('whose first start was killed before anything was in it begins anew', async () => {
    writeFileSync(at(FILES.book), '');
    expect((await opened()).state.mode).toBe('open');
  });
  it('that is damaged is shown as far as it can be read, and left as it is', async () => {
    const book = await opened();
    for (let n = 1; n < 9; n += 1) await book.sequelize.query(names(n));
    await book.sequelize.query('CREATE TABLE filler (x)');
    for (let n = 0; n < 40; n += 1) await book.sequelize.query(`INSERT INTO filler VALUES ('${'x'.repeat(3000)}')`);
    await closed();
    // The tail is cut off: the first pages, with the vessels, are whole.
    truncateSync(at(FILES.book), statSync(at(FILES.book)).size - 4096 * 3);
    const before = readFileSync(at(FILES.book));
    const saved = await opened();
    expect(saved.state).toMatchObject({ mode: 'salvaged', saved: { vessels: 8 } });
    expect(await vessels(saved)).toBe(8);
    expect(readFileSync(at(FILES.book)).equals(before)).toBe(true);
  });
  it('of a newer Trug, or a database of something else, is refused in words and not touched', async () => {
    await opened();
    await closed();
    await withRaw(at(FILES.book), 'write', (db) => db.exec("INSERT INTO sequelize_meta (name) VALUES ('9999-later'); PRAGMA wal_checkpoint(TRUNCATE)"));
    const before = readFileSync(at(FILES.book));
    await expect(opened()).rejects.toThrow(/newer Trug \(9999-later\)\. It was not touched/);
    expect(readFileSync(at(FILES.book)).equals(before)).toBe(true);
    rmSync(at(FILES.book));
    await withRaw(at(FILES.book), 'create', (db) => db.exec('CREATE TABLE songs (x)'));
    await expect(opened()).rejects.toThrow(/database of something else/);
  });
  it('says that what is written would not reach its folder, once that is gone', async () => {
    const book = await opened();
    expect(book.stillThere).not.toThrow();
    rmSync(dataDir, { recursive: true });
    expect(book.stillThere).toThrow(expect.objectContaining({ code: 'gone' }) as Error);
  });
});

describe('a folder', () => {
  it('is held by one at a time, however many ask at once, and told by whom', async () => {
    const asked = await Promise.allSettled(Array.from({ length: 5 }, () => lockFolder(dataDir)));
    const [held, ...others] = asked.flatMap((a) => (a.status === 'fulfilled' ? [a.value] : []));
    expect(others).toEqual([]);
    held?.announce('http://localhost:1234');
    await expect(lockFolder(dataDir)).rejects.toThrow(/already runs on .* at http:\/\/localhost:1234 \(process \d+\)/);
    await held?.release();
    const again = await lockFolder(dataDir);
    expect(again.afterUncleanStop).toBe(false);
    again.announce('http://localhost:1');
    // Killed: the mark of who runs stays behind.
    writeFileSync(at('copy.json'), readFileSync(at(FILES.running)));
    await again.release();
    writeFileSync(at(FILES.running), readFileSync(at('copy.json')));
    const after = await lockFolder(dataDir);
    expect(after.afterUncleanStop).toBe(true);
    await after.release();
  });
});

describe('a book that takes the place of another', () => {
  /** A book with so many vessels, at a path of its own. */
  async function made(count: number, path: string): Promise<void> {
    const sequelize = connect({ file: path });
    initModels(sequelize);
    await createMigrator(sequelize).up();
    for (let n = 1; n <= count; n += 1) await sequelize.query(names(n));
    await sequelize.close();
  }
  it('does so whole, sets the old one aside with what lay beside it, and can be asked twice', async () => {
    await made(1, at(FILES.book));
    writeFileSync(at(`${FILES.book}-wal`), 'of the old one');
    await made(3, at('other.sqlite'));
    await decideAdoption(dataDir, at('other.sqlite'), NOW);
    const kept = carryOutAdoption(dataDir) ?? '';
    expect(readdirSync(kept).sort()).toEqual([FILES.book, `${FILES.book}-wal`]);
    expect(carryOutAdoption(dataDir)).toBeNull();
    expect(await vessels(await opened())).toBe(3);
  });
  it.each(['decided', 'the old book half set aside', 'the new one in place'])('goes on after a kill: %s', async (moment) => {
    await made(1, at(FILES.book));
    await made(3, at('other.sqlite'));
    await decideAdoption(dataDir, at('other.sqlite'), NOW);
    const decision = readFileSync(at(FILES.adoption));
    if (moment === 'the old book half set aside') rmSync(at(FILES.book));
    if (moment === 'the new one in place') {
      carryOutAdoption(dataDir);
      writeFileSync(at(FILES.adoption), decision);
    }
    expect(await vessels(await opened())).toBe(3);
    expect(existsSync(at(FILES.adoption))).toBe(false);
    expect(existsSync(at(FILES.incoming))).toBe(false);
  });
  it('leaves everything as it was when it was killed before it was decided', async () => {
    await made(1, at(FILES.book));
    copyFileSync(at(FILES.book), at(FILES.incoming));
    expect(await vessels(await opened())).toBe(1);
    expect(existsSync(at(FILES.incoming))).toBe(false);
  });
});

describe('an upgrade', () => {
  it('keeps a copy of the book as it was, and its entries in the order they were filed', async () => {
    const sequelize = connect({ file: at(FILES.book) });
    initModels(sequelize);
    await createMigrator(sequelize).up({ to: STEP_NAMES[5] ?? '' });
    await sequelize.query(`INSERT INTO batches (id, name, method_id, tape, started_at) VALUES ('B', 'Old', 'cool-slow', 'leaf', '2026-01-01T00:00:00.000Z')`);
    for (const id of ['Z', 'A', 'M']) {
      await sequelize.query(
        `INSERT INTO entries (id, batch_id, kind, at, written_at, note, payload) VALUES ('${id}', 'B', 'note', '2026-01-01T00:00:00.000Z', '2026-01-01T00:00:00.000Z', '', '{"text":"x"}')`,
      );
    }
    await sequelize.close();
    const book = await opened();
    const [rows] = await book.sequelize.query('SELECT id, seq, digest FROM entries ORDER BY seq');
    expect(rows).toEqual(['Z', 'A', 'M'].map((id, i) => ({ id, seq: i + 1, digest: null })));
    const [copy] = readdirSync(at(FILES.kept));
    expect(copy).toMatch(/^before-0007/);
    const columns = await withRaw(join(at(FILES.kept), copy ?? ''), 'read', (db) => db.all('PRAGMA table_info(entries)'));
    expect(columns.map((c) => c['name'])).not.toContain('seq');
  });
  it('goes on after one that was killed once the copy was made, at the very same moment by its clock', async () => {
    const sequelize = connect({ file: at(FILES.book) });
    initModels(sequelize);
    await createMigrator(sequelize).up({ to: STEP_NAMES[5] ?? '' });
    await sequelize.close();
    await copyBook(at(FILES.book), join(at(FILES.kept), `before-${STEP_NAMES[6] ?? ''}-${NOW.toISOString().replace(/[:.]/g, '-')}.sqlite`));
    expect((await opened()).state.mode).toBe('open');
    expect(readdirSync(at(FILES.kept))).toHaveLength(2);
  });
  it('writes a step and its mark together or not at all', async () => {
    const sequelize = connect({ file: at(FILES.book) });
    initModels(sequelize);
    const migrator = createMigrator(sequelize);
    await migrator.up({ to: STEP_NAMES[5] ?? '' });
    // The newest step breaks at its end: what it did before is undone with it.
    await sequelize.query('CREATE INDEX entries_seq ON entries (kind)');
    await expect(migrator.up()).rejects.toThrow();
    const [columns] = await sequelize.query('PRAGMA table_info(entries)');
    expect((columns as { name: string }[]).map((c) => c.name)).not.toContain('seq');
    await sequelize.query('DROP INDEX entries_seq');
    await migrator.up();
    expect((await migrator.executed()).map((m) => m.name)).toEqual(STEP_NAMES);
    await sequelize.close();
  });
  it('keeps the folder of backups a maker chose', async () => {
    const { cellarId } = await opened();
    await closed();
    writeMark(dataDir, { cellarId: cellarId ?? '', backupDir: '/elsewhere' });
    await opened();
    expect(readMark(dataDir)?.backupDir).toBe('/elsewhere');
  });
});
