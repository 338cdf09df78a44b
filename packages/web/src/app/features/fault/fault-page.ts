import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { answersFromBatch, factsOfBatch } from '@trug/core/book/faults/facts-of-batch';
import { FAULT_QUESTIONS, type FaultAnswers, type FaultQuestionId } from '@trug/core/book/faults/fault-questions';
import { findFaults } from '@trug/core/book/faults/find-faults';
import { answersOf, signsInNotes } from '@trug/core/book/faults/signs-in-notes';
import { tastedWords } from '@trug/core/book/kinds/tasted';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList } from '../../shared/caution/caution-list';
import { createBatchDraft } from '../../writing/draft';
import { Working } from '../../shared/working/working';
import { noteOf } from './fault-note';
import { SaidPipe } from '../../units/said.pipe';
import { appFeature } from '../../state/app.reducer';
import { vesselsFeature } from '../../state/vessels.reducer';
import { SelectField } from '../../shared/field/select-field';
import { Units } from '../../units/units';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../../shared/refusal/refusal';

const NOTHING_SAID: Record<FaultQuestionId, string> = { smell: '', surface: '', look: '', pour: '', fizz: '', gravity: '', hazeTest: '' };
/** Stands for "did not look" where the log would answer. */
const UNKNOWN = 'unknown';

/** What is wrong with it: a few questions, likely causes, what to do, whether to drink it, how to spare the next batch. */
@Component({
  selector: 'trug-fault-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, SaidPipe, ReactiveFormsModule, RouterLink, CautionList, Working, SelectField, Refusal],
  templateUrl: './fault-page.html',
  styleUrl: './fault-page.scss',
})
export class FaultPage {
  private readonly writer = inject(LogWriter);
  private readonly units = inject(Units);
  private readonly store = inject(Store);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectVesselById);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('fault', NOTHING_SAID);
  protected readonly refusal = signal<string | null>(null);
  private readonly signs = computed(() => {
    const entries = effectiveEntries(this.view()?.log ?? []).entries;
    return signsInNotes(
      entries.map((e) => ({ at: e.at, text: `${e.note} ${e.kind === 'note' ? e.payload.text : e.kind === 'tasted' ? tastedWords(e.payload) : ''}`.trim() })),
      this.view()?.state.zone,
    );
  });
  /** What the log answers by itself; the maker's own answer goes before it. */
  private readonly known = computed((): FaultAnswers => {
    const view = this.view();
    return view ? { ...answersFromBatch(view.state, view.verdict?.value ?? null), ...answersOf(this.signs()) } : {};
  });
  protected readonly answers = computed((): FaultAnswers => {
    const own = Object.entries(this.draft.fields()).filter(([, answer]) => answer !== '');
    const all = { ...this.known(), ...Object.fromEntries(own) };
    return Object.fromEntries(Object.entries(all).filter(([, answer]) => answer !== UNKNOWN));
  });
  protected readonly questions = computed(() =>
    FAULT_QUESTIONS.map((question) => ({
      ...question,
      usual: this.known()[question.id] ?? UNKNOWN,
      options: [{ id: UNKNOWN, name: 'did not look' }, ...question.answers.map(({ id, text }) => ({ id, name: this.units.say(text) }))],
      from: this.draft.fields()[question.id] === '' ? (this.signs().find((s) => s.question === question.id)?.from ?? null) : null,
    })),
  );
  protected readonly facts = computed(() => {
    const view = this.view();
    if (!view) return [];
    const { state, verdict } = view;
    const holds = state.vessels.reduce((sum, f) => sum + (this.vessels().get(f.vesselId)?.capacityL ?? NaN), 0);
    const filled = state.vessels.reduce((sum, f) => sum + f.volumeL, 0);
    const emptyFraction = Number.isFinite(holds) && holds > 0 ? Math.max(0, 1 - filled / holds) : null;
    return factsOfBatch(state, verdict?.value ?? null, { today: this.now(), emptyFraction });
  });
  protected readonly found = computed(() => findFaults(this.answers(), this.facts()));
  protected readonly first = computed(() => this.found().value[0] ?? null);
  protected readonly others = computed(() => this.found().value.slice(1));
  protected readonly asked = computed(() => Object.keys(this.answers()).length);

  protected about(chance: number): string {
    return `about ${Math.max(5, Math.round(chance * 20) * 5)} in 100`;
  }

  protected async file(): Promise<void> {
    const view = this.view();
    if (!view) return;
    this.refusal.set(
      await this.writer.write(view, [{ kind: 'note', payload: { text: noteOf(this.answers(), this.found().value) } }], 'Written down.', this.draft),
    );
  }
}
