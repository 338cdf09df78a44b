import type { RawDatabase, SqlValue } from '../../db/raw-database.js';

/** A column as a table schema describes it. */
export interface FieldSchema {
  readonly name: string;
  readonly type: 'string' | 'integer' | 'number';
  readonly constraints: { readonly required: boolean };
}

/** A table of the archive: its file and how its columns are to be read. */
export interface TableResource {
  readonly name: string;
  readonly path: string;
  readonly schema: { readonly fields: readonly FieldSchema[]; readonly primaryKey: readonly string[] };
}

/** The tables of a cellar in the order in which they can be filled. */
export const ARCHIVED_TABLES = [
  'cellar',
  'batches',
  'entries',
  'vessels',
  'settings',
  'juices',
  'supplies',
  'places',
  'instruments',
  'recipes',
  'device_readings',
] as const;

/** One of them. */
export type ArchivedTable = (typeof ARCHIVED_TABLES)[number];

/** The step of migration that brought a table which older archives lack. */
export const TABLE_SINCE: { readonly [T in ArchivedTable]?: string } = { recipes: '0010-create-recipes' };

function typeOf(declared: string): FieldSchema['type'] {
  if (/INT|BOOL/i.test(declared)) return 'integer';
  return /DOUBLE|REAL|FLOAT/i.test(declared) ? 'number' : 'string';
}

/** A table's description, read from the database itself, so that it is never another than what is there. */
export async function resourceOf(database: RawDatabase, table: ArchivedTable): Promise<TableResource> {
  const columns = await database.all(`PRAGMA table_info("${table}")`);
  return {
    name: table.replace('_', '-'),
    path: `${table}.csv`,
    schema: {
      fields: columns.map((c) => ({
        name: String(c['name']),
        type: typeOf(String(c['type'])),
        constraints: { required: c['notnull'] === 1 || Number(c['pk']) > 0 },
      })),
      primaryKey: columns
        .filter((c) => Number(c['pk']) > 0)
        .sort((a, b) => Number(a['pk']) - Number(b['pk']))
        .map((c) => String(c['name'])),
    },
  };
}

/** Why a cell cannot be what its column says. */
export class CellError extends Error {}

/**
 * A cell as the database has it. An empty cell is nothing where nothing may stand, and an empty text where something must.
 *
 * @throws {CellError} when it is no value of its column
 */
export function valueOf(cell: string, { name, type, constraints }: FieldSchema): SqlValue {
  if (cell === '' && !constraints.required) return null;
  if (type === 'string') return cell;
  const value = Number(cell);
  if (cell.trim() === '' || !Number.isFinite(value) || (type === 'integer' && !Number.isInteger(value)))
    throw new CellError(`${name} is no ${type}: ${cell.slice(0, 40)}`);
  return value;
}
