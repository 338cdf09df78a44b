import { checkDto } from '@trug/contract';
import type { ClassConstructor } from 'class-transformer';
import { HttpError } from './http-error.js';

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
