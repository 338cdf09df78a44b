import { LIMITS } from '@trug/core/errors/guards';
import { registerDecorator, type ValidationArguments } from 'class-validator';

function rangeFor(owner: object): { readonly min: number; readonly max: number } {
  return 'instrument' in owner && owner.instrument === 'refractometer' ? LIMITS.brix : LIMITS.sg;
}

/** A figure read from an instrument: °Bx from a refractometer, specific gravity from anything else. */
export function GravityFigure(): PropertyDecorator {
  return (target, key) => {
    registerDecorator({
      name: 'gravityFigure',
      target: target.constructor,
      propertyName: String(key),
      validator: {
        validate: (value: unknown, args?: ValidationArguments) => {
          const range = rangeFor(args?.object ?? {});
          return typeof value === 'number' && value >= range.min && value <= range.max;
        },
        defaultMessage: (args?: ValidationArguments) => {
          const range = rangeFor(args?.object ?? {});
          return `reading must lie between ${range.min} and ${range.max} on this instrument`;
        },
      },
    });
  };
}
