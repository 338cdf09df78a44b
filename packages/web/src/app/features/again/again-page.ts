import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import type { Entry } from '@trug/core';
import { attempt } from '@trug/core/base/errors/attempt';
import { figure } from '@trug/core/base/worked/figures';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import { sayIn } from '@trug/core/book/kinds/kind';
import { recipeLine } from '@trug/core/book/recipe/recipe-line';
import { recipeOf } from '@trug/core/book/recipe/recipe-of';
import { countText } from '@trug/core/matter/quantity/count-text';
import { ActHead } from '../../shared/act-head/act-head';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { injectBatchView } from '../../state/batch-of-page';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createBatchDraft, leaveDraft } from '../../writing/draft';
import { beginAgain } from './begin-again';

/** A batch as a recipe: what went in and was done, day by day, for the volume wanted this time. */
@Component({
  selector: 'trug-again-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, ActHead, QuantityField, SaidPipe],
  templateUrl: './again-page.html',
  styleUrl: './again-page.scss',
})
export class AgainPage {
  private readonly router = inject(Router);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('again', { volume: '' });
  private readonly volumeL = computed(() => {
    const read = readQuantity(this.units, this.draft.fields().volume, 'volume');
    return read?.ok === true ? read.value.value : undefined;
  });
  protected readonly outcome = computed(() => {
    const view = this.view();
    return view ? attempt(() => recipeOf(view.log, this.units.zone(), this.volumeL())) : null;
  });
  protected readonly recipe = computed(() => {
    const outcome = this.outcome();
    return outcome?.ok === true ? outcome.value : null;
  });
  protected readonly refusal = computed(() => {
    const outcome = this.outcome();
    return outcome?.ok === false ? `${outcome.error.message}.` : null;
  });
  protected readonly days = computed(() => {
    const preferences = this.units.preferences();
    const byDay = new Map<number, { readonly id: string; readonly lead: string; readonly rest: string; readonly note: string }[]>();
    for (const { afterDays, entry } of this.recipe()?.steps ?? []) {
      byDay.set(afterDays, [...(byDay.get(afterDays) ?? []), { id: entry.id, ...describeEntry(entry, preferences), note: this.noteOf(entry) }]);
    }
    return [...byDay].map(([day, steps]) => ({ day: day === 0 ? 'First day' : `Day ${day}`, steps }));
  });
  protected readonly came = computed(() => {
    const { originalSg, dryAbv, lastSg, lastAfterDays, abv } = this.recipe()?.came ?? {};
    const { units } = this;
    return [
      ...(typeof originalSg === 'number' ? [{ name: 'It began at', value: units.gravity(originalSg) }] : []),
      ...(typeof dryAbv === 'number' ? [{ name: 'If it went dry', value: `${figure(dryAbv, 1)} %` }] : []),
      ...(typeof lastSg === 'number' && typeof lastAfterDays === 'number'
        ? [{ name: `After ${countText(lastAfterDays, 'day')}`, value: units.gravity(lastSg) }]
        : []),
      ...(typeof abv === 'number' ? [{ name: 'Strength by then', value: `${figure(abv, 1)} %` }] : []),
    ];
  });
  protected readonly begin = computed(() => {
    const [view, recipe] = [this.view(), this.recipe()];
    return view && recipe ? beginAgain(recipe, view.batch.name, view.method.id, this.units) : null;
  });
  /** What goes in besides, as it waits to be scribbled. */
  protected readonly line = computed(() => {
    const [recipe, begin] = [this.recipe(), this.begin()];
    return recipe && begin ? recipeLine(recipe, begin.asks, sayIn(this.units.preferences())) : '';
  });
  protected readonly example = computed(() => this.units.volumeAbout(this.recipe()?.beganL ?? 0));

  /** Amounts in what was noted then are not this time's. */
  private noteOf(entry: Entry): string {
    const isReckoned = entry.kind === 'addition' && entry.payload.what === 'sulfite';
    return entry.note === '' || isReckoned ? entry.note : `noted then: ${entry.note}`;
  }

  protected print(): void {
    window.print();
  }

  /** The form that begins it finds what it was begun with, and the line to scribble what goes in besides. */
  protected async start(): Promise<void> {
    const begin = this.begin();
    if (!begin) return;
    if (begin.draft) leaveDraft(begin.draft.key, begin.draft.fields);
    if (this.line() !== '') leaveDraft('scribble', { line: this.line(), batchId: '' });
    this.draft.forget();
    await this.router.navigateByUrl(begin.path);
  }
}
