import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { Entry } from '@trug/core';
import type { StoredRecipe } from '@trug/contract/plain';
import { attempt } from '@trug/core/base/errors/attempt';
import { capital } from '@trug/core/base/worked/sentence';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import { METHODS } from '@trug/core/book/plan/method';
import { blankSteps, keptRecipeAt } from '@trug/core/book/recipe/kept-recipe';
import { USUAL_SG } from '@trug/core/juice/fruit/juice-in-hand';
import { newId } from '../../browser/new-id';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';
import { isInUse } from '../../state/in-use';
import { recipesFeature } from '../../state/resources.reducer';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { ResourceWriter } from '../../writing/resource-writer';

const EMPTY = { name: '', fruit: 'apple', volume: '', sg: '' };
/** So many things of a recipe are named in the list. */
const NAMED = 4;
const [USUAL_METHOD] = METHODS;

/** The maker's own recipes, and the way to write one from nothing. */
@Component({
  selector: 'trug-recipe-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, QuantityField, SelectField, TextField, Refusal, SaidPipe],
  templateUrl: './recipe-list.html',
  styleUrl: './recipe-list.scss',
})
export class RecipeList {
  private readonly writer = inject(ResourceWriter);
  private readonly router = inject(Router);
  private readonly stored = inject(Store).selectSignal(recipesFeature.selectAll);
  protected readonly units = inject(Units);
  protected readonly usualSg = USUAL_SG;
  protected readonly fruits = [
    { id: 'apple', name: 'apples' },
    { id: 'pear', name: 'pears' },
  ];
  protected readonly draft = createDraft('recipe-new', EMPTY);
  protected readonly refusal = signal<string | null>(null);
  protected readonly cards = computed(() =>
    this.stored()
      .filter(isInUse)
      .map((recipe) => this.cardOf(recipe)),
  );
  protected readonly away = computed(() => this.stored().filter((recipe) => !isInUse(recipe)));

  private cardOf(recipe: StoredRecipe): { readonly id: string; readonly name: string; readonly size: string; readonly inIt: string } {
    const { id, name } = recipe;
    const made = attempt(() => keptRecipeAt(recipe.steps));
    if (!made.ok) return { id, name, size: '', inIt: `${made.error.message}.` };
    const put = made.value.steps.slice(1).filter(({ entry }) => entry.kind === 'addition' || entry.kind === 'pitched');
    const named = put.slice(0, NAMED).map(({ entry }) => this.named(entry));
    return { id, name, size: this.units.volumeAbout(made.value.beganL), inIt: capital([...named, ...(put.length > NAMED ? ['and more'] : [])].join(', ')) };
  }

  private named(entry: Entry): string {
    const { lead, rest } = describeEntry(entry, this.units.preferences());
    return `${lead.toLowerCase()} ${rest}`;
  }

  protected async write(): Promise<void> {
    const { name, fruit, volume, sg } = this.draft.fields();
    const volumeL = numberIn(readQuantity(this.units, volume, 'volume'));
    const wrong = this.draft.wrong() ?? (name.trim() === '' || volumeL === null ? 'Write what it is called and how much juice it is for.' : null);
    if (wrong !== null || volumeL === null || !USUAL_METHOD) {
      this.refusal.set(wrong);
      return;
    }
    const first = attempt(() =>
      blankSteps({ volumeL, fruit: fruit === 'pear' ? 'pear' : 'apple', sg: numberIn(readQuantity(this.units, sg, 'gravity')) ?? USUAL_SG }),
    );
    if (!first.ok) {
      this.refusal.set(`${first.error.message}.`);
      return;
    }
    const resource = { id: newId(), version: 0, name: name.trim(), methodId: USUAL_METHOD.id, note: '', steps: first.value };
    const { refused, body } = await this.writer.save({ of: 'recipes', resource }, `${resource.name} is among your recipes.`);
    this.refusal.set(refused);
    if (refused !== null) return;
    this.draft.forget();
    await this.router.navigate(['/recipe', body.resource.id]);
  }
}
