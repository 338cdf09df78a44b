import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Store } from '@ngrx/store';
import type { Problem } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { strikeOut } from '../strike-out';
import { BatchPageActions } from '../../state/batches.actions';

/** How long an undo is offered, ms. */
const UNDO_MS = 10_000;

/** Tells the maker what became of what they wrote, and offers to take it back. */
@Injectable({ providedIn: 'root' })
export class Says {
  private readonly bar = inject(MatSnackBar);
  private readonly store = inject(Store);

  /** Something was filed; striking it out is one click for ten seconds, and from the log afterwards. */
  filed(said: string, entries: readonly Entry[]): void {
    const undoable = entries.filter((e) => e.kind !== 'corrected');
    if (undoable.length === 0) {
      this.note(said);
      return;
    }
    const shown = this.bar.open(said, 'Undo', { duration: UNDO_MS });
    shown.onAction().subscribe(() => {
      const strikes = undoable.map((entry) => strikeOut(entry, 'taken back'));
      this.store.dispatch(BatchPageActions.entriesWritten({ entries: strikes, said: 'Taken back. It is still in the log, struck out.' }));
    });
  }

  /** Something was done that the log does not hold. */
  note(said: string): void {
    this.bar.open(said, undefined, { duration: UNDO_MS / 2 });
  }

  /** Something was refused; it is not in the log, and the form still holds it. */
  refused(problem: Problem): void {
    this.bar.open(problem.detail, 'Close', { duration: 20_000 });
  }
}
