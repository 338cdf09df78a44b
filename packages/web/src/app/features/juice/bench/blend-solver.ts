import { Injectable } from '@angular/core';
import type { BlendAnswer, BlendTask } from './blend-task';

/** Solves blends beside the page. A request that was overtaken by a newer one is never begun. */
@Injectable()
export class BlendSolver {
  private readonly worker = new Worker(new URL('./blend.worker', import.meta.url), { type: 'module' });
  private busy = false;
  private waiting: BlendTask | null = null;
  private count = 0;
  private answered: (answer: BlendAnswer) => void = () => undefined;

  /** Says what to do with each answer. */
  onAnswer(answered: (answer: BlendAnswer) => void): void {
    this.answered = answered;
    this.worker.addEventListener('message', ({ data }: MessageEvent<{ readonly id: number; readonly answer: BlendAnswer }>) => {
      if (data.id !== this.count) return;
      this.busy = false;
      this.answered(data.answer);
      const next = this.waiting;
      this.waiting = null;
      if (next) this.ask(next);
    });
  }

  /** Says what to do when solving itself breaks, as when its program could not be fetched: the bench must not wait for ever. */
  onFailure(failed: (says: string) => void): void {
    this.worker.addEventListener('error', (event) => {
      this.busy = false;
      this.waiting = null;
      failed(`The blend could not be worked out here${event.message ? ` (${event.message})` : ''}. Load the page again; nothing you set is lost.`);
    });
  }

  /** Asks for a blend; while one is being solved, only the newest request waits. An outline asked for is not lost. */
  ask(task: BlendTask): void {
    if (this.busy) {
      this.waiting = { ...task, reach: task.reach ?? this.waiting?.reach ?? null };
      return;
    }
    this.busy = true;
    this.count += 1;
    this.worker.postMessage({ id: this.count, task });
  }

  /** Stops whatever is running. */
  stop(): void {
    this.worker.terminate();
  }
}
