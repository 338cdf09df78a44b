import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { attempt } from '@trug/core/base/errors/attempt';
import { FORCED_FERMENT_STEPS, SUGAR_TEST_STEPS } from '@trug/core/book/plan/sugar-test-steps';
import { fermentableGPerL } from '@trug/core/matter/liquid/views';
import { checkEntryAgainst } from '@trug/core/book/log/check-entry';
import type { EntryPayloads } from '@trug/core/book/entry/entry';
import type { SugarTest } from '@trug/core/book/kinds/tested';
import { gaugeNamed, PLAIN_STEM, type Gauge } from '@trug/core/matter/measure/gauge';
import type { RawGravity } from '@trug/core/matter/measure/raw-gravity';
import { sugarFound } from '@trug/core/book/kinds/tested';
import { hasFreshReading } from '@trug/core/book/state/sugar-known';
import { figure } from '@trug/core/base/worked/figures';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList, unacknowledged } from '../../shared/caution/caution-list';
import { createBatchDraft } from '../../writing/draft';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { GravityField, readGravity } from '../../shared/field/gravity-field';
import { SelectField } from '../../shared/field/select-field';
import { QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { Units } from '../../units/units';
import { SaidPipe } from '../../units/said.pipe';
import { injectGauges, stemsOf } from '../../shared/gauges';
import { LogWriter } from '../../writing/log-writer';
import { ChoiceField } from '../../shared/field/choice-field';
import { Refusal } from '../../shared/refusal/refusal';

/** What sugar is left: a sample fermented out in the warm, or a test for sugar. Until then the sums count what they find. */
@Component({
  selector: 'trug-sugar-test-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, SaidPipe, ReactiveFormsModule, RouterLink, CautionList, NumberField, QuantityField, GravityField, SelectField, ChoiceField, Refusal],
  templateUrl: './sugar-test-page.html',
  styleUrl: './sugar-test-page.scss',
})
export class SugarTestPage {
  private readonly writer = inject(LogWriter);
  private readonly gauges = injectGauges();
  protected readonly stems = computed(() => stemsOf(this.gauges()));
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('sugar-test', {
    by: 'forced-ferment',
    instrument: '',
    before: '',
    sampleBefore: '',
    after: '',
    sampleAfter: '',
    days: '6',
    temp: '',
    sugar: '',
  });
  protected readonly fields = computed(() => this.draft.fields());
  /** What both samples are read with: what one is off by then cancels. */
  protected readonly stem = computed((): Gauge => gaugeNamed(this.stems(), this.fields().instrument) ?? { ...PLAIN_STEM, id: '', name: '' });
  protected readonly typed = signal('');
  protected readonly refusal = signal<string | null>(null);
  protected readonly steps = computed(() => (this.fields().by === 'sugar-test' ? SUGAR_TEST_STEPS : FORCED_FERMENT_STEPS));
  protected readonly sums = computed(() => {
    const liquid = this.view()?.state.liquid;
    return liquid ? `The sums find ${figure(fermentableGPerL(liquid), 1)} g/L of sugar in it as it stands.` : '';
  });
  /** The test as typed, or what is still missing. */
  protected readonly test = computed((): SugarTest | string => {
    const f = this.fields();
    if (f.by === 'sugar-test') {
      const sugarGPerL = numberOf(f.sugar, 'sugarGPerL');
      return sugarGPerL !== null ? { by: 'sugar-test', sugarGPerL } : 'Write the sugar the test shows, in g/L, such as 1.';
    }
    const [before, after] = [this.gravity(f.before, f.sampleBefore), this.gravity(f.after, f.sampleAfter)];
    if (before === null || after === null) return 'Write both gravities, such as 1.002 and 1.000.';
    const days = numberOf(f.days, 'days');
    if (days === null || days < 0.5) return 'Write how many days the sample stood, such as 6.';
    const warm = readQuantity(this.units, f.temp, 'temperature');
    if (warm?.ok !== true || warm.value.value < 0 || warm.value.value > 45) return 'Write how warm the sample stood, such as 25 C.';
    return { by: 'forced-ferment', before, after, days, tempC: warm.value.value };
  });
  protected readonly found = computed(() => {
    const test = this.test();
    const state = this.view()?.state;
    if (typeof test === 'string' || !state) return null;
    const found = attempt(() => sugarFound(test, state.must));
    return found.ok ? `So about ${figure(found.value, 1)} g/L can still ferment.` : found.error.message;
  });
  protected readonly unread = computed(() => {
    const state = this.view()?.state;
    return state !== undefined && !hasFreshReading(state, this.writer.now());
  });
  private readonly check = computed(() => {
    const view = this.view();
    const payload = this.payload([]);
    if (!view || payload === null) return null;
    const entry = this.writer.entry(view.batch.id, { kind: 'tested', payload }, view.state.lastEntryAt);
    const check = attempt(() => checkEntryAgainst(view.state, view.verdict?.value ?? null, entry));
    return check.ok ? check.value : null;
  });
  protected readonly dangers = computed(() => this.check()?.dangers ?? []);

  private gravity(text: string, sample: string): RawGravity | null {
    return readGravity(this.units, [this.stem()], { text, by: '', sample });
  }

  private payload(acknowledged: readonly string[]): EntryPayloads['tested'] | null {
    const test = this.test();
    return typeof test === 'string' ? null : { ...test, acknowledged };
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const test = this.test();
    const dangers = this.dangers();
    if (!view || typeof test === 'string') {
      this.refusal.set(typeof test === 'string' ? test : 'This batch is not loaded.');
      return;
    }
    const danger = unacknowledged(dangers, this.typed());
    if (danger !== null) {
      this.refusal.set(danger);
      return;
    }
    const payload = { ...test, acknowledged: dangers.map((d) => d.id) };
    this.refusal.set(await this.writer.write(view, [{ kind: 'tested', payload }], 'Written down: the sums go by it from now on.', this.draft));
  }
}
