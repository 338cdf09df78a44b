import { ChangeDetectionStrategy, Component, effect, input, output, signal, untracked } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';

/** Another name for a thing of the cupboard, or putting it away for good. */
@Component({
  selector: 'trug-rename',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, TextField, Refusal],
  template: `
    <form [formGroup]="form" (ngSubmit)="file()">
      <trug-text label="What you call it" name="rename" formControlName="name" />
      <div class="acts">
        <button class="btn" type="submit">Write it down</button>
        @if (hindered() === '') {
          <button class="link" type="button" (click)="retired.emit()">Put it away for good</button>
        } @else {
          <span class="hint">{{ hindered() }}</span>
        }
      </div>
      <trug-refusal [why]="refusal()" />
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 0.5rem;
      max-width: 26rem;
      padding: 0.5rem 0;
    }
  `,
})
export class Rename {
  readonly name = input.required<string>();
  /** Why it cannot be put away now; empty when it can. */
  readonly hindered = input('');
  readonly renamed = output<string>();
  readonly retired = output();
  protected readonly form = new FormGroup({ name: new FormControl('', { nonNullable: true }) });
  protected readonly refusal = signal<string | null>(null);

  constructor() {
    effect(() => {
      const name = this.name();
      untracked(() => this.form.setValue({ name }));
    });
  }

  protected file(): void {
    const name = this.form.getRawValue().name.trim();
    this.refusal.set(name === '' ? 'Give it a name, so that you know it again.' : null);
    if (name !== '') this.renamed.emit(name);
  }
}
