import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { SPARKLES } from '@trug/core/book/state/entry-choices';
import { BLANK_SHEET, CLARITIES, TASTE_COLOURS, TASTE_SCALE_IDS, TASTE_SCALES, type TasteSheet } from '@trug/core/finish/taste/taste-sheet';
import { TASTE_FAMILIES, TASTE_WORD_IDS, tasteWordById } from '@trug/core/finish/taste/taste-words';
import { injectNarrow } from '../../browser/narrow';
import { ActHead } from '../../shared/act-head/act-head';
import { ChoiceField } from '../../shared/field/choice-field';
import { TextField } from '../../shared/field/text-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { Refusal } from '../../shared/refusal/refusal';
import { injectBatchView } from '../../state/batch-of-page';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { holdToContract } from '../../writing/dto-validator';
import { LogWriter } from '../../writing/log-writer';
import { TasteCourse } from './taste-course';
import { TasteGlass } from '../../shared/taste-glass/taste-glass';
import { TasteWheel } from './taste-wheel';

const FIELDS = {
  ...{ crate: '', clarity: '', colour: '', fizz: '', nose: '', sweetness: '', acid: '', tannin: '', body: '', length: '' },
  ...{ words: '', score: '', again: '', text: '', next: '' },
};
const SCALE_NAMES = { nose: 'Nose', sweetness: 'Sweetness', acid: 'Acid', tannin: 'Tannin', body: 'Body', length: 'How long it stays' } as const;
const named = (ids: readonly string[]) => ids.map((id) => ({ id, name: id }));
const one = <T extends string>(list: readonly T[], id: string): T | null => list.find((each) => each === id) ?? null;
const MOST_POINTS = 10;

/** A glass judged: look, nose, taste, words from a wheel, and what to do otherwise next time. */
@Component({
  selector: 'trug-taste-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, ChoiceField, ReactiveFormsModule, Refusal, RouterLink, TasteCourse, TasteGlass, TasteWheel, TextField, ToggleField],
  templateUrl: './taste-page.html',
  styleUrl: './taste-page.scss',
})
export class TastePage {
  private readonly writer = inject(LogWriter);
  private readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('taste', FIELDS);
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  private readonly narrow = injectNarrow();
  /** On a phone the words stand in a list: round a wheel they would be too small for a thumb. */
  protected readonly inList = linkedSignal(() => this.narrow());
  protected readonly families = TASTE_FAMILIES;
  protected readonly clarities = named(CLARITIES);
  protected readonly colours = named(TASTE_COLOURS);
  protected readonly fizzes = named(SPARKLES);
  protected readonly scales = TASTE_SCALE_IDS.map((id) => ({
    id,
    name: SCALE_NAMES[id],
    steps: TASTE_SCALES[id].map((name, step) => ({ id: String(step), name })),
  }));
  protected readonly points = Array.from({ length: MOST_POINTS }, (_none, i) => ({ id: String(i + 1), name: String(i + 1) }));
  protected readonly crates = computed(() =>
    [...(this.view()?.state.crates ?? [])].reverse().map((c) => ({ id: c.id, name: `${c.name}, ${this.units.day(c.bottledAt)}, ${c.capColour} caps` })),
  );
  protected readonly chosen = computed(() =>
    this.fields()
      .words.split(' ')
      .filter((id) => TASTE_WORD_IDS.includes(id)),
  );
  /** The first of the words that may mean a fault. */
  protected readonly off = computed(() => this.chosen().flatMap((id) => tasteWordById(id)?.faultId ?? [])[0] ?? null);
  protected readonly sheet = computed((): TasteSheet => {
    const typed = this.fields();
    const step = (text: string): number | null => (text === '' ? null : Number(text));
    const { nose, sweetness, acid, tannin, body, length } = typed;
    return {
      ...BLANK_SHEET,
      crateId: this.crates().find((c) => c.id === typed.crate)?.id ?? this.crates()[0]?.id ?? null,
      clarity: one(CLARITIES, typed.clarity),
      colour: one(TASTE_COLOURS, typed.colour),
      scales: { nose: step(nose), sweetness: step(sweetness), acid: step(acid), tannin: step(tannin), body: step(body), length: step(length) },
      words: this.chosen(),
      score: step(typed.score),
      next: typed.next.trim(),
    };
  });
  protected readonly sparkle = computed(() => one(SPARKLES, this.fields().fizz));

  constructor() {
    holdToContract(this.draft, {
      rules: ({ PAYLOAD_DTOS }) => PAYLOAD_DTOS.tasted,
      read: ({ text, next }) => ({ text, sheet: { ...this.sheet(), next } }),
      typedInto: { text: 'text', 'sheet.next': 'next' },
    });
  }

  /** Takes a word of the wheel, or puts it back. */
  protected press(id: string): void {
    const chosen = this.chosen();
    this.draft.set('words', (chosen.includes(id) ? chosen.filter((word) => word !== id) : [...chosen, id]).join(' '));
  }

  protected async file(): Promise<void> {
    const [view, typed] = [this.view(), this.fields()];
    const { text, again } = typed;
    if (!view) return;
    if (Object.values({ ...typed, crate: '' }).every((said) => said.trim() === '')) {
      this.refusal.set('Say one thing of it first: a word is enough.');
      return;
    }
    const payload = { text: text.trim(), sparkle: this.sparkle(), again: again === '' ? null : again === 'yes', sheet: this.sheet() };
    this.refusal.set(await this.writer.write(view, [{ kind: 'tasted', payload }], 'Written down.', this.draft));
  }
}
