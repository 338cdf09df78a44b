import { Injectable, signal } from '@angular/core';

/** When what the page in view is about was done: now, unless the maker says otherwise. It is forgotten with the page. */
@Injectable({ providedIn: 'root' })
export class DoneAt {
  /** The moment the maker chose, ISO 8601; null for now. */
  readonly at = signal<string | null>(null);
  /** Why what the maker said cannot be, in words; null when it can. */
  readonly problem = signal<string | null>(null);

  forget(): void {
    this.at.set(null);
    this.problem.set(null);
  }
}
