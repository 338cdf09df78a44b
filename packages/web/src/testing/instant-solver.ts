import { Injectable } from '@angular/core';
import { runBlendTask, type BlendAnswer, type BlendTask } from '../app/features/juice/bench/blend-task';

/** Stands where a worker cannot run: the same task is solved at once. */
@Injectable()
export class BlendSolver {
  private answered: (answer: BlendAnswer) => void = () => undefined;

  onAnswer(answered: (answer: BlendAnswer) => void): void {
    this.answered = answered;
  }

  onFailure(): void {
    // Nothing is fetched here, so nothing fails.
  }

  ask(task: BlendTask): void {
    setTimeout(() => this.answered(runBlendTask(task)));
  }

  stop(): void {
    this.answered = () => undefined;
  }
}
