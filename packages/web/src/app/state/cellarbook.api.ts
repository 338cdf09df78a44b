import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import {
  API_PATHS,
  type BatchDto,
  type BatchWithLog,
  type CellarMode,
  type InstrumentDto,
  type PlaceDto,
  type StoredJuice,
  type Problem,
  type SupplyDto,
  type VersionedSettings,
  type VesselDto,
} from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { forkJoin, map, type Observable } from 'rxjs';
import type { BatchDraft } from './batches.actions';
import type { Cellarbook } from './cellarbook.actions';
import type { Card, Pour, Shelved } from './larder.actions';

/** What is said when the server cannot be reached. */
export const NO_ANSWER = 'Trug’s server did not answer. What you typed is still here: start Trug again and send it once more.';

/** A refusal, or the lack of an answer, as a problem document. */
export function problemOf(error: unknown): Problem {
  if (error instanceof HttpErrorResponse) {
    const body: unknown = error.error;
    if (typeof body === 'object' && body !== null && 'detail' in body && typeof body.detail === 'string') return body as Problem;
  }
  return {
    type: 'about:blank',
    title: 'Trug did not answer',
    status: 0,
    code: 'unreachable',
    detail: NO_ANSWER,
  };
}

/** The server as the store sees it. */
@Injectable({ providedIn: 'root' })
export class CellarbookApi {
  private readonly http = inject(HttpClient);

  load(): Observable<Cellarbook> {
    return forkJoin({
      clock: this.http.get<{ readonly now: string; readonly mode: CellarMode }>(API_PATHS.clock),
      batches: this.http.get<readonly BatchDto[]>(API_PATHS.batches),
      vessels: this.http.get<readonly VesselDto[]>(API_PATHS.vessels),
      settings: this.http.get<VersionedSettings>(API_PATHS.settings),
      juices: this.http.get<readonly StoredJuice[]>(API_PATHS.juices),
      supplies: this.http.get<readonly SupplyDto[]>(API_PATHS.supplies),
      instruments: this.http.get<readonly InstrumentDto[]>(API_PATHS.instruments),
      places: this.http.get<readonly PlaceDto[]>(API_PATHS.places),
    }).pipe(map(({ clock, ...rest }) => ({ now: clock.now, mode: clock.mode, loadedAtMs: Date.now(), ...rest })));
  }

  batch(id: string): Observable<BatchWithLog> {
    return this.http.get<BatchWithLog>(`${API_PATHS.batches}/${id}`);
  }

  fileEntries(entries: readonly Entry[]): Observable<unknown> {
    return this.http.post(API_PATHS.entries, { entries });
  }

  beginBatch({ batch, entries }: BatchDraft): Observable<BatchDto> {
    return this.http.post<BatchDto>(API_PATHS.batches, { ...batch, entries });
  }

  addVessel(vessel: VesselDto): Observable<VesselDto> {
    return this.http.post<VesselDto>(API_PATHS.vessels, vessel);
  }

  cleanVessel(vesselId: string, at: string): Observable<VesselDto> {
    return this.http.post<VesselDto>(`${API_PATHS.vessels}/${vesselId}/cleaned`, { at });
  }

  /** A card never stored has version 0 and is filed; any other is changed on the version it was read at. */
  saveCard({ shelf, card }: Shelved): Observable<Card> {
    const path = API_PATHS[shelf];
    return card.version === 0 ? this.http.post<Card>(path, card) : this.http.put<Card>(`${path}/${card.id}`, card);
  }

  pour(pour: Pour): Observable<{ readonly batches: readonly BatchDto[] }> {
    return this.http.post<{ readonly batches: readonly BatchDto[] }>(API_PATHS.families, pour);
  }

  saveSettings(settings: VersionedSettings): Observable<VersionedSettings> {
    return this.http.put<VersionedSettings>(API_PATHS.settings, settings);
  }
}
