import { DestroyRef, effect, inject, untracked } from '@angular/core';
import type { ValidatorFn } from '@angular/forms';
import { take, type Subscription } from 'rxjs';
import { REFUSED } from '../shared/field/controlled';
import { loadContract, type Contract, type DtoClass } from './contract';
import type { Draft, DraftFields } from './draft';
import { refusalText } from './refusal-text';

/** How the fields of a form stand to a class of the contract. */
export interface HeldTo<T extends DraftFields> {
  /** The class. */
  readonly rules: (contract: Contract) => DtoClass;
  /** What of the form can be read, by the class's names; null for what cannot be yet. */
  readonly read: (typed: T) => object;
  /** Which field of the form each of the class's names is typed into. */
  readonly typedInto: Readonly<Record<string, Extract<keyof T, string>>>;
}

/**
 * A class of the contract as the validator of a form's control: what class-validator refuses under a path stands beside the
 * field it is typed into.
 *
 * @param contract - the contract with class-validator
 * @param dto - the class
 * @param path - the class's name for what is typed into the control
 * @param part - what of the form can be read now
 * @returns the validator
 */
export function dtoValidator(contract: Contract, dto: DtoClass, path: string, part: () => object): ValidatorFn {
  return () => {
    const refused = contract.checkPart(dto, part()).find((field) => field.path === path || field.path.startsWith(`${path}.`));
    return refused ? { [REFUSED]: refusalText(refused) } : null;
  };
}

/** Holds the fields of a form to the contract from its first keystroke on: class-validator comes with the first one. */
function hold<T extends DraftFields>({ form, fields }: Draft<T>, { rules, read, typedInto }: HeldTo<T>): Subscription {
  // A control is checked before the draft's fields follow it.
  const typed = (): T => ({ ...untracked(fields), ...form.getRawValue() });
  return form.valueChanges.pipe(take(1)).subscribe(() => {
    void loadContract().then((contract) => {
      // Without it the form is checked when it is sent.
      if (contract === null) return;
      for (const [path, name] of Object.entries(typedInto)) {
        const control = form.get([name]);
        if (!control) continue;
        const validator = dtoValidator(contract, rules(contract), path, () => read(typed()));
        control.addValidators(validator);
        control.setErrors(validator(control));
      }
    });
  });
}

/**
 * Holds a draft's form to a class of the contract while it is typed in.
 *
 * @param draft - the draft, or the one that is open now
 * @param to - the class, and which field each of its names is typed into; call within an injection context
 */
export function holdToContract<T extends DraftFields>(draft: Draft<T> | (() => Draft<T>), to: HeldTo<T>): void {
  let holding: Subscription | undefined;
  inject(DestroyRef).onDestroy(() => holding?.unsubscribe());
  if (typeof draft !== 'function') {
    holding = hold(draft, to);
    return;
  }
  effect(() => {
    const open = draft();
    untracked(() => {
      holding?.unsubscribe();
      holding = hold(open, to);
    });
  });
}
