import { OFFSET_LIMITS, type CheckedKind } from '@trug/core/book/device/instrument-check';
import type { Range } from '@trug/core/base/errors/guards';
import { LIMITS } from '@trug/core/base/errors/limits';
import { ValidateBy, type ValidationArguments } from 'class-validator';

/** A number whose limits depend on what stands beside it. */
function InRangeOf(name: string, rangeFor: (owner: object) => Range): PropertyDecorator {
  const rangeIn = (args?: ValidationArguments): Range => rangeFor(args?.object ?? {});
  return ValidateBy({
    name,
    validator: {
      validate: (value: unknown, args?: ValidationArguments) => {
        const { min, max } = rangeIn(args);
        return typeof value === 'number' && value >= min && value <= max;
      },
      defaultMessage: (args?: ValidationArguments) => {
        const { min, max } = rangeIn(args);
        return `$property must lie between ${min} and ${max} on this instrument`;
      },
    },
  });
}

/** A figure read from an instrument: °Bx from a refractometer, specific gravity from anything else. */
export function GravityFigure(): PropertyDecorator {
  return InRangeOf('gravityFigure', (owner) => ('instrument' in owner && owner.instrument === 'refractometer' ? LIMITS.brix : LIMITS.sg));
}

const isChecked = (kind: unknown): kind is CheckedKind => typeof kind === 'string' && Object.hasOwn(OFFSET_LIMITS, kind);

/** What must be added to what an instrument shows, by its kind. */
export function InstrumentOffset(): PropertyDecorator {
  return InRangeOf('instrumentOffset', (owner) => ('kind' in owner && isChecked(owner.kind) ? OFFSET_LIMITS[owner.kind] : LIMITS.offsetSg));
}
