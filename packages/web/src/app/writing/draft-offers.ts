import { Injectable, signal } from '@angular/core';

/** What another window has begun to write on the form that is open here. */
export interface DraftOffer {
  readonly key: string;
  /** When it was last typed in, ms since 1970. */
  readonly atMs: number;
  /** Brings it into this window. */
  readonly takeUp: () => void;
}

/** Drafts of other windows that are offered here. */
@Injectable({ providedIn: 'root' })
export class DraftOffers {
  private readonly made = signal<readonly DraftOffer[]>([]);
  readonly all = this.made.asReadonly();

  make(offer: DraftOffer): void {
    this.made.update((all) => [...all.filter((o) => o.key !== offer.key), offer]);
  }

  withdraw(key: string): void {
    this.made.update((all) => (all.some((o) => o.key === key) ? all.filter((o) => o.key !== key) : all));
  }
}
