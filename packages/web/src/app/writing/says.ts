import { inject, Injectable, Injector } from '@angular/core';
import type { MatSnackBar, MatSnackBarRef, TextOnlySnackBar } from '@angular/material/snack-bar';

/** How long an undo is offered, ms. */
const UNDO_MS = 10_000;

/** Tells the maker what became of what they wrote, and offers to take it back. */
@Injectable({ providedIn: 'root' })
export class Says {
  private readonly injector = inject(Injector);
  /** Fetched beside the page, which is not held up by it, and long before anybody has written anything. */
  private bar = this.fetched();

  private fetched(): Promise<MatSnackBar | null> {
    return import('@angular/material/snack-bar').then(
      (kit) => this.injector.get(kit.MatSnackBar),
      () => null,
    );
  }

  /** Something was written; taking it back is one click for ten seconds. */
  written(said: string, undo: () => void): void {
    void this.tell(said, 'Undo', UNDO_MS).then((slip) => slip.onAction().subscribe(undo));
  }

  /** Something was done that is taken back elsewhere. */
  note(said: string): void {
    void this.tell(said, undefined, UNDO_MS / 2);
  }

  /** Something was refused; it is not in the book, and the form still holds it. */
  refused(detail: string): void {
    void this.tell(detail, 'Close', 2 * UNDO_MS, ['slip', 'slip-refused']);
  }

  /** At the head of the page: what is pressed next lies at its foot. */
  private async tell(text: string, action: string | undefined, duration: number, panelClass = ['slip']): Promise<MatSnackBarRef<TextOnlySnackBar>> {
    // Where it could not be fetched then, as with the server away, it is asked for once more.
    const bar = (await this.bar) ?? (await (this.bar = this.fetched()));
    if (!bar) throw new Error(`Trug could not show this: ${text}`);
    return bar.open(text, action, { duration, panelClass, verticalPosition: 'top' });
  }
}
