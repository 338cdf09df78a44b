import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import type { ProblemField } from '../http/problem.js';
import { VALIDATION_OPTIONS } from './validation-options.js';

/** The outcome of checking a plain object against a contract class. */
export type DtoCheck<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fields: readonly ProblemField[] };

/**
 * Flattens validation errors to one line a field.
 *
 * @param errors - as class-validator gives them
 * @param prefix - path of the object they belong to
 * @returns fields with their path, rule and sentence
 */
export function fieldErrors(errors: readonly ValidationError[], prefix = ''): readonly ProblemField[] {
  return errors.flatMap((error) => {
    const path = prefix === '' ? error.property : `${prefix}.${error.property}`;
    const own = Object.entries(error.constraints ?? {}).map(([code, message]) => ({ path, code, message }));
    return [...own, ...fieldErrors(error.children ?? [], path)];
  });
}

/**
 * Turns a plain object into a contract class and checks it.
 *
 * @param type - the class
 * @param plain - what came in
 * @returns the instance, or every field that was refused
 */
export function checkDto<T extends object>(type: ClassConstructor<T>, plain: unknown): DtoCheck<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return { ok: false, fields: [{ path: '', code: 'isObject', message: 'an object is needed' }] };
  }
  const value = plainToInstance(type, plain);
  const fields = fieldErrors(validateSync(value, VALIDATION_OPTIONS));
  return fields.length === 0 ? { ok: true, value } : { ok: false, fields };
}
