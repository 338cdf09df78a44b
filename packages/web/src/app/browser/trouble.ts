import { ErrorHandler, inject, Injectable, signal } from '@angular/core';

/** What is said when something goes wrong inside Trug: nobody can mend it here, and nothing typed is lost. */
export const TROUBLE_WORDS =
  'Something went wrong inside Trug, and this page may not be right. What you typed is kept in this browser and comes back when the page is opened anew.';

/** Whether something went wrong inside Trug since the window was opened. */
@Injectable({ providedIn: 'root' })
export class Trouble {
  /** The words for it; null while all is well. */
  readonly said = signal<string | null>(null);
}

/** Catches what no page caught, so that no page goes blank unseen: it is told to the maker, and whole to the console. */
@Injectable()
export class TroubleHandler extends ErrorHandler {
  private readonly trouble = inject(Trouble);

  override handleError(error: unknown): void {
    super.handleError(error);
    this.trouble.said.set(TROUBLE_WORDS);
  }
}
