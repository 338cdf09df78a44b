import type { Readable } from 'node:stream';
import Papa from 'papaparse';
import yauzl, { type Entry as ZipEntry, type ZipFile } from 'yauzl';
import { removeDatabase } from '../../db/files.js';
import { connect } from '../../db/connect.js';
import { openRaw, sqliteCode, type RawDatabase, type SqlRow } from '../../db/raw-database.js';
import { HttpError } from '../../http/http-error.js';
import { createMigrator, STEP_NAMES } from '../../migrations/index.js';
import { checkedRow } from './checked-row.js';
import { ARCHIVED_TABLES, CellError, resourceOf, TABLE_SINCE, valueOf, type ArchivedTable, type TableResource } from './table-schemas.js';
import { DESCRIPTION_FILE, PACKAGE_NAME } from './write-archive.js';

/** What an archive may hold unpacked, bytes: more than a life of cider, less than a trap. @source our choice */
export const MOST_UNPACKED = 1_000_000_000;
const MOST_DESCRIPTION = 1_000_000;
/** Packed more than this, a file is made to burst whoever unpacks it. CSV of readings packs about twenty to one. */
const MOST_RATIO = 200;

const refuse = (why: string): HttpError => new HttpError('bad-request', `This archive cannot be taken in: ${why}. Nothing was changed.`);

function openZip(file: string): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    // yauzl refuses absolute paths and paths that climb out of the archive, and checks sizes as it unpacks.
    yauzl.open(file, { lazyEntries: true, autoClose: false, validateEntrySizes: true, strictFileNames: true }, (error: Error | null, zip) => {
      if (error) reject(refuse('it is no whole zip file'));
      else resolve(zip);
    });
  });
}

