import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, signal } from '@angular/core';
import type { TimedPlan } from '@trug/core';
import type { BatchView } from '../../state/batch-views.selectors';
import { Units } from '../../units/units';
import { waitText } from './wait-text';
import { SaidPipe } from '../../units/said.pipe';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../refusal/refusal';

/** A step as it is listed: what to do, and how long until the next. */
export interface TimedStep {
  readonly text: string;
  readonly waitMin: number;
}

const TICK_MS = 20_000;

/** Steps with their waits: each is ticked off as it is done, the next says from when, and the shelf keeps the time. */
@Component({
  selector: 'trug-timed-steps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, Refusal],
  template: `
    <ol>
      @for (s of rows(); track $index) {
        <li [class]="s.state">
          <span>{{ s.text | said }}</span>
          @if (s.note) {
            <b class="num">{{ s.note | said }}</b>
          }
          @if (s.state === 'now' && s.tickable) {
            <button class="btn btn-small" type="button" (click)="done($index)" [attr.aria-label]="'Done: ' + (s.text | said)">Done</button>
          }
        </li>
      }
    </ol>
    <trug-refusal [why]="refusal()" />
  `,
  styleUrl: './timed-steps.scss',
})
export class TimedSteps {
  private readonly writer = inject(LogWriter);
  private readonly units = inject(Units);
  readonly view = input.required<BatchView>();
  readonly plan = input.required<TimedPlan>();
  readonly steps = input.required<readonly TimedStep[]>();
  /** Whether the last step is ticked here too, or done by the page's own button. */
  readonly endsHere = input(false);
  protected readonly refusal = signal<string | null>(null);
  private readonly now = signal(this.writer.now());
  private readonly running = computed(() => {
    const { plan } = this.view().state;
    return plan?.plan === this.plan() ? plan : null;
  });
  protected readonly rows = computed(() => {
    const running = this.running();
    const doneCount = running?.step ?? 0;
    const waitMs = running ? Date.parse(running.dueAt) - Date.parse(this.now()) : 0;
    const count = this.steps().length;
    return this.steps().map(({ text, waitMin }, i) => {
      const state = i < doneCount ? 'done' : i === doneCount ? (waitMs > 0 ? 'now early' : 'now') : 'later';
      return {
        text,
        state: state === 'now early' ? 'now' : state,
        tickable: i < count - 1 || this.endsHere(),
        note: running && i === doneCount ? dueWords(running.dueAt, waitMs, this.units) : i >= doneCount && waitMin > 0 ? `then ${waitText(waitMin)}` : '',
      };
    });
  });

  constructor() {
    const timer = setInterval(() => this.now.set(this.writer.now()), TICK_MS);
    inject(DestroyRef).onDestroy(() => clearInterval(timer));
  }

  protected async done(index: number): Promise<void> {
    const steps = this.steps();
    const step = steps[index];
    if (!step) return;
    const payload = { plan: this.plan(), done: step.text, step: index + 1, of: steps.length, next: steps[index + 1]?.text ?? null, waitMin: step.waitMin };
    this.refusal.set(await this.writer.write(this.view(), [{ kind: 'stepped', payload }], 'Ticked off.', 'stay'));
    this.now.set(this.writer.now());
  }
}

function dueWords(dueAt: string, waitMs: number, units: Units): string {
  if (waitMs <= 0) return 'now';
  const minutes = Math.ceil(waitMs / 60_000);
  const at = `${units.hour(dueAt)}${minutes > 12 * 60 ? ` on ${units.day(dueAt)}` : ''}`;
  return `from ${at}, in ${waitText(minutes)}`;
}
