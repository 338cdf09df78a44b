import { inject, Injectable, Injector } from '@angular/core';
import type { MatSnackBar } from '@angular/material/snack-bar';

/** How long an undo is offered, ms. */
const UNDO_MS = 10_000;

/** Tells the maker what became of what they wrote, and offers to take it back. */
@Injectable({ providedIn: 'root' })
export class Says {
  private readonly injector = inject(Injector);
  /** Fetched beside the page and not before it: nothing is said until something is pressed. */
  private bar: Promise<MatSnackBar> | null = null;

  constructor() {
    // Where it cannot be fetched now, nobody waits for it yet: it is tried again once there is something to say.
    this.fetched().catch(() => undefined);
  }

  /** Something was written; taking it back is one click for ten seconds. */
  written(said: string, undo: () => void): void {
    this.tell(said, { action: 'Undo', duration: UNDO_MS, undo });
  }

  /** Something was done that is taken back elsewhere. */
  note(said: string): void {
    this.tell(said, { duration: UNDO_MS / 2 });
  }

  /** Something was refused; it is not in the book, and the form still holds it. */
  refused(detail: string): void {
    this.tell(detail, { action: 'Close', duration: 2 * UNDO_MS, panelClass: ['slip', 'slip-refused'] });
  }

  private fetched(): Promise<MatSnackBar> {
    this.bar ??= import('@angular/material/snack-bar')
      .then((material) => this.injector.get(material.MatSnackBar))
      .catch((error: unknown) => {
        this.bar = null;
        throw error;
      });
    return this.bar;
  }

  /** Where nothing is pressed: in the strip at the top, or on a phone over the title of the page. */
  private tell(
    text: string,
    {
      action,
      duration,
      undo,
      panelClass = ['slip'],
    }: { readonly action?: string; readonly duration: number; readonly undo?: () => void; readonly panelClass?: string[] },
  ): void {
    void this.fetched().then((bar) => {
      const ref = bar.open(text, action, { duration, panelClass, verticalPosition: 'top', horizontalPosition: 'start' });
      if (undo) ref.onAction().subscribe(undo);
    });
  }
}
