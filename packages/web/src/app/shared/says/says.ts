import { inject, Injectable, Injector } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import type { Problem } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { strikeOut } from '../strike-out';

/** How long an undo is offered, ms. */
const UNDO_MS = 10_000;

/** Tells the maker what became of what they wrote, and offers to take it back. */
@Injectable({ providedIn: 'root' })
export class Says {
  private readonly bar = inject(MatSnackBar);
  private readonly injector = inject(Injector);

  /** Something was filed; striking it out is one click for ten seconds, and from the log afterwards. */
  filed(said: string, entries: readonly Entry[]): void {
    const undoable = entries.filter((e) => e.kind !== 'corrected');
    if (undoable.length === 0) {
      this.note(said);
      return;
    }
    const shown = this.bar.open(said, 'Undo', { duration: UNDO_MS });
    shown.onAction().subscribe(() => void this.takeBack(undoable));
  }

  private async takeBack(entries: readonly Entry[]): Promise<void> {
    // What writes brings the core along, which the first page does without.
    const { EntryWriter } = await import('../entry-writer');
    const writer = this.injector.get(EntryWriter);
    const strikes = entries.map((entry) => strikeOut(entry, 'taken back', writer.now()));
    await writer.file(strikes, 'Taken back. It is still in the log, struck out.');
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
