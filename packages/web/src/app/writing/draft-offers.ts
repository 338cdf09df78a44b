import { Injectable, signal } from '@angular/core';

/** A draft of the form that is open here, for the maker to say what becomes of it. */
export interface DraftOffer {
  readonly key: string;
  /** Begun in another window and not here, or begun some time ago and in the form now. */
  readonly from: 'window' | 'before';
  /** When it was last typed in, ms since 1970. */
  readonly atMs: number;
  /** Brings another window's into this one, or goes on with one's own. */
  readonly takeUp: () => void;
  /** Leaves the other window's there, or throws one's own away. */
  readonly leave: () => void;
}

/** Drafts that are offered here. */
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
