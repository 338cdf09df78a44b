import { inject, Injectable } from '@angular/core';
import { MatSnackBar, type MatSnackBarRef, type TextOnlySnackBar } from '@angular/material/snack-bar';

/** How long an undo is offered, ms. */
const UNDO_MS = 10_000;

/** Tells the maker what became of what they wrote, and offers to take it back. */
@Injectable({ providedIn: 'root' })
export class Says {
  private readonly bar = inject(MatSnackBar);

  /** Something was written; taking it back is one click for ten seconds. */
  written(said: string, undo: () => void): void {
    this.tell(said, 'Undo', UNDO_MS).onAction().subscribe(undo);
  }

  /** Something was done that is taken back elsewhere. */
  note(said: string): void {
    this.tell(said, undefined, UNDO_MS / 2);
  }

  /** Something was refused; it is not in the book, and the form still holds it. */
  refused(detail: string): void {
    this.tell(detail, 'Close', 2 * UNDO_MS, ['slip', 'slip-refused']);
  }

  /** At the head of the page: what is pressed next lies at its foot. */
  private tell(text: string, action: string | undefined, duration: number, panelClass = ['slip']): MatSnackBarRef<TextOnlySnackBar> {
    return this.bar.open(text, action, { duration, panelClass, verticalPosition: 'top' });
  }
}
