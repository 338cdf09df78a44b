import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { Word } from '../../shared/word/word';
import { RouterLink } from '@angular/router';
import type { Need } from '@trug/core';
import { attempt } from '@trug/core/base/errors/attempt';
import { restartPlan } from '@trug/core/ferment/yeast/restart-plan';
import { restartInputOf, restartOutcomeOf } from '@trug/core/book/outlook/restart-of';
import { yeastById } from '@trug/core/base/reference/yeast-kinds';
import { yeastTogether } from '@trug/core/ferment/yeast/yeast-together';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList } from '../../shared/caution/caution-list';
import { Icon } from '../../shared/icon/icon';
import { SupplyTake } from '../../shared/supply-take/supply-take';
import { TimedSteps } from '../../shared/timed-steps/timed-steps';
import { Units } from '../../units/units';
import { Working } from '../../shared/working/working';
import { SaidPipe } from '../../units/said.pipe';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../../shared/refusal/refusal';

/** Set a stuck ferment going again: what is free first, then new yeast by a starter, or a way out. */
@Component({
  selector: 'trug-restart-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Word, ActHead, SaidPipe, RouterLink, CautionList, Icon, SupplyTake, TimedSteps, Working, Refusal],
  templateUrl: './restart-page.html',
  styleUrl: './restart-page.scss',
})
export class RestartPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly refusal = signal<string | null>(null);
  private readonly take = viewChild(SupplyTake);
  private readonly made = computed(() => {
    const state = this.view()?.state;
    const input = state ? restartInputOf(state) : null;
    return input ? attempt(() => restartPlan(input)) : null;
  });
  protected readonly plan = computed(() => {
    const made = this.made();
    return made?.ok === true ? made.value : null;
  });
  /** Why there is nothing to restart. */
  protected readonly none = computed(() => {
    const made = this.made();
    if (made === null) return 'There is no ferment in this batch to restart.';
    return made.ok ? null : `${made.error.message}.`;
  });
  protected readonly outcome = computed(() => {
    const state = this.view()?.state;
    return state ? restartOutcomeOf(state) : null;
  });
  protected readonly together = computed(() => {
    const plan = this.plan();
    const first = this.view()?.state.yeastId;
    return plan && first && first !== plan.value.yeastId ? yeastTogether(first, plan.value.yeastId).text : null;
  });
  protected readonly yeastName = computed(() => yeastById(this.plan()?.value.yeastId ?? 'restart').name);
  protected readonly needs = computed((): readonly Need[] => {
    const plan = this.plan()?.value;
    return plan ? [{ kind: 'yeast', refId: plan.yeastId, amount: plan.massG, unit: 'g' }] : [];
  });
  /** Water that would bring its strength down, where strength is the trouble. */
  protected readonly dilute = computed(() => {
    const diluteL = this.plan()?.value.diluteL ?? null;
    return diluteL === null || diluteL < 0.05 ? null : this.units.volumeAbout(diluteL);
  });

  protected async pitch(): Promise<void> {
    const view = this.view();
    const plan = this.plan()?.value;
    if (!view || !plan) return;
    const payload = { yeastId: plan.yeastId, massG: plan.massG, method: 'starter' as const, juiceC: view.state.placeC, supplies: this.take()?.uses() };
    this.refusal.set(await this.writer.write(view, [{ kind: 'pitched', payload, note: 'to restart it' }], 'New yeast is in.'));
  }
}
