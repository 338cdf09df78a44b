import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { attempt } from '@trug/core/base/errors/attempt';
import { fermentableById } from '@trug/core/base/reference/fermentables';
import { injectWeightsOf } from '../../shared/kitchen';
import type { Need } from '@trug/core/book/cupboard/supply-for';
import { sweetenPlan } from '@trug/core/book/plan/sweeten-plan';
import { holdsDose } from '@trug/core/book/state/sealing';
import { SWEETENERS } from '@trug/core/finish/sweeten/sweeten-for';
import { SWEETNESS_LEVELS } from '@trug/core/finish/sweeten/sweetness';
import { ActHead } from '../../shared/act-head/act-head';
import { BeforeAfter } from '../../shared/before-after/before-after';
import { liquidRows } from '../../shared/before-after/liquid-rows';
import { CautionList } from '../../shared/caution/caution-list';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';
import { SupplyTake } from '../../shared/supply-take/supply-take';
import { Working } from '../../shared/working/working';
import { injectBatchView } from '../../state/batch-of-page';
import { SaidPipe } from '../../units/said.pipe';
import type { ReadingHints } from '../../units/typed-quantity';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';

/** Sweeten: with what, how sweet, how much of it that takes, and whether it stays sweet. */
@Component({
  selector: 'trug-sweeten-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, ActHead, BeforeAfter, CautionList, QuantityField, SelectField, Refusal, SupplyTake, Working, SaidPipe],
  templateUrl: './sweeten-page.html',
  styleUrl: './sweeten-page.scss',
})
export class SweetenPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  private readonly weightsOf = injectWeightsOf();
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('sweeten', { sweetener: '', level: 'off-dry', sg: '', mass: '' });
  private readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  /** What yeast cannot eat first: it is the safest in a bottle. */
  protected readonly sweeteners = computed(() =>
    [
      { kind: 'non-fermentable', group: 'yeast cannot eat it' },
      { kind: 'fermentable', group: 'sugar: to be stabilised first' },
    ].flatMap(({ kind, group }) => SWEETENERS.filter((s) => s.kind === kind).map((s) => ({ id: s.id, name: this.units.say(s.name), group }))),
  );
  protected readonly levels = SWEETNESS_LEVELS.filter((l) => l.aimGPerL > 0).map(({ id, name, aimGPerL }) => ({ id, name: `${name}, ${aimGPerL} g/L` }));
  /** Where nothing holds the yeast, what it cannot eat is the likely one. */
  protected readonly usual = computed(() => {
    const state = this.view()?.state;
    return state && holdsDose(state) ? 'sucrose' : 'erythritol';
  });
  protected readonly sweetener = computed(() => fermentableById(this.fields().sweetener || this.usual()));
  protected readonly hints = computed((): ReadingHints => ({ bareUnit: 'g', weights: this.weightsOf()('sugar', this.sweetener().id) }));
  private readonly massG = computed(() => numberIn(readQuantity(this.units, this.fields().mass, 'mass', this.hints())));
  private readonly worked = computed(() => {
    const view = this.view();
    if (!view) return null;
    const { level, sg } = this.fields();
    const targetSg = numberIn(readQuantity(this.units, sg, 'gravity'));
    const massG = this.massG();
    const targetGPerL = SWEETNESS_LEVELS.find((l) => l.id === level)?.aimGPerL ?? null;
    return attempt(() =>
      sweetenPlan({ state: view.state, verdict: view.verdict?.value ?? null, sweetenerId: this.sweetener().id, targetGPerL, targetSg, massG }),
    );
  });
  protected readonly plan = computed(() => {
    const worked = this.worked();
    return worked?.ok === true ? worked.value : null;
  });
  /** Why there is no plan, in words. */
  protected readonly why = computed(() => {
    const worked = this.worked();
    if (worked?.ok !== false) return null;
    return worked.error.code === 'UNREACHABLE'
      ? `${this.units.say(worked.error.message)}. Choose another, or say an amount.`
      : 'No drink is made as sweet as that. Look at the figure once more.';
  });
  protected readonly amount = computed(() => this.units.mass(this.plan()?.value.massG ?? 0));
  protected readonly rows = computed(() => {
    const liquid = this.view()?.state.liquid;
    return liquid
      ? liquidRows(
          this.units,
          liquid,
          this.plan()?.value.after ?? null,
          ['taste', 'sweetness', 'gravity', 'strength', 'acid', 'volume'],
          this.view()?.state.guessed,
        )
      : [];
  });
  private readonly take = viewChild(SupplyTake);
  protected readonly needs = computed((): readonly Need[] => [{ kind: 'sugar', refId: this.sweetener().id, amount: this.plan()?.value.massG ?? 0, unit: 'g' }]);

  protected async file(): Promise<void> {
    const view = this.view();
    const massG = this.plan()?.value.massG ?? 0;
    if (!view || massG <= 0) {
      this.refusal.set(this.draft.wrong() ?? this.why() ?? 'It is as sweet as that already.');
      return;
    }
    const payload = { sweetenerId: this.sweetener().id, massG, supplies: this.take()?.uses() };
    this.refusal.set(await this.writer.write(view, [{ kind: 'sweetened', payload }], 'Sweetened.', this.draft));
  }
}
