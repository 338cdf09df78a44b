import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';

/** How long an undo is offered, ms. */
const UNDO_MS = 10_000;

/** Tells the maker what became of what they wrote, and offers to take it back. */
@Injectable({ providedIn: 'root' })
export class Says {
  private readonly bar = inject(MatSnackBar);

  /** Something was written; taking it back is one click for ten seconds. */
  written(said: string, undo: () => void): void {
    this.bar.open(said, 'Undo', { duration: UNDO_MS, panelClass: 'slip' }).onAction().subscribe(undo);
  }

  /** Something was done that is taken back elsewhere. */
  note(said: string): void {
    this.bar.open(said, undefined, { duration: UNDO_MS / 2, panelClass: 'slip' });
  }

  /** Something was refused; it is not in the book, and the form still holds it. */
  refused(detail: string): void {
    this.bar.open(detail, 'Close', { duration: 2 * UNDO_MS, panelClass: ['slip', 'slip-refused'] });
  }
}
