import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { attempt } from '@trug/core/base/errors/attempt';
import { malolacticOutlook, turnedFromTa } from '@trug/core/ferment/clear/malolactic-outlook';
import { figure } from '@trug/core/base/worked/figures';
import { ActHead } from '../../shared/act-head/act-head';
import { BeforeAfter, type FigureRow } from '../../shared/before-after/before-after';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList } from '../../shared/caution/caution-list';
import { createBatchDraft } from '../../writing/draft';
import { readNumber } from '../../shared/field/number-field';
import { TextField } from '../../shared/field/text-field';
import { Working } from '../../shared/working/working';
import { SaidPipe } from '../../units/said.pipe';
import { LogWriter } from '../../writing/log-writer';
import { ChoiceField } from '../../shared/field/choice-field';
import { Refusal } from '../../shared/refusal/refusal';

/** The malolactic change: what it would do, how far it is, and whether it is wanted. */
@Component({
  selector: 'trug-malolactic-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, BeforeAfter, SaidPipe, ReactiveFormsModule, RouterLink, CautionList, TextField, Working, ChoiceField, Refusal],
  templateUrl: './malolactic-page.html',
  styleUrl: './malolactic-page.scss',
})
export class MalolacticPage {
  private readonly writer = inject(LogWriter);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('malolactic', { is: 'begun', wanted: 'yes', ta: '' });
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  protected readonly outlook = computed(() => {
    const liquid = this.view()?.state.liquid;
    return liquid ? malolacticOutlook(liquid) : null;
  });
  protected readonly figures = computed((): readonly FigureRow[] => {
    const o = this.outlook()?.value;
    return o
      ? [
          { name: 'Acid', unit: 'g/L as malic', before: figure(o.now.taGPerL, 1), after: figure(o.after.taGPerL, 1) },
          { name: 'pH', unit: '', before: figure(o.now.ph, 2), after: figure(o.after.ph, 2) },
        ]
      : [];
  });
  /** How far it has come, from the acid as measured; the whole way when it is over and nothing was measured. */
  protected readonly turned = computed((): number | string => {
    const { is, ta } = this.fields();
    const liquid = this.view()?.state.liquid;
    if (is === 'begun' || !liquid) return 0;
    if (ta.trim() === '') return is === 'over' ? 1 : 0;
    const read = readNumber(ta, 'taGPerL');
    if (read?.ok !== true) return read?.error.message ?? 'Write the acidity in g/L as malic, such as 4.2.';
    const measured = read.value;
    const found = attempt(() => turnedFromTa(liquid, measured));
    return found.ok ? found.value : found.error.message;
  });
  protected readonly turnedText = computed(() => {
    const turned = this.turned();
    return typeof turned === 'number' && turned > 0 ? `About ${Math.round(turned * 100)} % of its malic acid has turned.` : null;
  });

  protected async file(): Promise<void> {
    const view = this.view();
    const turned = this.turned();
    if (!view || typeof turned === 'string') {
      this.refusal.set(typeof turned === 'string' ? turned : 'This batch is not loaded.');
      return;
    }
    const { is, wanted } = this.fields();
    const payload = { turnedFraction: turned, wanted: wanted === 'yes', bacteria: is === 'begun', done: is === 'over' };
    this.refusal.set(await this.writer.write(view, [{ kind: 'malolactic', payload }], 'Written down.', this.draft));
  }
}
