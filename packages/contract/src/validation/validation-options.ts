import type { ValidatorOptions } from 'class-validator';

/** How every request and form is checked: nothing unknown gets in, and nobody's data is echoed back. */
export const VALIDATION_OPTIONS: ValidatorOptions = {
  whitelist: true,
  forbidNonWhitelisted: true,
  forbidUnknownValues: true,
  validationError: { target: false, value: false },
};
