import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { API_PATHS, type TastingDto, type TastingNow } from '@trug/contract/plain';
import { firstValueFrom, type Observable } from 'rxjs';
import { problemOf } from '../../state/trug-api';

/** How a tasting on phones stands, null where none is open; or why nobody knows. */
export type TastingAnswer = { readonly now: TastingNow | null } | { readonly refused: string };

/** Opens a blind tasting to the phones of the house, and shuts it. */
@Injectable({ providedIn: 'root' })
export class TastingApi {
  private readonly http = inject(HttpClient);

  open(asked: TastingDto): Promise<TastingAnswer> {
    return this.answered(this.http.post<TastingNow>(API_PATHS.tasting, asked));
  }

  now(): Promise<TastingAnswer> {
    return this.answered(this.http.get<TastingNow | null>(API_PATHS.tasting));
  }

  async shut(): Promise<void> {
    await this.answered(this.http.delete<null>(API_PATHS.tasting));
  }

  private answered(call: Observable<TastingNow | null>): Promise<TastingAnswer> {
    return firstValueFrom(call).then(
      (now) => ({ now }),
      (error: unknown) => ({ refused: problemOf(error).detail }),
    );
  }
}
