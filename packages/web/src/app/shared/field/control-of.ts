import { effect, untracked, type Signal, type WritableSignal } from '@angular/core';
import { FormControl } from '@angular/forms';

/**
 * A form control that shows what holds and tells what the maker changes it to.
 *
 * @param empty - what it shows before the component has its inputs
 * @param shown - what holds
 * @param changed - told of each change
 * @returns the control; call within an injection context
 */
export function controlOver<T>(empty: T, shown: Signal<T>, changed: (value: T) => void): FormControl<T> {
  const control = new FormControl(empty, { nonNullable: true });
  control.valueChanges.subscribe((value) => changed(value));
  effect(() => {
    const now = shown();
    if (control.value !== now) untracked(() => control.setValue(now, { emitEvent: false }));
  });
  return control;
}

/**
 * The form control of something a component holds as a signal: each follows the other.
 *
 * @param held - what it holds
 * @returns the control; call within an injection context
 */
export const controlOf = <T>(held: WritableSignal<T>): FormControl<T> => controlOver(untracked(held), held, (value) => held.set(value));
