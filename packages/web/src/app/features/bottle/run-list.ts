import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, output, signal } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import type { RunStep } from '@trug/core/finish/bottle/run-steps';
import { waitText } from '../../shared/timed-steps/wait-text';
import { Clock } from '../../state/clock';
import { SaidPipe } from '../../units/said.pipe';
import { timedIn, timedText, withTick } from './bottle-draft';

const TICK_MS = 1000;
const MINUTE_MS = 60_000;

/** The run, step by step, each ticked off; what takes its time is timed while wet hands do something else. */
@Component({
  selector: 'trug-run-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatCheckbox, SaidPipe],
  template: `
    <ol aria-label="The run, step by step">
      @for (step of rows(); track step.id) {
        <li>
          <mat-checkbox [disableRipple]="true" [checked]="step.done" (change)="ticked.emit(tickedNow(step.id, $event.checked))">
            <b>{{ step.text | said }}</b>
            <span class="option-note">{{ step.how | said }}</span>
          </mat-checkbox>
          @if (step.wait) {
            <div class="timer">
              @if (step.left) {
                <b class="num" [class.over]="step.isOver" [attr.role]="step.isOver ? 'alert' : 'timer'">{{ step.left }}</b>
                <button class="link" type="button" (click)="timed.emit('')">{{ step.isOver ? 'Seen' : 'Stop' }}</button>
              } @else if (!step.done) {
                <button class="btn btn-small" type="button" [attr.aria-label]="'Time it, ' + step.wait + ': ' + step.text" (click)="timed.emit(begun(step.id))">
                  Time it: {{ step.wait }}
                </button>
              }
            </div>
          }
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      border-top: 1px dotted var(--line);
      padding: 0.25rem 0;
    }
    .timer {
      display: flex;
      gap: 1rem;
      align-items: center;
      padding: 0 0 0.5rem 3rem;
    }
    .over {
      color: var(--russet);
    }
  `,
})
export class RunList {
  private readonly clock = inject(Clock);
  readonly steps = input.required<readonly RunStep[]>();
  /** Steps that are done, apart by commas. */
  readonly done = input.required<string>();
  /** Which step is timed, and since when, as the draft keeps it. */
  readonly timing = input.required<string>();
  readonly ticked = output<string>();
  readonly timed = output<string>();
  private readonly now = signal(this.clock.now());
  protected readonly rows = computed(() => {
    const done = this.done().split(',');
    const timing = timedIn(this.timing());
    return this.steps().map(({ id, text, how, waitMin }) => {
      const leftMs = timing?.stepId === id && waitMin ? Date.parse(timing.since) + waitMin * MINUTE_MS - Date.parse(this.now()) : null;
      const isOver = leftMs !== null && leftMs <= 0;
      return {
        id,
        text,
        how,
        done: done.includes(id),
        wait: waitMin ? waitText(waitMin) : '',
        left: leftMs === null ? '' : isOver ? 'Its time is over' : leftWords(leftMs),
        isOver,
      };
    });
  });

  constructor() {
    const timer = setInterval(() => {
      if (this.timing() !== '') this.now.set(this.clock.now());
    }, TICK_MS);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(timer);
    });
  }

  protected tickedNow(stepId: string, done: boolean): string {
    return withTick(this.done(), stepId, done);
  }

  protected begun(stepId: string): string {
    const since = this.clock.now();
    this.now.set(since);
    return timedText({ stepId, since });
  }
}

/** What is left of a wait, such as `9:05 left`. */
function leftWords(leftMs: number): string {
  const seconds = Math.ceil(leftMs / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} left`;
}