/** The archive's files by name, each looked at before it is unpacked. */
async function filesOf(zip: ZipFile): Promise<ReadonlyMap<string, ZipEntry>> {
  const known = new Set<string>([DESCRIPTION_FILE, ...ARCHIVED_TABLES.map((table) => `${table}.csv`)]);
  const files = new Map<string, ZipEntry>();
  let unpacked = 0;
  return new Promise((resolve, reject) => {
    zip.on('error', () => {
      reject(refuse('its list of files is damaged, or names files where none may be'));
    });
    zip.on('end', () => {
      resolve(files);
    });
    const look = (entry: ZipEntry): string | null => {
      const name = entry.fileName;
      unpacked += entry.uncompressedSize;
      if (!known.has(name)) return `it holds a file that does not belong there (${name.slice(0, 60)})`;
      if (files.has(name)) return `it holds ${name} twice`;
      const bursts = unpacked > MOST_UNPACKED || entry.uncompressedSize > MOST_RATIO * Math.max(entry.compressedSize, 1000);
      return bursts ? 'unpacked it would be far too large' : null;
    };
    zip.on('entry', (entry: ZipEntry) => {
      const why = look(entry);
      if (why !== null) {
        reject(refuse(why));
        return;
      }
      files.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

function contentOf(zip: ZipFile, entry: ZipEntry): Promise<Readable> {
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error: Error | null, stream) => (error ? reject(refuse(`${entry.fileName} cannot be unpacked`)) : resolve(stream)));
  });
}

interface Description {
  /** The migrations that the book it was made of had taken. */
  readonly steps: ReadonlySet<string>;
  /** Ids of rows that could not be read where the archive was made; they are kept as they are. */
  readonly unreadable: ReadonlySet<string>;
  readonly resources: readonly unknown[];
}

async function descriptionOf(zip: ZipFile, files: ReadonlyMap<string, ZipEntry>): Promise<Description> {
  const entry = files.get(DESCRIPTION_FILE);
  if (!entry || entry.uncompressedSize > MOST_DESCRIPTION) throw refuse(`it has no ${DESCRIPTION_FILE}`);
  let text = '';
  for await (const chunk of await contentOf(zip, entry)) text += String(chunk);
  let described: unknown;
  try {
    described = JSON.parse(text);
  } catch {
    throw refuse(`its ${DESCRIPTION_FILE} is no JSON`);
  }
  if (typeof described !== 'object' || described === null || !('name' in described) || described.name !== PACKAGE_NAME)
    throw refuse('it is of something else, not of a cellar');
  const { steps, resources, unreadable } = described as { steps?: unknown; resources?: unknown; unreadable?: unknown };
  if (!Array.isArray(steps) || !steps.every((s) => typeof s === 'string') || !Array.isArray(resources))
    throw refuse(`its ${DESCRIPTION_FILE} does not say what is in it`);
  if (steps.some((step) => !STEP_NAMES.includes(step))) throw refuse('a newer Trug wrote it');
  return { steps: new Set(steps.map(String)), unreadable: new Set(Array.isArray(unreadable) ? unreadable.map(String) : []), resources };
}

const property = (of: unknown, name: string): unknown =>
  typeof of === 'object' && of !== null ? Object.entries(of).find(([key]) => key === name)?.[1] : undefined;

function fieldNames(resource: unknown): readonly string[] {
  const fields = property(property(resource, 'schema'), 'fields');
  return Array.isArray(fields) ? fields.map((field) => String(property(field, 'name'))) : [];
}

/** Columns of an archived table that this Trug has, all of which it must know. */
function columnsTaken(described: Description, here: TableResource): readonly string[] {
  const names = described.resources.flatMap((resource) => (property(resource, 'path') === here.path ? fieldNames(resource) : []));
  const own = new Set(here.schema.fields.map((f) => f.name));
  if (names.length === 0) throw refuse(`it does not describe ${here.path}`);
  const unknown = names.find((name) => !own.has(name));
  if (unknown !== undefined) throw refuse(`${here.path} has a column that is not known (${unknown.slice(0, 40)})`);
  const missing = here.schema.primaryKey.find((name) => !names.includes(name));
  if (missing !== undefined) throw refuse(`${here.path} lacks its column ${missing}`);
  return names;
}

interface Filling {
  readonly database: RawDatabase;
  readonly table: ArchivedTable;
  readonly resource: TableResource;
  readonly columns: readonly string[];
  readonly unreadable: ReadonlySet<string>;
}

/** Parses a CSV file as it is unpacked, and writes its rows. */
async function fill(stream: Readable, { database, table, resource, columns, unreadable }: Filling): Promise<void> {
  const fields = columns.map((name) => resource.schema.fields.find((f) => f.name === name));
  const sql = `INSERT INTO "${table}" (${columns.map((c) => `"${c}"`).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`;
  const parser = stream.pipe(Papa.parse(Papa.NODE_STREAM_INPUT, { header: false, skipEmptyLines: true }));
  let line = 0;
  for await (const cells of parser as AsyncIterable<unknown>) {
    line += 1;
    if (!Array.isArray(cells) || cells.length !== columns.length) throw refuse(`line ${line} of ${resource.path} does not have ${columns.length} columns`);
    if (line === 1) {
      if (cells.some((cell, i) => cell !== columns[i])) throw refuse(`the head of ${resource.path} is not what ${DESCRIPTION_FILE} says`);
      continue;
    }
    try {
      const values = fields.map((field, i) => (field ? valueOf(String(cells[i]), field) : null));
      const row: SqlRow = Object.fromEntries(columns.map((name, i) => [name, values[i] ?? null]));
      const taken = unreadable.has(String(row['id'])) ? row : checkedRow(table, row);
      await database.run(
        sql,
        columns.map((name) => taken[name] ?? null),
      );
    } catch (error) {
      if (error instanceof CellError) throw refuse(`line ${line} of ${resource.path}: ${error.message}`);
      if (sqliteCode(error) === 'SQLITE_CONSTRAINT') throw refuse(`line ${line} of ${resource.path} does not fit the rest`);
      throw error;
    }
  }
}

/**
 * Makes a book out of an archive, checked whole before anything is said of it.
 *
 * @param archive - the zip file
 * @param into - the database to make; nothing of it stays when the archive is refused
 * @throws {HttpError} bad-request, saying why
 */
export async function readArchive(archive: string, into: string): Promise<void> {
  removeDatabase(into);
  const zip = await openZip(archive);
  try {
    const files = await filesOf(zip);
    const described = await descriptionOf(zip, files);
    const fresh = connect({ file: into });
    await createMigrator(fresh).up();
    await fresh.close();
    const database = await openRaw(into, 'write');
    try {
      await database.exec('PRAGMA foreign_keys=ON; PRAGMA synchronous=OFF; BEGIN');
      for (const table of ARCHIVED_TABLES) {
        const resource = await resourceOf(database, table);
        const entry = files.get(resource.path);
        const { [table]: since } = TABLE_SINCE;
        // An archive made before there was such a table holds nothing of it.
        if (!entry && since !== undefined && !described.steps.has(since)) continue;
        if (!entry) throw refuse(`${resource.path} is missing`);
        await fill(await contentOf(zip, entry), { database, table, resource, columns: columnsTaken(described, resource), unreadable: described.unreadable });
      }
      await database.exec('COMMIT; PRAGMA wal_checkpoint(TRUNCATE)');
    } finally {
      await database.close();
    }
  } catch (error) {
    removeDatabase(into);
    if (error instanceof HttpError) throw error;
    // What the zip reader says of damage further in comes as its own errors.
    if (sqliteCode(error) === undefined) throw refuse('part of it is damaged');
    throw error;
  } finally {
    zip.close();
  }
}
