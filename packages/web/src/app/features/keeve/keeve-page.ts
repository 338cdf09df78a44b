import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { attempt } from '@trug/core/base/errors/attempt';
import { CAP_DAYS, keevingPlan } from '@trug/core/juice/keeve/keeving-plan';
import { dateAfter } from '@trug/core/matter/quantity/days';
import { ActHead } from '../../shared/act-head/act-head';
import { CautionList } from '../../shared/caution/caution-list';
import { Refusal } from '../../shared/refusal/refusal';
import { TimedSteps } from '../../shared/timed-steps/timed-steps';
import { Working } from '../../shared/working/working';
import { injectBatchView } from '../../state/batch-of-page';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { LogWriter } from '../../writing/log-writer';

/** Where nobody said how warm it stands, °C. */
const USUAL_C = 8;

/** A juice starved by its own pectin: whether it may work, the brown cap's calendar, and what can go wrong. */
@Component({
  selector: 'trug-keeve-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, CautionList, Refusal, RouterLink, SaidPipe, TimedSteps, Working],
  templateUrl: './keeve-page.html',
  styleUrl: './keeve-page.scss',
})
export class KeevePage {
  private readonly writer = inject(LogWriter);
  private readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly refusal = signal<string | null>(null);
  /** The juice while it waits for yeast; null once it works, or where there is none. */
  private readonly juice = computed(() => {
    const state = this.view()?.state;
    return state && state.pitchedAt === null && state.pulp === null ? state.liquid : null;
  });
  protected readonly plan = computed(() => {
    const [liquid, state] = [this.juice(), this.view()?.state];
    const worked = liquid ? attempt(() => keevingPlan({ liquid, tempC: state?.placeC ?? USUAL_C })) : null;
    return worked?.ok === true ? worked.value : null;
  });
  protected readonly running = computed(() => {
    const plan = this.view()?.state.plan ?? null;
    return plan?.plan === 'keeve' ? plan : null;
  });
  /** When the cap is to be looked for, from today or from the calcium. */
  protected readonly calendar = computed(() => {
    const state = this.view()?.state;
    const running = this.running();
    if (!state || (running && running.step > 2)) return null;
    const from = running?.step === 2 ? running.doneAt : dateAfter(this.writer.now(), running ? 0 : 1, state.zone);
    const day = (after: number): string => this.units.day(dateAfter(from, after, state.zone));
    return { cap: `${day(CAP_DAYS[0])} to ${day(CAP_DAYS[1])}`, failed: day(CAP_DAYS[1] + 1) };
  });

  /** No cap came, or it sank: an ordinary juice again. */
  protected async giveUp(): Promise<void> {
    const [view, running] = [this.view(), this.running()];
    if (!view || !running) return;
    const payload = { plan: 'keeve', done: 'No cap came: it goes on as any juice.', step: running.step + 1, of: running.of, next: null, waitMin: 0 } as const;
    this.refusal.set(await this.writer.write(view, [{ kind: 'stepped', payload }], 'It goes on as any juice.', 'stay'));
  }
}
