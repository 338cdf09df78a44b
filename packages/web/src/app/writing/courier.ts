import { inject, Injectable, Injector } from '@angular/core';
import { Actions, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import type { Problem } from '@trug/contract/plain';
import { filter, take } from 'rxjs';
import { isStored } from '../state/stored-ids';
import { isAnswered, Outbox, type Sending } from './outbox';
import { Says } from './says';
import type { TwoVersions } from './two-versions/two-versions';

/** What became of something that was sent: why it was refused, and how it was sent. */
export interface Sent<B> {
  readonly refused: string | null;
  /** May carry the ids of an earlier try that was not answered. */
  readonly body: B;
}

/** How writers send: each thing once, its answer awaited, a refusal told. */
@Injectable({ providedIn: 'root' })
export class Courier {
  private readonly actions = inject(Actions);
  private readonly store = inject<Store>(Store);
  private readonly outbox = inject(Outbox);
  private readonly injector = inject(Injector);
  private readonly says = inject(Says);

  /**
   * Sends something once, however often it is pressed.
   *
   * @param sending - the body and what tells it from a repeat
   * @param actionFor - what the store is told of a body
   * @param answers - the actions that may come of it, each with the body as `sent`
   * @returns the server's problem with it, null when there is none, and the body that was sent
   */
  send<B extends object>(
    sending: Sending<B>,
    actionFor: (sent: B) => Action,
    answers: readonly string[],
  ): Promise<{ readonly answer: Problem | null; readonly body: B }> {
    const known = { ...sending, isStored: (id: string) => isStored(this.store, id) };
    return this.outbox.send(known, (sent) => this.answerTo(actionFor(sent), sent, answers), isAnswered);
  }

  /** The answer is awaited before a form is left, so that a refusal finds everything still in it. */
  async answerTo(action: Action, sent: object, answers: readonly string[]): Promise<Problem | null> {
    const answer = new Promise<Action & { readonly problem?: Problem }>((resolve) => {
      this.actions
        .pipe(
          ofType(...answers),
          filter((a: Action & { readonly sent?: unknown }) => a.sent === sent),
          take(1),
        )
        .subscribe(resolve);
    });
    this.store.dispatch(action);
    return (await answer).problem ?? null;
  }

  /** What was kept under a key is settled in another way: the next sending is a new one. */
  settle(key: string): void {
    this.outbox.settle(key);
  }

  /** Tells the maker why something was refused, when it was. */
  told<B>(answer: Problem | null, body: B): Sent<B> {
    if (answer) this.says.refused(answer.detail);
    return { refused: answer?.detail ?? null, body };
  }

  /** What shows two versions side by side; loaded when there are two. */
  async versions(): Promise<TwoVersions> {
    const { TwoVersions: versions } = await import('./two-versions/two-versions');
    return this.injector.get(versions);
  }
}
