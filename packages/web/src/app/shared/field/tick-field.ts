import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { controlled } from './controlled';

/** Yes or no. */
@Component({
  selector: 'trug-tick',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatCheckbox],
  template: `
    <mat-checkbox disableRipple [name]="name()" [checked]="held.value()" (change)="held.set($event.checked)" [disabled]="held.isDisabled()"
      ><ng-content
    /></mat-checkbox>
  `,
})
export class TickField {
  readonly name = input.required<string>();
  protected readonly held = controlled(false);
}
