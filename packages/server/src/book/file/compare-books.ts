import type { BookComparison, BookCounts } from '@trug/contract';
import { withRaw, type RawDatabase } from '../../db/raw-database.js';

/** Each count's table and what tells one of its rows from another. */
const TABLES: { readonly [K in keyof BookCounts]: readonly [table: string, key: string] } = {
  batches: ['batches', 'id'],
  entries: ['entries', 'id'],
  juices: ['juices', 'id'],
  supplies: ['supplies', 'id'],
  vessels: ['vessels', 'id'],
  places: ['places', 'id'],
  instruments: ['instruments', 'id'],
  recipes: ['recipes', 'id'],
  readings: ['device_readings', "device_id || ' ' || at_s"],
};
/** Tables of things that are changed as a whole, and what tells a change. */
const CHANGING: readonly (readonly [table: string, differs: string])[] = [
  ...['juices', 'supplies', 'places', 'instruments', 'recipes'].map((table) => [table, 'a.facts <> b.facts'] as const),
  ['vessels', "a.name <> b.name OR a.capacity_l <> b.capacity_l OR COALESCE(a.cleaned_at, '') <> COALESCE(b.cleaned_at, '')"],
  ['settings', 'a.choices <> b.choices'],
];
const MOST_NAMED = 12;

async function number(database: RawDatabase, sql: string): Promise<number> {
  const [row] = await database.all(sql);
  return Number(Object.values(row ?? {})[0] ?? 0);
}

async function counted(count: (table: string, key: string) => Promise<number>): Promise<BookCounts> {
  const counts: { -readonly [K in keyof BookCounts]: number } = {
    batches: 0,
    entries: 0,
    juices: 0,
    supplies: 0,
    vessels: 0,
    places: 0,
    instruments: 0,
    recipes: 0,
    readings: 0,
  };
  for (const name of Object.keys(counts) as (keyof BookCounts)[]) counts[name] = await count(...TABLES[name]);
  return counts;
}

/**
 * How many there are of each thing in a book.
 *
 * @param file - the database, at whatever step of migration
 */
export async function countBook(file: string): Promise<BookCounts> {
  return withRaw(file, 'read', async (database) => {
    const has = await tablesOf(database, 'main');
    return counted(async (table) => (has.has(table) ? number(database, `SELECT COUNT(*) FROM ${table}`) : 0));
  });
}

async function tablesOf(database: RawDatabase, schema: string): Promise<ReadonlySet<string>> {
  return new Set((await database.all(`SELECT name FROM ${schema}.sqlite_master WHERE type = 'table'`)).map((row) => String(row['name'])));
}

/**
 * What would be lost and gained if one book took the place of another. Both are only read.
 *
 * @param candidate - the book that would come
 * @param standing - the book there is; null when there is none to read
 * @returns everything but where the candidate comes from
 */
export async function compareBooks(candidate: string, standing: string | null): Promise<Omit<BookComparison, 'source' | 'name'>> {
  return withRaw(candidate, 'read', async (database) => {
    const here = await tablesOf(database, 'main');
    if (standing !== null) await database.run('ATTACH DATABASE ? AS standing', [standing]);
    const there = standing === null ? new Set<string>() : await tablesOf(database, 'standing');
    const missing = (from: string, to: string, fromHas: ReadonlySet<string>, toHas: ReadonlySet<string>) => (table: string, key: string) =>
      !fromHas.has(table)
        ? Promise.resolve(0)
        : number(database, `SELECT COUNT(*) FROM ${from}.${table}${toHas.has(table) ? ` WHERE ${key} NOT IN (SELECT ${key} FROM ${to}.${table})` : ''}`);
    const inBoth = (table: string): boolean => here.has(table) && there.has(table);
    let changed = 0;
    for (const [table, differs] of CHANGING) {
      if (inBoth(table)) changed += await number(database, `SELECT COUNT(*) FROM main.${table} a JOIN standing.${table} b ON a.id = b.id WHERE ${differs}`);
    }
    const idIn = async (schema: string, has: ReadonlySet<string>): Promise<string | null> => {
      const [row] = has.has('cellar') ? await database.all(`SELECT value FROM ${schema}.cellar WHERE key = 'id'`) : [];
      return row ? String(row['value']) : null;
    };
    const [newest] = here.has('entries') ? await database.all('SELECT MAX(written_at) AS at FROM main.entries') : [];
    const losing =
      there.has('entries') && there.has('batches')
        ? await database.all(
            `SELECT COALESCE(b.name, 'a batch') AS name, COUNT(*) AS n FROM standing.entries e LEFT JOIN standing.batches b ON b.id = e.batch_id
             ${here.has('entries') ? 'WHERE e.id NOT IN (SELECT id FROM main.entries)' : ''} GROUP BY e.batch_id ORDER BY n DESC LIMIT ${MOST_NAMED}`,
          )
        : [];
    const [own, other] = [await idIn('main', here), standing === null ? null : await idIn('standing', there)];
    return {
      sameCellar: own === null || other === null ? null : own === other,
      counts: await counted(async (table) => (here.has(table) ? number(database, `SELECT COUNT(*) FROM main.${table}`) : 0)),
      lost: await counted(missing('standing', 'main', there, here)),
      gained: await counted(missing('main', 'standing', here, there)),
      changed,
      newestAt: newest?.['at'] === null || newest === undefined ? null : String(newest['at']),
      losing: losing.map((row) => ({ name: String(row['name']), entries: Number(row['n']) })),
    };
  });
}
