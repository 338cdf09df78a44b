import { Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import Papa from 'papaparse';
import yazl from 'yazl';
import { openRaw, type RawDatabase, type SqlRow } from '../../db/raw-database.js';
import { STEP_NAMES } from '../../migrations/index.js';
import { ARCHIVED_TABLES, resourceOf, type ArchivedTable, type TableResource } from './table-schemas.js';

/** What an archive calls itself. */
export const PACKAGE_NAME = 'trug-cellar';
export const DESCRIPTION_FILE = 'datapackage.json';

const ROWS_AT_ONCE = 2000;

/** A table as CSV, some rows at a time. */
async function* csvOf(database: RawDatabase, table: ArchivedTable, { schema }: TableResource): AsyncGenerator<string> {
  const columns = schema.fields.map((f) => f.name);
  const line = (rows: readonly (readonly unknown[])[]): string => `${Papa.unparse(rows as unknown[][], { newline: '\r\n' })}\r\n`;
  yield line([columns]);
  let after = -1;
  for (;;) {
    const rows: readonly SqlRow[] = await database.all(`SELECT rowid AS "_at", * FROM "${table}" WHERE rowid > ? ORDER BY rowid LIMIT ${ROWS_AT_ONCE}`, [
      after,
    ]);
    const last = rows.at(-1);
    if (!last) return;
    after = Number(last['_at']);
    yield line(rows.map((row) => columns.map((column) => row[column])));
  }
}

/**
 * Writes a whole cellar as a data package: a zip of one CSV file per table and a description of them.
 *
 * @param book - the database; read as it is at one moment, while others may write
 * @param out - where the zip goes
 * @param facts - when it was made, and ids of rows that cannot be read and go along as they are
 */
export async function writeArchive(
  book: string,
  out: Writable,
  { now, unreadable }: { readonly now: Date; readonly unreadable: readonly string[] },
): Promise<void> {
  const database = await openRaw(book, 'read');
  try {
    // One read transaction, so that every table is of the same moment.
    await database.exec('BEGIN');
    const resources = await Promise.all(ARCHIVED_TABLES.map((table) => resourceOf(database, table)));
    const [cellar] = await database.all("SELECT value FROM cellar WHERE key = 'id'");
    const zip = new yazl.ZipFile();
    const description = {
      name: PACKAGE_NAME,
      profile: 'tabular-data-package',
      title: 'A cellar kept with Trug',
      created: now.toISOString(),
      cellarId: cellar ? String(cellar['value']) : null,
      steps: STEP_NAMES,
      unreadable,
      resources: resources.map((resource) => ({ ...resource, profile: 'tabular-data-resource', encoding: 'utf-8', mediatype: 'text/csv' })),
    };
    zip.addBuffer(Buffer.from(`${JSON.stringify(description, null, 2)}\n`), DESCRIPTION_FILE, { mtime: now });
    for (const [i, table] of ARCHIVED_TABLES.entries()) {
      const resource = resources[i];
      if (resource) zip.addReadStreamLazy(resource.path, { mtime: now }, (give) => give(null, Readable.from(csvOf(database, table, resource))));
    }
    zip.end();
    await pipeline(zip.outputStream, out);
  } finally {
    await database.close();
  }
}
