import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { attempt } from '@trug/core/base/errors/attempt';
import { INFUSIONS, type InfusionGroup } from '@trug/core/base/reference/infusions-data';
import { outOn } from '@trug/core/book/state/fruit-out';
import { infusionPlan } from '@trug/core/finish/steep/infusion-plan';
import { infusionById, isFruit } from '@trug/core/finish/steep/infusions';
import { dateAfter } from '@trug/core/matter/quantity/days';
import { ActHead } from '../../shared/act-head/act-head';
import { BeforeAfter } from '../../shared/before-after/before-after';
import { liquidRows } from '../../shared/before-after/liquid-rows';
import { CautionList } from '../../shared/caution/caution-list';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';
import { Working } from '../../shared/working/working';
import { injectBatchView } from '../../state/batch-of-page';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';

const GROUP_NAMES: Readonly<Record<InfusionGroup, string>> = {
  wood: 'wood',
  spice: 'spice',
  peel: 'peel',
  hops: 'hops',
  flower: 'flowers',
  fruit: 'fruit: it brings sugar',
};
const BARE_GRAMS = { bareUnit: 'g' } as const;

/** What steeps in a working or finished drink: how much, until when, and out again. */
@Component({
  selector: 'trug-infuse-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, BeforeAfter, CautionList, NumberField, QuantityField, ReactiveFormsModule, Refusal, RouterLink, SelectField, Working],
  templateUrl: './infuse-page.html',
  styleUrl: './infuse-page.scss',
})
export class InfusePage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('infuse', { what: 'oak-light', mass: '', days: '' });
  private readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  protected readonly bareGrams = BARE_GRAMS;
  protected readonly choices = INFUSIONS.map(({ id, name, group }) => ({ id, name, group: GROUP_NAMES[group] }));
  protected readonly infusion = computed(() => infusionById(INFUSIONS.find((i) => i.id === this.fields().what)?.id ?? 'oak-light'));
  protected readonly massG = computed(() => numberIn(readQuantity(this.units, this.fields().mass, 'mass', BARE_GRAMS)));
  protected readonly plan = computed(() => {
    const liquid = this.view()?.state.liquid;
    const worked = liquid ? attempt(() => infusionPlan({ liquid, infusionId: this.infusion().id, massG: this.massG() })) : null;
    return worked?.ok === true ? worked.value : null;
  });
  protected readonly range = computed(() => {
    const [faint, usual, strong] = this.plan()?.value.massG ?? [0, 0, 0];
    return `${this.units.mass(faint)} is faint, ${this.units.mass(usual)} usual, ${this.units.mass(strong)} strong.`;
  });
  protected readonly odd = computed(() => {
    const isOdd = this.plan()?.value.isOdd ?? null;
    if (isOdd === null) return null;
    return isOdd === 'strong' ? 'That is more than is usually called strong: taste it from the first day on.' : 'That is hardly to be tasted.';
  });
  protected readonly days = computed(() => numberOf(this.fields().days, 'infusionDays') ?? this.infusion().days[1]);
  protected readonly dates = computed(() => {
    const zone = this.view()?.state.zone;
    const day = (after: number): string => this.units.day(dateAfter(this.writer.now(), after, zone));
    return { taste: day(Math.min(this.infusion().days[0], this.days())), out: day(this.days()) };
  });
  protected readonly rows = computed(() => {
    const liquid = this.view()?.state.liquid;
    const after = this.plan()?.value.after ?? null;
    return liquid && isFruit(this.infusion())
      ? liquidRows(this.units, liquid, after, ['gravity', 'sweetness', 'strength', 'acid'], this.view()?.state.guessed)
      : [];
  });
  /** What steeps in it now. */
  protected readonly inIt = computed(() => {
    const { infusions = [], zone = '' } = this.view()?.state ?? {};
    return infusions.map((each) => ({
      id: each.id,
      name: each.name,
      words: `${this.units.mass(each.massG)} since ${this.units.day(each.at)}, out by ${this.units.day(outOn(each, zone))}${each.tastedAt === null ? '' : `, last tasted ${this.units.day(each.tastedAt)}`}`,
    }));
  });

  protected async file(): Promise<void> {
    const [view, plan] = [this.view(), this.plan()];
    if (!view || !plan) {
      this.refusal.set(this.draft.wrong() ?? 'Say how much goes in.');
      return;
    }
    const payload = { infusionId: this.infusion().id, massG: this.massG() ?? Math.round(plan.value.massG[1] * 10) / 10, days: this.days() };
    this.refusal.set(await this.writer.write(view, [{ kind: 'infused', payload }], `In it: ${this.infusion().name}.`, this.draft));
  }

  protected async lift(infusedId: string, name: string): Promise<void> {
    const view = this.view();
    if (!view) return;
    this.refusal.set(await this.writer.write(view, [{ kind: 'lifted', payload: { infusedId, name } }], `Taken out: ${name}.`, 'stay'));
  }
}
