import { applyDecorators } from './apply-decorators.js';
import type { Range } from '@trug/core/base/errors/guards';
import { LIMITS } from '@trug/core/base/errors/limits';
import { isDay, isUtcInstant, YEARS } from '@trug/core/matter/quantity/strict-dates';
import { isZone } from '@trug/core/matter/quantity/zone';
import { ArrayMaxSize, IsArray, IsNumber, IsString, Matches, Max, MaxLength, Min, ValidateBy, ValidateIf } from 'class-validator';

/** A finite number within limits; strings, NaN and infinities are refused. */
export function InRange(range: Range): PropertyDecorator {
  const context = { min: range.min, max: range.max };
  return applyDecorators(IsNumber({ allowNaN: false, allowInfinity: false }), Min(range.min, { context }), Max(range.max, { context }));
}

/** Null is right as well, and asks for nothing more. */
export const OrNull = (): PropertyDecorator => ValidateIf((_object, value: unknown) => value !== null);

/** The same, or null where nothing was measured. */
export function InRangeOrNull(range: Range): PropertyDecorator {
  return applyDecorators(OrNull(), InRange(range));
}

/** Text of bounded length. */
export function Text(maxLength: number): PropertyDecorator {
  return applyDecorators(IsString(), MaxLength(maxLength, { context: { max: maxLength } }));
}

/** A short list of short texts. */
export function TextList(limits: { readonly maxCount: number; readonly maxLength: number }): PropertyDecorator {
  return applyDecorators(IsArray(), ArrayMaxSize(limits.maxCount), IsString({ each: true }), MaxLength(limits.maxLength, { each: true }));
}

/** A ULID. */
export function Ulid(): PropertyDecorator {
  return Matches(/^[0-9A-HJKMNP-TV-Z]{26}$/, { message: '$property must be a ULID' });
}

/** A text that a rule of the core accepts. */
function Accepted(name: string, accepts: (text: string) => boolean, message: string): PropertyDecorator {
  return ValidateBy({ name, validator: { validate: (value: unknown) => typeof value === 'string' && accepts(value), defaultMessage: () => message } });
}

/** A calendar day, as `2026-11-23`. */
export function Day(): PropertyDecorator {
  return Accepted('day', isDay, `$property must be a day that the calendar has, such as 2026-11-23, from ${YEARS.min} to ${YEARS.max}`);
}

/** An instant, as `2026-11-23T10:00:00.000Z`. */
export function Instant(): PropertyDecorator {
  return Accepted('instant', isUtcInstant, `$property must be a UTC date and time that the calendar has, from ${YEARS.min} to ${YEARS.max}`);
}

/** A short list of instants. */
export function InstantList(maxCount: number): PropertyDecorator {
  const validate = (value: unknown): boolean =>
    Array.isArray(value) && value.length <= maxCount && value.every((v) => typeof v === 'string' && isUtcInstant(v));
  return ValidateBy({ name: 'instants', validator: { validate, defaultMessage: () => `$property must be up to ${maxCount} UTC dates and times` } });
}

/** A time zone by its name, as `Pacific/Auckland`. */
export function Zone(): PropertyDecorator {
  return Accepted('zone', isZone, '$property must be a time zone, such as Pacific/Auckland');
}

export { LIMITS };
