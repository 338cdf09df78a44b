import { effect, inject, Injectable, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { API_PATHS } from '@trug/contract/plain';
import { windowId } from '../browser/window-id';
import { AppActions } from './app.actions';
import { appFeature } from './app.reducer';
import { BatchPageActions } from './batches.actions';
import { isListName, type ListName } from './lists';

/** What the server says changed. */
interface Changed {
  readonly batches: readonly string[];
  readonly resources: readonly string[];
  readonly by: string | null;
}

/** Changes that come together are fetched together, ms. */
const TOGETHER_MS = 120;
/** A window that was looked away from for less than this is not asked anew, ms. */
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
 * Keeps what a window in view shows as the server has it: told of changes as they happen, and of those it missed when it is looked
 * at again. A window out of view is told nothing, since a browser allows only a few streams.
 */
@Injectable({ providedIn: 'root' })
export class LiveChanges {
  private readonly store = inject(Store);
  private stream: EventSource | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private batches = new Set<string>();
  private resources = new Set<string>();
  private leftAtMs: number | null = null;
  private hasEnded = false;
  /** The last change this window knows of; empty before anything is loaded. */
  private head = '';
  private readonly loaded = this.store.selectSignal(appFeature.selectHead);

  /** Begins to follow from what was loaded, for as long as the window is open; call within an injection context. */
  follow(): void {
    if (typeof EventSource === 'undefined') return;
    effect(() => {
      this.head ||= this.loaded();
      if (this.head !== '') untracked(() => this.look());
    });
    document.addEventListener('visibilitychange', () => this.look());
    window.addEventListener('focus', () => this.look());
    window.addEventListener('blur', () => {
      this.leftAtMs ??= Date.now();
    });
  }

  /** Follows no more: the book is about to end. */
  end(): void {
    this.hasEnded = true;
    this.leave();
  }

  private look(): void {
    if (this.head === '' || this.hasEnded) return;
    const wasAway = this.leftAtMs !== null && Date.now() - this.leftAtMs > BRIEF_MS;
    if (document.visibilityState === 'hidden') {
      this.leftAtMs ??= Date.now();
      this.leave();
      return;
    }
    this.leftAtMs = null;
    // A machine that slept may hold a stream that is dead and does not know it.
    if (wasAway) this.leave();
    if (this.stream === null) this.open();
  }

  private leave(): void {
    this.stream?.close();
    this.stream = null;
  }

  /** A stream begins with what was missed; cut off, it comes again by itself and says what it had last. */
  private open(): void {
    const stream = new EventSource(`${API_PATHS.changes}?after=${encodeURIComponent(this.head)}`);
    this.stream = stream;
    stream.addEventListener('change', ({ data, lastEventId }) => {
      this.head = lastEventId;
      const change = readChange(String(data));
      if (change) this.note(change);
    });
  }

  private note({ batches, resources, by }: Changed): void {
    // A batch is fetched even by the window that wrote into it, since others may have written before it.
    for (const id of batches) this.batches.add(id);
    if (by !== windowId()) for (const name of resources) this.resources.add(name);
    if (this.batches.size + this.resources.size === 0) return;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.fetch(), TOGETHER_MS);
  }

  private fetch(): void {
    const [batchIds, names] = [[...this.batches], [...this.resources]];
    this.batches = new Set();
    this.resources = new Set();
    const lists = names.filter((name): name is ListName => isListName(name));
    if (lists.length < names.length) {
      this.store.dispatch(AppActions.reloadAsked());
      return;
    }
    if (lists.length > 0) this.store.dispatch(AppActions.listsChangedElsewhere({ lists }));
    if (batchIds.length > 0) this.store.dispatch(BatchPageActions.changedElsewhere({ batchIds }));
  }
}
