import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, type Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatSnackBar } from '@angular/material/snack-bar';
import { provideRouter } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideStore, Store } from '@ngrx/store';
import { DEFAULT_SETTINGS, type BatchDto } from '@trug/contract/plain';
import { Subject } from 'rxjs';
import { AppActions } from '../app/state/app.actions';
import { appEffects } from '../app/state/app.effects';
import { batchesEffects } from '../app/state/batches.effects';
import { provideTrugState } from '../app/state/provide-state';
import { resourcesEffects } from '../app/state/resources.effects';
import { vesselsEffects } from '../app/state/vessels.effects';
import { settingsEffects } from '../app/writing/settings.effects';
import { filled, sampleBatch } from './sample-batch';
import { until } from './until';

/** A problem as the server tells it, to be filled in. */
export const PROBLEM = { type: 'about:blank', title: 'No' };

/** A writer before a server that answers as it is told, with no page around it. */
export class WriterHarness<W> {
  readonly http = TestBed.inject(HttpTestingController);
  readonly store = TestBed.inject(Store);
  readonly writer: W;

  private constructor(
    type: Type<W>,
    /** What was said to the maker: the words, the button, the rest. */
    readonly said: jest.Mock,
    private readonly newest: { undo: Subject<void> },
  ) {
    this.writer = TestBed.inject(type);
  }

  /** A writer with nothing kept by the browser and nothing loaded. */
  static of<W>(type: Type<W>): WriterHarness<W> {
    localStorage.clear();
    const newest = { undo: new Subject<void>() };
    const said = jest.fn(() => {
      newest.undo = new Subject<void>();
      const own = newest.undo;
      return { onAction: () => own };
    });
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideHttpClient(),
        provideHttpClientTesting(),
        provideRouter([{ path: '**', children: [] }]),
        provideStore(),
        ...provideTrugState(),
        provideEffects(appEffects, batchesEffects, vesselsEffects, resourcesEffects, settingsEffects),
        { provide: MatSnackBar, useValue: { open: said } },
      ],
    });
    return new WriterHarness(type, said, newest);
  }

  /** Presses *Undo* on the newest message; each message has one of its own. */
  undo(): void {
    this.newest.undo.next();
  }

  /** Answers the next request to a path, once it is there, and tells what was sent. */
  async answered(method: string, path: string, answer: object | null, status = 200): Promise<unknown> {
    let body: unknown;
    await until(() =>
      this.http
        .match((request) => request.method === method && request.url === path)
        .some((sent) => {
          body = sent.request.body;
          sent.flush(answer, { status, statusText: 'as told' });
          return true;
        }),
    );
    return body;
  }

  /** The app has opened on a server with one batch and nothing else. */
  opened(batch: BatchDto = sampleBatch([filled()])): void {
    this.store.dispatch(AppActions.opened());
    const lists = { vessels: [], juices: [], supplies: [], instruments: [], places: [], recipes: [] };
    const clock = { now: '2026-11-23T10:00:00.000Z', fixed: true, mode: 'open', head: 'run.0', home: null };
    this.http.expectOne('/api/start').flush({ ...clock, ...lists, batches: [batch], settings: DEFAULT_SETTINGS });
  }
}
