import { inject, signal, type Signal } from '@angular/core';
import { NgControl } from '@angular/forms';

/** What a field of the kit holds for the form control it is bound to. */
export interface Controlled<T> {
  readonly value: Signal<T>;
  readonly isDisabled: Signal<boolean>;
  /** What the maker changed it to. */
  readonly set: (value: T) => void;
  /** The maker has left the field. */
  readonly leave: () => void;
}

/**
 * Binds a field to the form control its template names: by `formControlName` or `[formControl]`.
 *
 * @param empty - what it holds while the form holds nothing
 * @returns the bound value; call within the field's constructor
 */
export function controlled<T>(empty: T): Controlled<T> {
  const value = signal(empty);
  const isDisabled = signal(false);
  let tell: (value: T) => void = () => undefined;
  let tellLeft: () => void = () => undefined;
  const control = inject(NgControl, { self: true, optional: true });
  if (control) {
    control.valueAccessor = {
      writeValue: (written: T | null) => value.set(written ?? empty),
      registerOnChange: (told: (value: T) => void) => (tell = told),
      registerOnTouched: (told: () => void) => (tellLeft = told),
      setDisabledState: (disabled) => isDisabled.set(disabled),
    };
  }
  return {
    value: value.asReadonly(),
    isDisabled: isDisabled.asReadonly(),
    set: (changed) => {
      value.set(changed);
      tell(changed);
    },
    leave: () => tellLeft(),
  };
}
