import { DestroyRef, inject, signal, untracked, type Signal } from '@angular/core';
import { FormGroup, NgControl, type AbstractControl, type ValidationErrors } from '@angular/forms';
import type { Subscription } from 'rxjs';

/** What a field of the kit holds for the form control it is bound to. */
export interface Controlled<T> {
  readonly value: Signal<T>;
  readonly isDisabled: Signal<boolean>;
  /** Why the form refuses it, in words; null when it does not. */
  readonly refused: Signal<string | null>;
  /** What the maker changed it to. */
  readonly set: (value: T) => void;
  /** The maker has left the field. */
  readonly leave: () => void;
}

/** The names under which a form's control carries, in words, why the contract refuses it and why its text cannot be used. */
export const REFUSED = 'refused';
const UNUSABLE = 'unusable';

/**
 * The first field of a form that is shown and cannot be used as it stands.
 *
 * @param form - a control or a group of them
 * @returns why, in words; null when all can
 */
export function firstUnusable(form: AbstractControl): string | null {
  if (form instanceof FormGroup) {
    for (const control of Object.values<AbstractControl>(form.controls)) {
      const why = firstUnusable(control);
      if (why !== null) return why;
    }
    return null;
  }
  form.updateValueAndValidity({ emitEvent: false, onlySelf: true });
  // What was passed over is named now.
  form.markAsTouched();
  const why: unknown = form.errors?.[UNUSABLE] ?? form.errors?.[REFUSED];
  return typeof why === 'string' ? why : null;
}

const NOT_REFUSED = signal<string | null>(null).asReadonly();

/** What a field and its form control tell each other beside the value. */
interface Bound {
  readonly refused: Signal<string | null>;
  /** Reads off the control why it is refused. */
  readonly look: () => void;
  /** Begins to speak to the control, and leaves the one before. */
  readonly follow: () => void;
}

/** Tells a control why its field's text cannot be used, and the field why the contract refuses it, for as long as it is shown. */
function boundTo(control: NgControl, problem: () => string | null): Bound {
  const refused = signal<string | null>(null);
  const look = (): void => {
    const why: unknown = control.errors?.[REFUSED];
    // A field that nobody has come to yet is not wrong.
    const isReached = control.dirty === true || control.touched === true;
    refused.set(isReached && typeof why === 'string' ? why : null);
  };
  const judge = (): ValidationErrors | null => {
    const why = untracked(problem);
    return why === null ? null : { [UNUSABLE]: why };
  };
  let [judged, looking, isGone]: [AbstractControl | null, Subscription | undefined, boolean] = [null, undefined, false];
  const letGo = (): void => {
    looking?.unsubscribe();
    judged?.removeValidators(judge);
  };
  inject(DestroyRef).onDestroy(() => {
    isGone = true;
    letGo();
  });
  const follow = (): void => {
    letGo();
    if (isGone) return;
    judged = control.control;
    judged?.addValidators(judge);
    looking = judged?.events.subscribe(look);
    look();
  };
  return { refused: refused.asReadonly(), look, follow };
}

/**
 * Binds a field to the form control its template names: by `formControlName` or `[formControl]`.
 *
 * @param empty - what it holds while the form holds nothing
 * @param problem - why what it holds cannot be used, in words; null when it can
 * @returns the bound value; call within the field's constructor
 */
export function controlled<T>(empty: T, problem: () => string | null = () => null): Controlled<T> {
  const value = signal(empty);
  const isDisabled = signal(false);
  let tell: (value: T) => void = () => undefined;
  let tellLeft: () => void = () => undefined;
  const control = inject(NgControl, { self: true, optional: true });
  const bound = control ? boundTo(control, problem) : null;
  if (control && bound) {
    control.valueAccessor = {
      writeValue: (written: T | null) => {
        value.set(written ?? empty);
        // What is written without a word to others is checked just after this.
        queueMicrotask(bound.look);
      },
      registerOnChange: (told: (value: T) => void) => {
        tell = told;
        // A control that is named has its control only once it is set up.
        queueMicrotask(bound.follow);
      },
      registerOnTouched: (told: () => void) => (tellLeft = told),
      setDisabledState: (disabled) => isDisabled.set(disabled),
    };
  }
  return {
    value: value.asReadonly(),
    isDisabled: isDisabled.asReadonly(),
    refused: bound?.refused ?? NOT_REFUSED,
    set: (changed) => {
      value.set(changed);
      tell(changed);
    },
    leave: () => tellLeft(),
  };
}
