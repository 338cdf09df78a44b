import type { Entry, EntryKind } from '@trug/core';
import { IsObject } from 'class-validator';
import type { ProblemField } from '../http/problem.js';
import { checkDto, type DtoCheck } from '../validation/check-dto.js';
import { Instant, Text, Ulid } from '../validation/decorators.js';
import { CorrectedPayloadDto, IsEntryKind, payloadDtoOf, ReplacementDto } from './payload-dtos.js';

/** An entry as a client sends it. */
export class NewEntryDto {
  @Ulid() id!: string;
  @Ulid() batchId!: string;
  @IsEntryKind() kind!: EntryKind;
  @Instant() at!: string;
  @Instant() writtenAt!: string;
  @Text(4000) note!: string;
  @IsObject() payload!: Entry['payload'];
}

const under = (prefix: string, fields: readonly ProblemField[]): readonly ProblemField[] =>
  fields.map((f) => ({ ...f, path: f.path === '' ? prefix : `${prefix}.${f.path}` }));

/**
 * Checks a whole entry: its envelope, its payload by kind, and what replaces a corrected one.
 *
 * @param plain - what came in
 * @returns the entry, or every field that was refused
 */
export function checkEntry(plain: unknown): DtoCheck<Entry> {
  const envelope = checkDto(NewEntryDto, plain);
  if (!envelope.ok) return envelope;
  const { kind, payload } = envelope.value;
  const body = checkDto(payloadDtoOf(kind), payload);
  if (!body.ok) return { ok: false, fields: under('payload', body.fields) };
  if (body.value instanceof CorrectedPayloadDto && body.value.replacement !== null) {
    const replacement = checkDto(ReplacementDto, body.value.replacement);
    if (!replacement.ok) return { ok: false, fields: under('payload.replacement', replacement.fields) };
    const replaced = checkDto(payloadDtoOf(replacement.value.kind), replacement.value.payload);
    if (!replaced.ok) return { ok: false, fields: under('payload.replacement.payload', replaced.fields) };
  }
  // The envelope and the payload of its kind were both checked above, which is what makes this an entry.
  return { ok: true, value: envelope.value as Entry };
}
