import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { stepsOf } from '@trug/core/book/recipe/kept-recipe';
import { recipeOf } from '@trug/core/book/recipe/recipe-of';
import { newId } from '../../browser/new-id';
import { ActHead } from '../../shared/act-head/act-head';
import { QuantityField } from '../../shared/field/quantity-field';
import { Refusal } from '../../shared/refusal/refusal';
import { injectBatchView } from '../../state/batch-of-page';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { ResourceWriter } from '../../writing/resource-writer';
import { injectRecipeAt } from './recipe-at';
import { RecipeDays } from './recipe-days';
import { RecipeStart } from './recipe-start';

/** A batch as a recipe: what went in and was done, day by day, for the volume wanted this time. */
@Component({
  selector: 'trug-again-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, ActHead, QuantityField, RecipeDays, RecipeStart, Refusal, SaidPipe],
  templateUrl: './again-page.html',
  styleUrl: './again-page.scss',
})
export class AgainPage {
  private readonly writer = inject(ResourceWriter);
  private readonly router = inject(Router);
  private readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('again', { volume: '' });
  private readonly at = injectRecipeAt(
    () => this.draft.fields().volume,
    (volumeL) => {
      const view = this.view();
      return view ? recipeOf(view.log, this.units.zone(), volumeL) : null;
    },
  );
  protected readonly recipe = this.at.recipe;
  protected readonly refusal = this.at.refusal;
  protected readonly notKept = signal<string | null>(null);
  protected readonly example = computed(() => this.units.volumeAbout(this.recipe()?.beganL ?? 0));

  /** As a recipe of the maker's own, at the size that is shown. */
  protected async keep(): Promise<void> {
    const [view, recipe] = [this.view(), this.recipe()];
    if (!view || !recipe) return;
    const resource = { id: newId(), version: 0, name: view.batch.name, methodId: view.method.id, note: '', steps: stepsOf(recipe) };
    const { refused, body } = await this.writer.save({ of: 'recipes', resource }, `${resource.name} is among your recipes.`);
    this.notKept.set(refused);
    if (refused !== null) return;
    this.draft.forget();
    await this.router.navigate(['/recipe', body.resource.id]);
  }
}
