import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { controlled } from './controlled';
import { TypedLine } from './typed-line';

/** A field for words. Figures with a unit have a field of their own. */
@Component({
  selector: 'trug-text',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TypedLine],
  template: `
    <trug-line
      [label]="label()"
      [name]="name()"
      [text]="held.value()"
      (typed)="held.set($event)"
      (left)="held.leave()"
      [placeholder]="placeholder()"
      [rows]="rows()"
      [longest]="longest()"
      [say]="problem() ?? hint()"
      [isWrong]="problem() !== null"
    />
  `,
})
export class TextField {
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  readonly placeholder = input('');
  readonly rows = input(1);
  readonly longest = input<number | null>(null);
  readonly hint = input('');
  readonly error = input<string | null>(null);
  protected readonly held = controlled('', () => this.error());
  protected readonly problem = computed(() => this.error() ?? this.held.refused());
}
