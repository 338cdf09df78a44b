import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import type { StoredRecipe } from '@trug/contract/plain';
import { METHODS } from '@trug/core/book/plan/method';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';
import { holdToContract } from '../../writing/dto-validator';
import { createRecordDraft } from '../../writing/record-draft';
import { ResourceWriter } from '../../writing/resource-writer';

/** What a recipe is called, its manner and what its maker notes of it. */
@Component({
  selector: 'trug-recipe-facts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, SelectField, TextField, Refusal],
  template: `
    <form class="card" [formGroup]="draft().form" (ngSubmit)="file()">
      <h3>Its name and note</h3>
      <div class="fields">
        <trug-text label="What it is called" name="recipeName" formControlName="name" [longest]="60" />
        <trug-select label="Its manner" name="recipeMethod" formControlName="methodId" [options]="methods" />
      </div>
      <trug-text label="Note" name="recipeNote" formControlName="note" [rows]="3" [longest]="2000" />
      <trug-refusal [why]="refusal()" />
      <div class="acts">
        <button class="btn btn-main" type="submit">Keep it so</button>
        <button class="link" type="button" (click)="done.emit()">Not yet</button>
      </div>
    </form>
  `,
  styleUrl: './step-form.scss',
})
export class RecipeFacts {
  private readonly writer = inject(ResourceWriter);
  readonly recipe = input.required<StoredRecipe>();
  readonly done = output();
  protected readonly methods = METHODS.map(({ id, name }) => ({ id, name }));
  protected readonly refusal = signal<string | null>(null);
  protected readonly draft = createRecordDraft('recipe-facts', this.recipe, (own) => ({
    name: own?.name ?? '',
    methodId: own?.methodId ?? '',
    note: own?.note ?? '',
  }));

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.RecipeDto,
      read: ({ name, note }) => ({ name: name.trim(), note }),
      typedInto: { name: 'name', note: 'note' },
    });
  }

  protected async file(): Promise<void> {
    const { name, methodId, note } = this.draft().fields();
    const wrong = this.draft().wrong() ?? (name.trim() === '' ? 'Write what it is called.' : null);
    this.refusal.set(wrong);
    if (wrong !== null) return;
    const { refused } = await this.writer.save({ of: 'recipes', resource: { ...this.recipe(), name: name.trim(), methodId, note } }, 'The recipe is kept so.');
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft().forget();
    this.done.emit();
  }
}
