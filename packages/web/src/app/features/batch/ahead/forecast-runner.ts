import { Injectable, signal } from '@angular/core';
import { createAnswersOfLate } from './answers-of-late';
import type { ForecastAnswer, ForecastTask } from './forecast-task';

/** What the worker says. */
export interface ForecastMessage {
  readonly progress?: number;
  readonly answer?: ForecastAnswer;
  readonly refusal?: string;
}

/** As many batches as are looked at in turn. */
const MOST_REMEMBERED = 12;
const LATE = createAnswersOfLate<ForecastTask, ForecastAnswer>(MOST_REMEMBERED);

/** Runs forecasts beside the page. A new question, or the maker, drops the one that is running. */
@Injectable()
export class ForecastRunner {
  private worker: Worker | null = null;
  /** How far the running forecast is, 0–1; null when none runs. */
  readonly progress = signal<number | null>(null);
  readonly answer = signal<ForecastAnswer | null>(null);
  readonly refusal = signal<string | null>(null);

  /** Starts a forecast; the last answer stays until the new one is there. */
  start(task: ForecastTask): void {
    this.stop();
    this.refusal.set(null);
    const known = LATE.of(task);
    if (known) {
      this.answer.set(known);
      return;
    }
    this.progress.set(0);
    const worker = new Worker(new URL('./forecast.worker', import.meta.url), { type: 'module' });
    this.worker = worker;
    worker.addEventListener('message', ({ data }: MessageEvent<ForecastMessage>) => {
      if (data.progress !== undefined) this.progress.set(data.progress);
      if (data.answer) {
        LATE.keep(task, data.answer);
        this.answer.set(data.answer);
      }
      if (data.refusal !== undefined) this.refusal.set(data.refusal);
      if (data.answer || data.refusal !== undefined) this.stop();
    });
    worker.addEventListener('error', () => {
      this.refusal.set('The forecast could not be worked out here. Load the page again; nothing is lost.');
      this.stop();
    });
    worker.postMessage(task);
  }

  /** Drops whatever is running. */
  stop(): void {
    this.worker?.terminate();
    this.worker = null;
    this.progress.set(null);
  }
}
