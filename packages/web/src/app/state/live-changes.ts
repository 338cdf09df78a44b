import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import { API_PATHS } from '@trug/contract/plain';
import { AppActions } from './app.actions';
import { BatchPageActions } from './batches.actions';
import { windowId } from '../browser/window-id';

/** What the server says changed. */
interface Changed {
  readonly batches: readonly string[];
  readonly resources: readonly string[];
  readonly by: string | null;
}

/** Changes that come together are fetched together, ms. */
const TOGETHER_MS = 120;
/** A window that was looked away from for less than this is not fetched anew, ms. */
const BRIEF_MS = 2000;

function readChange(data: string): Changed | null {
  try {
    const said: unknown = JSON.parse(data);
    if (typeof said !== 'object' || said === null) return null;
    const list = (name: string): readonly string[] => {
      const value: unknown = Object.entries(said).find(([key]) => key === name)?.[1];
      return Array.isArray(value) ? value.map(String) : [];
    };
    return { batches: list('batches'), resources: list('resources'), by: 'by' in said && typeof said.by === 'string' ? said.by : null };
  } catch {
    return null;
  }
}

/**
 * Keeps what a window in view shows as the server has it: told of changes as they happen, and fetched anew when the
 * window is looked at again. A window out of view is told nothing, since a browser allows only a few streams.
 */
@Injectable({ providedIn: 'root' })
export class LiveChanges {
  private readonly store = inject(Store);
  private stream: EventSource | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private batches = new Set<string>();
  private everything = false;
  private leftAtMs: number | null = null;
  private greeted = false;

  /** Begins to follow, for as long as the window is open. */
  follow(): void {
    if (typeof EventSource === 'undefined') return;
    document.addEventListener('visibilitychange', () => this.look());
    window.addEventListener('focus', () => this.look());
    window.addEventListener('blur', () => {
      this.leftAtMs ??= Date.now();
    });
    this.look();
  }

  private look(): void {
    if (document.visibilityState === 'hidden') {
      this.leftAtMs ??= Date.now();
      this.stream?.close();
      this.stream = null;
      return;
    }
    const missed = this.stream === null && this.greeted;
    if (missed || (this.leftAtMs !== null && Date.now() - this.leftAtMs > BRIEF_MS)) this.fetchAll();
    this.leftAtMs = null;
    if (this.stream === null) this.open();
  }

  private open(): void {
    const stream = new EventSource(API_PATHS.changes);
    this.stream = stream;
    let again = false;
    // A stream that was cut greets again once it is back: whatever happened in between was missed.
    stream.addEventListener('hello', () => {
      if (again) this.fetchAll();
      again = true;
      this.greeted = true;
    });
    stream.addEventListener('change', ({ data }) => {
      const change = readChange(String(data));
      if (change) this.note(change);
    });
  }

  private note({ batches, resources, by }: Changed): void {
    // A batch's log is fetched even by the window that wrote into it, since others may have written before it.
    for (const id of batches) this.batches.add(id);
    if (resources.length > 0 && by !== windowId()) this.everything = true;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      if (this.everything) this.fetchAll();
      else if (this.batches.size > 0) this.store.dispatch(BatchPageActions.changedElsewhere({ batchIds: [...this.batches] }));
      this.batches = new Set();
    }, TOGETHER_MS);
  }

  private fetchAll(): void {
    this.everything = false;
    this.store.dispatch(AppActions.reloadAsked());
  }
}
