import { crc32 } from 'node:zlib';
import { checkEntry, PAYLOAD_DTOS } from '@trug/contract';
import type { Entry, EntryKind } from '@trug/core';
import type { EntryModel } from './entry.model.js';
import { liftPayload } from './lift-payload.js';

/** The columns that make an entry. */
export type EntryRow = Pick<EntryModel, 'id' | 'batchId' | 'kind' | 'at' | 'writtenAt' | 'note' | 'payload' | 'payloadVersion' | 'digest'>;

/** What a row turned out to hold. */
export type RowRead = { readonly ok: true; readonly entry: Entry } | { readonly ok: false; readonly why: string };

/** By what damage to a row is noticed. */
export function digestOf(row: Omit<EntryRow, 'digest' | 'payloadVersion'>): number {
  return crc32(JSON.stringify([row.id, row.batchId, row.kind, row.at, row.writtenAt, row.note, row.payload]));
}

const isKind = (kind: string): kind is EntryKind => Object.hasOwn(PAYLOAD_DTOS, kind);

/**
 * Reads a row of the log. It was checked when it was written, so one that is as it was is trusted; one that is not, or
 * is from before that could be told, is checked again.
 *
 * @param row - as stored
 * @returns the entry, or why it cannot be read
 */
export function readEntryRow(row: EntryRow): RowRead {
  const { id, batchId, kind, at, writtenAt, note, payloadVersion } = row;
  if (!isKind(kind)) return { ok: false, why: `it is of a kind this Trug does not know (${kind.slice(0, 20)})` };
  let stored: unknown;
  try {
    stored = JSON.parse(row.payload);
  } catch (error) {
    if (error instanceof SyntaxError) return { ok: false, why: 'what it says is garbled' };
    throw error;
  }
  const payload = liftPayload(kind, payloadVersion, stored);
  if (payload === undefined) return { ok: false, why: 'a newer Trug wrote it' };
  const entry = { id, batchId, kind, at, writtenAt, note, payload };
  // The digest covers what a check would look at, and says that it was checked.
  if (row.digest === digestOf(row)) return { ok: true, entry: entry as Entry };
  if (row.digest !== null) return { ok: false, why: 'it is not as it was written' };
  const check = checkEntry(entry);
  return check.ok ? { ok: true, entry: check.value } : { ok: false, why: check.fields.map((f) => `${f.path} ${f.message}`).join('; ') };
}
