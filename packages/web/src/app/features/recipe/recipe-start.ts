import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Router } from '@angular/router';
import { figure } from '@trug/core/base/worked/figures';
import { sayIn } from '@trug/core/book/kinds/kind';
import { recipeLine } from '@trug/core/book/recipe/recipe-line';
import type { Recipe } from '@trug/core/book/recipe/recipe-of';
import { countText } from '@trug/core/matter/quantity/count-text';
import { Units } from '../../units/units';
import { leaveDraft } from '../../writing/draft';
import { beginAgain } from './begin-again';

/** What a recipe comes to at its size, and the way to begin it so or to print it. */
@Component({
  selector: 'trug-recipe-start',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="hint">
      All of it goes by the litre but sulfite, which is the same in each, and yeast, which goes by its must. Sugar for the fizz, sweetness and what keeps it are
      worked out anew: what is left in the drink decides.
    </p>
    @if (came().length > 0) {
      <dl class="figures-list">
        @for (figure of came(); track figure.name) {
          <dt>{{ figure.name }}</dt>
          <dd>{{ figure.value }}</dd>
        }
      </dl>
    }
    @if (line(); as text) {
      <p class="off-paper">
        What goes in besides waits for you under <b>Scribble a line</b>: <i>{{ text }}</i>
      </p>
    }
    <div class="acts off-paper">
      <button class="btn btn-main" type="button" (click)="start()">{{ begin().verb }}</button>
      <button class="link" type="button" (click)="print()">Print it</button>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.875rem;
    }
    p {
      margin: 0;
    }
    i {
      color: var(--quiet);
    }
    @media print {
      .off-paper {
        display: none;
      }
    }
  `,
})
export class RecipeStart {
  private readonly router = inject(Router);
  private readonly units = inject(Units);
  readonly recipe = input.required<Recipe>();
  /** What the batch begun by it is called. */
  readonly name = input.required<string>();
  readonly methodId = input.required<string>();
  /** It is being begun: the form has found what it needs. */
  readonly begun = output();
  protected readonly begin = computed(() => beginAgain(this.recipe(), this.name(), this.methodId(), this.units));
  /** What goes in besides, as it waits to be scribbled. */
  protected readonly line = computed(() => recipeLine(this.recipe(), this.begin().asks, sayIn(this.units.preferences())));
  protected readonly came = computed(() => {
    const { originalSg, dryAbv, lastSg, lastAfterDays, abv } = this.recipe().came;
    const { units } = this;
    return [
      ...(originalSg === null ? [] : [{ name: 'It began at', value: units.gravity(originalSg) }]),
      ...(dryAbv === null ? [] : [{ name: 'If it went dry', value: `${figure(dryAbv, 1)} %` }]),
      ...(lastSg === null || lastAfterDays === null ? [] : [{ name: `After ${countText(lastAfterDays, 'day')}`, value: units.gravity(lastSg) }]),
      ...(abv === null ? [] : [{ name: 'Strength by then', value: `${figure(abv, 1)} %` }]),
    ];
  });

  protected print(): void {
    window.print();
  }

  /** The form that begins it finds what it is begun with, and the line to scribble what goes in besides. */
  protected async start(): Promise<void> {
    const begin = this.begin();
    if (begin.draft) leaveDraft(begin.draft.key, begin.draft.fields);
    if (this.line() !== '') leaveDraft('scribble', { line: this.line(), batchId: '' });
    this.begun.emit();
    await this.router.navigateByUrl(begin.path);
  }
}
