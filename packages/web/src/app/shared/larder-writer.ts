import { inject, Injectable } from '@angular/core';
import { Actions, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import type { InstrumentDto, PlaceDto, StoredJuice, Problem, SupplyDto } from '@trug/contract/plain';
import { filter, firstValueFrom } from 'rxjs';
import { NO_ANSWER } from '../state/cellarbook.api';
import { LarderApiActions, LarderPageActions, type Pour } from '../state/larder.actions';

/** Files juices, supplies and pours, and waits for the server's answer, so that a refusal finds the form as it was. */
@Injectable({ providedIn: 'root' })
export class LarderWriter {
  private readonly actions = inject(Actions);
  private readonly store = inject(Store);

  /** @returns why the juice cannot be filed; null once the server has it */
  async saveJuice(juice: StoredJuice): Promise<string | null> {
    const refused = await this.refusedByContract('JuiceDto', juice);
    if (refused !== null) return refused;
    return this.ask(LarderPageActions.juiceSaved({ juice }), juice, [LarderApiActions.juiceStored.type, LarderApiActions.juiceRefused.type]);
  }

  /** @returns why the supply cannot be filed; null once the server has it */
  async saveSupply(supply: SupplyDto): Promise<string | null> {
    const refused = await this.refusedByContract('SupplyDto', supply);
    if (refused !== null) return refused;
    return this.ask(LarderPageActions.supplySaved({ supply }), supply, [LarderApiActions.supplyStored.type, LarderApiActions.supplyRefused.type]);
  }

  /** @returns why the place cannot be filed; null once the server has it */
  async savePlace(place: PlaceDto): Promise<string | null> {
    const refused = await this.refusedByContract('PlaceDto', place);
    if (refused !== null) return refused;
    return this.ask(LarderPageActions.placeSaved({ place }), place, [LarderApiActions.placeStored.type, LarderApiActions.placeRefused.type]);
  }

  /** @returns why the instrument cannot be filed; null once the server has it */
  async saveInstrument(instrument: InstrumentDto): Promise<string | null> {
    const refused = await this.refusedByContract('InstrumentDto', instrument);
    if (refused !== null) return refused;
    return this.ask(LarderPageActions.instrumentSaved({ instrument }), instrument, [
      LarderApiActions.instrumentStored.type,
      LarderApiActions.instrumentRefused.type,
    ]);
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

  private async refusedByContract(name: 'JuiceDto' | 'SupplyDto' | 'InstrumentDto' | 'PlaceDto', card: object): Promise<string | null> {
    const contract = await import('@trug/contract').catch(() => null);
    if (contract === null) return NO_ANSWER;
    const check = contract.checkDto<object>(contract[name], card);
    return check.ok ? null : check.fields.map((f) => `${f.path}: ${f.message}`).join('. ');
  }
}
