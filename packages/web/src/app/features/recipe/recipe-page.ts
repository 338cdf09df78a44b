import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { methodById } from '@trug/core/book/plan/method';
import { inOrder, keptRecipeAt } from '@trug/core/book/recipe/kept-recipe';
import { QuantityField } from '../../shared/field/quantity-field';
import { Refusal } from '../../shared/refusal/refusal';
import { Clock } from '../../state/clock';
import { isInUse } from '../../state/in-use';
import { recipesFeature } from '../../state/resources.reducer';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { ResourceWriter } from '../../writing/resource-writer';
import { MoreSteps } from './more-steps';
import { injectRecipeAt } from './recipe-at';
import { RecipeDays } from './recipe-days';
import { RecipeFacts } from './recipe-facts';
import { RecipeStart } from './recipe-start';
import { StepForm } from './step-form';

/** A recipe of the maker's own, for the volume wanted this time: changed, noted, begun and printed. */
@Component({
  selector: 'trug-recipe-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, MoreSteps, QuantityField, RecipeDays, RecipeFacts, RecipeStart, Refusal, SaidPipe, StepForm],
  templateUrl: './recipe-page.html',
  styleUrl: './recipe-page.scss',
})
export class RecipePage {
  private readonly writer = inject(ResourceWriter);
  private readonly clock = inject(Clock);
  private readonly stored = inject(Store).selectSignal(recipesFeature.selectEntities);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly recipe = computed(() => this.stored()[this.id()] ?? null);
  protected readonly draft = createDraft('recipe', { volume: '' });
  /** The form that is open: for more, for its name, or for a step by its place. */
  protected readonly opened = signal<string | null>(null);
  protected readonly notKept = signal<string | null>(null);
  protected readonly isInUse = isInUse;
  private readonly at = injectRecipeAt(
    () => this.draft.fields().volume,
    (volumeL) => {
      const recipe = this.recipe();
      return recipe && keptRecipeAt(recipe.steps, volumeL);
    },
  );
  protected readonly made = this.at.recipe;
  protected readonly refusal = this.at.refusal;
  protected readonly writtenL = computed(() => this.made()?.beganL ?? 0);
  protected readonly madeIn = computed(() => {
    const recipe = this.recipe();
    return recipe ? `${methodById(recipe.methodId).name}, written for ${this.units.volumeAbout(this.writtenL())}` : '';
  });
  protected readonly fixed = computed(() => new Set(inOrder(this.recipe()?.steps ?? []).flatMap((step, i) => (step.fixed ? [String(i)] : []))));

  protected async putAway(): Promise<void> {
    const own = this.recipe();
    if (!own) return;
    const retiredOn = isInUse(own) ? this.units.dateOf(this.clock.now()) : null;
    const { refused } = await this.writer.save(
      { of: 'recipes', resource: { ...own, retiredOn } },
      `${own.name} is ${retiredOn ? 'put away' : 'in use again'}.`,
    );
    this.notKept.set(refused);
  }
}
