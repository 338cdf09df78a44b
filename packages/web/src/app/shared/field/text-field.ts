import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';

let made = 0;

/** A plain field: a label, what is typed, and a hint or a refusal beneath it. Figures with a unit have a field of their own. */
@Component({
  selector: 'trug-text',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'field' },
  template: `
    <label [for]="id">{{ label() }}</label>
    <input
      [id]="id"
      [attr.name]="name()"
      [type]="type()"
      autocomplete="off"
      [value]="text()"
      (input)="text.set($any($event.target).value)"
      [placeholder]="placeholder()"
      [attr.aria-invalid]="error() !== null"
      [attr.aria-describedby]="error() || hint() ? id + '-say' : null"
    />
    @if (error() ?? hint(); as say) {
      <span [id]="id + '-say'" [class]="error() ? 'field-error' : 'hint'" aria-live="polite">{{ say }}</span>
    }
  `,
})
export class TextField {
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  readonly type = input<'text' | 'date'>('text');
  readonly placeholder = input('');
  readonly hint = input('');
  readonly error = input<string | null>(null);
  readonly text = model('');
  protected readonly id = `text-${(made += 1)}`;
}
