import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { API_PATHS, type BatchDto, type BatchWithLog, type Problem, type StartAnswer, type VersionedSettings, type VesselDto } from '@trug/contract/plain';
import { forkJoin, map, type Observable } from 'rxjs';
import { fetchFold } from './lazy-fold';
import type { Lists, Snapshot } from './app.actions';
import type { ListName } from './lists';
import type { Filing } from './batches.actions';
import type { Named, Resource } from './resources.actions';
import type { VesselWrite } from './vessels.actions';

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

/** What a maker may change about a vessel. */
const vesselFacts = ({ name, kind, capacityL, retiredOn = null }: VesselDto) => ({ name, kind, capacityL, retiredOn });

/** The server as the store sees it. */
@Injectable({ providedIn: 'root' })
export class TrugApi {
  private readonly http = inject(HttpClient);

  load(): Observable<Snapshot> {
    return this.http.get<StartAnswer>(API_PATHS.start).pipe(map((answer) => ({ ...answer, loadedAtMs: Date.now() })));
  }

  /** Some of the lists as they are now. */
  lists(names: readonly ListName[]): Observable<Partial<Lists>> {
    return forkJoin(Object.fromEntries(names.map((name) => [name, this.http.get(API_PATHS[name])])));
  }

  /** Some batches with what their logs tell, and without the logs. */
  summaries(ids: readonly string[]): Observable<readonly BatchDto[]> {
    return this.http.get<readonly BatchDto[]>(API_PATHS.batches, { params: { ids: ids.join(',') } });
  }

  /** Some batches with their logs, and with them what folds logs. */
  logs(ids: readonly string[]): Observable<readonly BatchWithLog[]> {
    const answer = this.http.get<readonly BatchWithLog[]>(API_PATHS.batches, { params: { with: 'logs', ids: ids.join(',') } });
    return forkJoin([answer, fetchFold()]).pipe(map(([batches]) => batches));
  }

  /** Files entries, with the batches that begin with them or the several they are about; gives what was begun or touched together. */
  file({ batches, entries }: Filing): Observable<readonly BatchDto[]> {
    const isOneLog = batches.length === 0 && new Set(entries.map((e) => e.batchId)).size === 1;
    if (isOneLog) return this.http.post(API_PATHS.entries, { entries }).pipe(map(() => []));
    const answer = this.http.post<{ readonly batches: readonly BatchDto[] }>(API_PATHS.batches, { batches, entries });
    return forkJoin([answer, fetchFold()]).pipe(map(([stored]) => stored.batches));
  }

  /** Does something with a vessel; null when it is gone afterwards. */
  vessel(sent: VesselWrite): Observable<VesselDto | null> {
    const { id, cleanedAt = null } = sent.vessel;
    const path = `${API_PATHS.vessels}/${id}`;
    switch (sent.act) {
      case 'add':
        return this.http.post<VesselDto>(API_PATHS.vessels, sent.vessel);
      case 'change':
        return this.http.put<VesselDto>(path, { ...vesselFacts(sent.vessel), was: vesselFacts(sent.was) });
      case 'remove':
        return this.http.delete(path).pipe(map(() => null));
      case 'clean':
        return this.http.post<VesselDto>(`${path}/cleaned`, { at: sent.at });
      case 'unclean':
        return this.http.put<VesselDto>(`${path}/cleaned`, { at: cleanedAt, was: sent.at });
    }
  }

  /** A resource never stored has version 0 and is filed; any other is changed on the version it was read at. */
  save({ of, resource }: Named): Observable<Resource> {
    const path = API_PATHS[of];
    return resource.version === 0 ? this.http.post<Resource>(path, resource) : this.http.put<Resource>(`${path}/${resource.id}`, resource);
  }

  remove({ of, resource }: Named): Observable<unknown> {
    return this.http.delete(`${API_PATHS[of]}/${resource.id}`, { params: { version: resource.version } });
  }

  /** Makes a season to look around in and gives where it answers; unsubscribing stops it. */
  openSeason(): Observable<string> {
    return this.http.post<{ readonly url: string }>(API_PATHS.season, null).pipe(map(({ url }) => url));
  }

  /** Throws the season away that this is. */
  leaveSeason(): Observable<string> {
    return this.http.delete<{ readonly home: string }>(API_PATHS.season).pipe(map(({ home }) => home));
  }

  saveSettings(settings: VersionedSettings): Observable<VersionedSettings> {
    return this.http.put<VersionedSettings>(API_PATHS.settings, settings);
  }
}
