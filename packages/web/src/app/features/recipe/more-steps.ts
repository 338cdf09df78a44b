import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import type { Entry } from '@trug/core';
import type { StoredRecipe } from '@trug/contract/plain';
import { capital } from '@trug/core/base/worked/sentence';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import { asEntry } from '@trug/core/book/recipe/kept-recipe';
import { scribbledSteps } from '@trug/core/book/recipe/scribbled-steps';
import { LONGEST_SCRIBBLE, parseScribble } from '@trug/core/book/scribble/parse-scribble';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { TextField } from '../../shared/field/text-field';
import { Refusal } from '../../shared/refusal/refusal';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { ResourceWriter } from '../../writing/resource-writer';
import { injectReadBy } from '../scribble/read-by';

const EMPTY = { line: '', day: '' };

/** More for a recipe, in the maker's own words: what of it are amounts is shown before it is kept. */
@Component({
  selector: 'trug-more-steps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, NumberField, TextField, Refusal, SaidPipe],
  template: `
    <form class="card" [formGroup]="draft.form" (ngSubmit)="file()">
      <h3>Something more</h3>
      <p class="hint">As you would scribble it, for the size it is written for: amounts go by the litre, anything else is kept as you say it.</p>
      <div class="fields">
        <trug-text label="What" name="moreLine" formControlName="line" [placeholder]="example()" [longest]="longest" />
        <trug-number label="Days after the first" name="moreDays" figure="recipeDays" placeholder="0" formControlName="day" />
      </div>
      @if (shown().length > 0) {
        <ul>
          @for (line of shown(); track $index) {
            <li>
              <b>{{ line.lead }}</b> {{ line.rest | said }}
            </li>
          }
        </ul>
      }
      <trug-refusal [why]="refusal()" />
      <div class="acts">
        <button class="btn btn-main" type="submit">Put it in the recipe</button>
        <button class="link" type="button" (click)="done.emit()">Done</button>
      </div>
    </form>
  `,
  styleUrl: './step-form.scss',
})
export class MoreSteps {
  private readonly writer = inject(ResourceWriter);
  private readonly units = inject(Units);
  private readonly readBy = injectReadBy();
  readonly recipe = input.required<StoredRecipe>();
  readonly done = output();
  protected readonly longest = LONGEST_SCRIBBLE;
  protected readonly example = computed(() => `1/2 tsp nutrient, ${this.units.mass(200)} honey`);
  protected readonly draft = createDraft('recipe-more', EMPTY);
  protected readonly refusal = signal<string | null>(null);
  private readonly afterDays = computed(() => Math.round(numberOf(this.draft.fields().day, 'recipeDays') ?? 0));
  private readonly lines = computed(() => {
    const { line } = this.draft.fields();
    if (line.trim() === '') return [];
    const { steps, methodId } = this.recipe();
    return scribbledSteps(steps, methodId, parseScribble(line, { ...this.readBy(), batches: [] }).said, this.afterDays());
  });
  protected readonly shown = computed(() =>
    this.lines().map((line) => {
      if (line.is === 'unread') return { lead: line.text, rest: line.why };
      if (line.step.kind === 'note') return { lead: '', rest: capital(line.step.payload.text) };
      // Kind and payload belong together: they are of one step.
      return describeEntry({ id: '', batchId: '', writtenAt: '', ...asEntry(line.step) } as Entry, this.units.preferences());
    }),
  );

  protected async file(): Promise<void> {
    const typed = this.draft.fields();
    const more = this.lines().flatMap((line) => (line.is === 'step' ? [line.step] : []));
    const wrong = this.draft.wrong() ?? (more.length === 0 ? 'Write what goes in or is done, such as 1/2 tsp nutrient.' : null);
    this.refusal.set(wrong);
    if (wrong !== null) return;
    const left = this.lines().flatMap((line) => (line.is === 'unread' ? [line.text] : []));
    const own = this.recipe();
    const { refused } = await this.writer.save({ of: 'recipes', resource: { ...own, steps: [...own.steps, ...more] } }, 'It is in the recipe.');
    this.refusal.set(refused);
    // What could not be read stays to be put right.
    if (refused === null) this.draft.clear(typed, { line: left.join(', '), day: typed.day });
  }
}
