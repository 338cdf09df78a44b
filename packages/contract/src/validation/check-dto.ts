import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import type { ProblemField } from '../http/problem.js';
import { oversizedShape, SHAPE_LIMITS } from './shape-of-request.js';
import { VALIDATION_OPTIONS } from './validation-options.js';

/** The outcome of checking a plain object against a contract class. */
export type DtoCheck<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fields: readonly ProblemField[] };

/** A refusal names at most this many fields: nobody mends more at once, and an answer must not outgrow its question. */
export const MOST_FIELDS = 20;

const LONGEST_PATH = 120;
const LONGEST_MESSAGE = 300;

/** No list within one record is longer: stirrings of a steeping, runs of a press, parts of a blend. */
const RECORD_LIMITS = { ...SHAPE_LIMITS, list: 250, values: 5000 };

/** The figures a rule was given, where it has any. */
function figuresOf(error: ValidationError, code: string): Pick<ProblemField, 'details'> {
  const told: unknown = error.contexts?.[code];
  if (typeof told !== 'object' || told === null) return {};
  const figures = Object.entries(told).filter((pair): pair is [string, number] => typeof pair[1] === 'number');
  return figures.length > 0 ? { details: Object.fromEntries(figures) } : {};
}

/**
 * Flattens validation errors to one line a field.
 *
 * @param errors - as class-validator gives them
 * @param prefix - path of the object they belong to
 * @returns fields with their path, rule and sentence
 */
export function fieldErrors(errors: readonly ValidationError[], prefix = ''): readonly ProblemField[] {
  return errors.flatMap((error) => {
    const full = prefix === '' ? error.property : `${prefix}.${error.property}`;
    // What was sent as a field's name may be of any length; what is answered may not.
    const path = full.slice(0, LONGEST_PATH);
    const own = Object.entries(error.constraints ?? {}).map(([code, message]) => ({
      path,
      code,
      message: message.slice(0, LONGEST_MESSAGE),
      ...figuresOf(error, code),
    }));
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
  const oversized = oversizedShape(plain, RECORD_LIMITS);
  if (oversized) return { ok: false, fields: [oversized] };
  const value = plainToInstance(type, plain);
  const fields = fieldErrors(validateSync(value, VALIDATION_OPTIONS)).slice(0, MOST_FIELDS);
  return fields.length === 0 ? { ok: true, value } : { ok: false, fields };
}

/**
 * Checks those fields of a contract class that are there already, as a form that is still being filled has them.
 *
 * @param type - the class
 * @param part - some of its fields; what is null or undefined is not there yet
 * @returns every field of them that was refused
 */
export function checkPart<T extends object>(type: ClassConstructor<T>, part: object): readonly ProblemField[] {
  return fieldErrors(validateSync(plainToInstance(type, part), { ...VALIDATION_OPTIONS, skipMissingProperties: true }));
}
