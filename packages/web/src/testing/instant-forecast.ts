import { Injectable, signal } from '@angular/core';
import { runForecastTask, type ForecastAnswer, type ForecastTask } from '../app/features/batch/ahead/forecast-task';

/** Stands where a worker cannot run: the same task, with fewer days, worked out at once. */
@Injectable()
export class ForecastRunner {
  readonly progress = signal<number | null>(null);
  readonly answer = signal<ForecastAnswer | null>(null);
  readonly refusal = signal<string | null>(null);

  start(task: ForecastTask): void {
    const shorter = { ...task, asIs: { ...task.asIs, horizonDays: 60 }, whatIf: task.whatIf && { ...task.whatIf, horizonDays: 60 } };
    setTimeout(() => this.answer.set(runForecastTask(shorter, () => undefined)));
  }

  stop(): void {
    this.progress.set(null);
  }
}
