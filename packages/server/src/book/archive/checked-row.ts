import { checkDto, InstrumentDto, JuiceDto, NewBatchDto, NewVesselDto, PlaceDto, RecipeDto, SupplyDto, type DtoCheck } from '@trug/contract';
import type { ClassConstructor } from 'class-transformer';
import type { SqlRow } from '../../db/raw-database.js';
import { digestOf, readEntryRow, type EntryRow } from '../../batches/read-entry-row.js';
import { CellError, type ArchivedTable } from './table-schemas.js';

const RESOURCE_DTOS: { readonly [T in ArchivedTable]?: ClassConstructor<object> } = {
  juices: JuiceDto,
  supplies: SupplyDto,
  places: PlaceDto,
  instruments: InstrumentDto,
  recipes: RecipeDto,
};
const ULID = /^[0-9A-HJKMNP-TV-Z]{26}$/;

function insist(check: DtoCheck<object>, what: string): void {
  if (!check.ok) throw new CellError(`${what}: ${check.fields[0]?.path ?? ''} ${check.fields[0]?.message ?? ''}`);
}

function entryRow(row: SqlRow): SqlRow {
  const text = (key: string): string => String(row[key] ?? '');
  const stored: EntryRow = {
    id: text('id'),
    batchId: text('batch_id'),
    kind: text('kind'),
    at: text('at'),
    writtenAt: text('written_at'),
    note: text('note'),
    payload: text('payload'),
    payloadVersion: Number(row['payload_version'] ?? 1),
    // Who edits a table by hand cannot know the digest: it goes by the contract, and is written anew.
    digest: null,
  };
  const read = readEntryRow(stored);
  if (!read.ok) throw new CellError(`entry ${stored.id}: ${read.why}`);
  const digest = digestOf(stored);
  return row['digest'] === null || row['digest'] === digest ? row : { ...row, digest };
}

/**
 * A row of an archive as it may go into a book.
 *
 * @param table - where it belongs
 * @param row - its columns
 * @returns the row to write
 * @throws {CellError} when its contract refuses it
 */
export function checkedRow(table: ArchivedTable, row: SqlRow): SqlRow {
  const name = `${table} ${String(row['id']).slice(0, 40)}`;
  switch (table) {
    case 'entries':
      return entryRow(row);
    case 'batches':
      insist(checkDto(NewBatchDto, { id: row['id'], name: row['name'], methodId: row['method_id'], tape: row['tape'], startedAt: row['started_at'] }), name);
      return row;
    case 'vessels':
      insist(checkDto(NewVesselDto, { id: row['id'], name: row['name'], kind: row['kind'], capacityL: row['capacity_l'] }), name);
      return row;
    case 'cellar':
      if (row['key'] === 'id' && !ULID.test(String(row['value']))) throw new CellError('the cellar has no id');
      return row;
    case 'settings':
    case 'device_readings':
      return row;
    default: {
      const dto = RESOURCE_DTOS[table];
      if (dto) insist(checkDto(dto, { ...factsIn(String(row['facts'] ?? ''), name), id: row['id'], version: row['version'] }), name);
      return row;
    }
  }
}

function factsIn(facts: string, name: string): object {
  try {
    const stored: unknown = JSON.parse(facts);
    if (typeof stored === 'object' && stored !== null) return stored;
  } catch {
    throw new CellError(`${name}: it is garbled`);
  }
  throw new CellError(`${name}: it is garbled`);
}
