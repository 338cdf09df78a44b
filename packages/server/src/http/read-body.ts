import { checkDto } from '@trug/contract';
import type { ClassConstructor } from 'class-transformer';
import { HttpError } from './http-error.js';

/**
 * A list that something that came in holds under a name.
 *
 * @param body - such as a request's
 * @param name - such as `entries`
 * @returns the list, whatever is in it; undefined when there is none
 */
export function listIn(body: unknown, name: string): readonly unknown[] | undefined {
  const list: unknown = typeof body === 'object' && body !== null ? Object.entries(body).find(([key]) => key === name)?.[1] : undefined;
  return Array.isArray(list) ? list : undefined;
}

/**
 * A request body as its contract class.
 *
 * @param type - the class
 * @param body - what came in
 * @returns the checked instance
 * @throws {HttpError} bad-request with every refused field
 */
export function readBody<T extends object>(type: ClassConstructor<T>, body: unknown): T {
  const check = checkDto(type, body);
  if (!check.ok) {
    throw new HttpError('bad-request', check.fields.map((f) => `${f.path}: ${f.message}`).join('; '), { fields: check.fields });
  }
  return check.value;
}
