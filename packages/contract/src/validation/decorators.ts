import { applyDecorators } from './apply-decorators.js';
import { LIMITS, type Range } from '@trug/core/errors/guards';
import { ArrayMaxSize, IsArray, IsNumber, IsString, Matches, Max, MaxLength, Min, ValidateIf } from 'class-validator';

/** A finite number within limits; strings, NaN and infinities are refused. */
export function InRange(range: Range): PropertyDecorator {
  return applyDecorators(IsNumber({ allowNaN: false, allowInfinity: false }), Min(range.min), Max(range.max));
}

/** The same, or null where nothing was measured. */
export function InRangeOrNull(range: Range): PropertyDecorator {
  return applyDecorators(
    ValidateIf((_object, value: unknown) => value !== null),
    InRange(range),
  );
}

/** Text of bounded length. */
export function Text(maxLength: number): PropertyDecorator {
  return applyDecorators(IsString(), MaxLength(maxLength));
}

/** A short list of short texts. */
export function TextList(limits: { readonly maxCount: number; readonly maxLength: number }): PropertyDecorator {
  return applyDecorators(IsArray(), ArrayMaxSize(limits.maxCount), IsString({ each: true }), MaxLength(limits.maxLength, { each: true }));
}

/** A ULID. */
export function Ulid(): PropertyDecorator {
  return Matches(/^[0-9A-HJKMNP-TV-Z]{26}$/, { message: '$property must be a ULID' });
}

/** A calendar day, as `2026-11-23`. */
export function Day(): PropertyDecorator {
  return Matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, { message: '$property must be a day such as 2026-11-23' });
}

/** An instant, as `2026-11-23T10:00:00.000Z`. */
export function Instant(): PropertyDecorator {
  return Matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,3})?Z$/, {
    message: '$property must be a UTC date and time',
  });
}

export { LIMITS };
