import { inject, Injectable } from '@angular/core';
import { Actions, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import type { Problem } from '@trug/contract/plain';
import { filter, firstValueFrom } from 'rxjs';
import { NO_ANSWER } from '../state/cellarbook.api';
import { LarderApiActions, LarderPageActions, type Pour, type Shelf, type Shelved } from '../state/larder.actions';

const DTO_OF = { juices: 'JuiceDto', supplies: 'SupplyDto', places: 'PlaceDto', instruments: 'InstrumentDto' } as const satisfies Record<Shelf, string>;

/** Files cards and pours, and waits for the server's answer, so that a refusal finds the form as it was. */
@Injectable({ providedIn: 'root' })
export class LarderWriter {
  private readonly actions = inject(Actions);
  private readonly store = inject(Store);

  /** @returns why the card cannot be filed; null once the server has it */
  async save(sent: Shelved): Promise<string | null> {
    const refused = await refusedByContract(sent);
    if (refused !== null) return refused;
    return this.ask(LarderPageActions.cardSaved({ sent }), sent, [LarderApiActions.cardStored.type, LarderApiActions.cardRefused.type]);
  }

  /** @returns why nothing was poured; null once the server has all of it */
  async pour(pour: Pour): Promise<string | null> {
    return this.ask(LarderPageActions.pourMade({ pour }), pour, [LarderApiActions.pourStored.type, LarderApiActions.pourRefused.type]);
  }

  private async ask(action: Action, sent: object, answers: readonly string[]): Promise<string | null> {
    const answer = firstValueFrom(
      this.actions.pipe(
        ofType(...answers),
        filter((a: Action & { readonly sent?: unknown }) => a.sent === sent),
      ),
    );
    this.store.dispatch(action);
    const answered: Action & { readonly problem?: Problem } = await answer;
    return answered.problem?.detail ?? null;
  }
}

async function refusedByContract({ shelf, card }: Shelved): Promise<string | null> {
  const contract = await import('@trug/contract').catch(() => null);
  if (contract === null) return NO_ANSWER;
  const check = contract.checkDto<object>(contract[DTO_OF[shelf]], card);
  return check.ok ? null : check.fields.map((f) => `${f.path}: ${f.message}`).join('. ');
}
