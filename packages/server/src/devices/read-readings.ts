import { checkDto, DeviceReadingDto, isUnixSeconds, MOST_READINGS_AT_ONCE } from '@trug/contract';
import { DAY_MS, fahrenheitToCelsius, MOST_DAYS_AHEAD, sgFromAnyBrix, strictInstantMs } from '@trug/core';
import { isValid as isUlid } from 'ulid';
import { HttpError } from '../http/http-error.js';

/** A device's reading in Trug's own units. */
export interface PostedReading {
  /** Seconds since 1970. */
  readonly atS: number;
  readonly sg: number | null;
  readonly tempC: number | null;
  readonly ph: number | null;
  readonly massG: number | null;
  readonly madeUp: boolean;
}

/** Readings as posted, and the batch they are about when the sender says so. */
export interface PostedReadings {
  readonly readings: readonly PostedReading[];
  /** Undefined when the instrument itself tells. */
  readonly batchId: string | undefined;
}

function listOf(body: unknown): { readonly list: readonly unknown[]; readonly batchId: string | undefined } {
  if (Array.isArray(body)) return { list: body, batchId: undefined };
  if (typeof body === 'object' && body !== null && 'readings' in body && Array.isArray(body.readings)) {
    const unknown = Object.keys(body).find((key) => key !== 'readings' && key !== 'batchId');
    if (unknown !== undefined)
      throw refuse(unknown.slice(0, 60), 'whitelistValidation', 'is not a field of a list of readings, which has readings and batchId');
    const batchId = 'batchId' in body ? body.batchId : undefined;
    if (batchId !== undefined && !(typeof batchId === 'string' && isUlid(batchId))) throw refuse('batchId', 'ulid', 'must be the id of a batch');
    return { list: body.readings, batchId };
  }
  return { list: [body], batchId: undefined };
}

/**
 * Reads the body of a device's request: one reading, a list, or a list with its batch.
 *
 * @param body - what came in
 * @param nowMs - the server's clock, ms since 1970
 * @returns readings in Trug's own units
 * @throws {HttpError} bad-request naming each refused field, too-large, or not-allowed for a moment still to come; nothing of the request is then stored
 */
export function readReadings(body: unknown, nowMs: number): PostedReadings {
  const { list, batchId } = listOf(body);
  if (list.length === 0)
    throw new HttpError('bad-request', 'There is no reading in it. Send an object such as {"sg": 1.048, "tempC": 17.5}, or a list of them.');
  if (list.length > MOST_READINGS_AT_ONCE) {
    throw new HttpError('too-large', `${list.length} readings are more than the ${MOST_READINGS_AT_ONCE} one request may carry. Send them in parts.`);
  }
  return { batchId, readings: list.map((plain, i) => readOne(plain, list[0] === body ? '' : `${i}.`, nowMs)) };
}

function refuse(path: string, code: string, message: string): HttpError {
  return new HttpError('bad-request', `${path}: ${message}`, { fields: [{ path, code, message }] });
}

function readOne(plain: unknown, prefix: string, nowMs: number): PostedReading {
  const check = checkDto(DeviceReadingDto, plain);
  if (!check.ok) {
    const fields = check.fields.map((f) => ({ ...f, path: `${prefix}${f.path}` }));
    throw new HttpError('bad-request', fields.map((f) => `${f.path}: ${f.message}`).join('; '), { fields });
  }
  const { at, sg, brix, tempC, tempF, ph, massG, madeUp } = check.value;
  const ms = at === undefined ? nowMs : typeof at === 'number' ? (isUnixSeconds(at) ? at * 1000 : null) : strictInstantMs(at);
  if (ms === null) throw refuse(`${prefix}at`, 'moment', `${String(at)} is no moment there ever was or will be`);
  if (ms > nowMs + MOST_DAYS_AHEAD * DAY_MS) {
    throw new HttpError(
      'not-allowed',
      `${prefix}at: ${new Date(ms).toISOString()} is still to come. Set the device’s clock; nothing of this request was stored.`,
    );
  }
  const reading = {
    atS: Math.floor(ms / 1000),
    sg: sg ?? (brix === undefined ? null : sgFromAnyBrix(brix)),
    tempC: tempC ?? (tempF === undefined ? null : fahrenheitToCelsius(tempF)),
    ph: ph ?? null,
    massG: massG ?? null,
    madeUp: madeUp ?? false,
  };
  if (reading.sg === null && reading.tempC === null && reading.ph === null && reading.massG === null) {
    throw refuse(prefix === '' ? 'sg' : prefix.slice(0, -1), 'figure', 'a reading needs at least one of sg, brix, tempC, tempF, ph and massG');
  }
  return reading;
}
