import { inject, Injectable } from '@angular/core';
import { Actions, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import type { Problem, VesselDto } from '@trug/contract/plain';
import { filter, firstValueFrom } from 'rxjs';
import { NO_ANSWER } from '../state/cellarbook.api';
import { CellarbookApiActions, CupboardPageActions } from '../state/cellarbook.actions';
import { LarderApiActions, LarderPageActions, type Pour, type Shelf, type Shelved } from '../state/larder.actions';
import { Clock } from './clock';
import { newId } from './new-id';
import { isAnswered, Outbox, type Sending } from './outbox/outbox';
import { TwoVersions } from './two-versions/two-versions';

const DTO_OF = { juices: 'JuiceDto', supplies: 'SupplyDto', places: 'PlaceDto', instruments: 'InstrumentDto' } as const satisfies Record<Shelf, string>;

/** What became of something that was sent: why it was refused, and how it was sent. */
export interface Sent<B> {
  readonly refused: string | null;
  /** May carry the ids of an earlier try that was not answered. */
  readonly body: B;
}

/** Files cards and pours, each once, and waits for the server's answer, so that a refusal finds the form as it was. */
@Injectable({ providedIn: 'root' })
export class LarderWriter {
  private readonly actions = inject(Actions);
  private readonly store = inject(Store);
  private readonly outbox = inject(Outbox);
  private readonly versions = inject(TwoVersions);
  private readonly clock = inject(Clock);

  /** @returns why the card cannot be filed; null once the server has it */
  async save(sent: Shelved, says?: unknown): Promise<string | null> {
    return (await this.saveAs(sent, says)).refused;
  }

  /** Files a card, and tells under which id. What the maker said is the form's fields, where the card says more. */
  async saveAs(card: Shelved, says?: unknown): Promise<Sent<Shelved>> {
    const refused = await refusedByContract(card);
    if (refused !== null) return { refused, body: card };
    const isNew = card.card.version === 0;
    const key = `${card.shelf}:${isNew ? 'new' : card.card.id}`;
    const { answer, body } = await this.ask({ key, body: card, freshIds: isNew ? [card.card.id] : [], now: this.clock.now(), says }, (sent) => ({
      action: LarderPageActions.cardSaved({ sent }),
      answers: [LarderApiActions.cardStored.type, LarderApiActions.cardRefused.type],
    }));
    if (answer?.code !== 'conflict' || answer.current === undefined) return { refused: answer?.detail ?? null, body };
    // Another window was quicker, or an earlier try had arrived after all: both are shown, and the maker chooses or joins.
    const joined = await this.versions.ofCard(body, answer.current);
    if (joined === null) return { refused: answer.detail, body };
    this.outbox.settle(key);
    return this.saveAs(joined);
  }

  /** Puts a vessel in the cupboard, and tells under which id. */
  async addVessel(vessel: VesselDto): Promise<Sent<VesselDto>> {
    const key = 'vessels:new';
    const { answer, body } = await this.outbox.send(
      { key, body: vessel, freshIds: [vessel.id], now: this.clock.now(), aside: true },
      async (sent) => {
        const answered = firstValueFrom(
          this.actions.pipe(
            ofType(CellarbookApiActions.vesselStored, CellarbookApiActions.vesselRefused),
            filter((action) => action.vessel.id === sent.id),
          ),
        );
        this.store.dispatch(CupboardPageActions.vesselAdded({ vessel: sent }));
        const action = await answered;
        return 'problem' in action ? action.problem : null;
      },
      isAnswered,
    );
    if (answer?.code !== 'conflict') return { refused: answer?.detail ?? null, body };
    // An earlier try had arrived, and was changed since: this is another vessel.
    this.outbox.settle(key);
    return this.addVessel({ ...vessel, id: newId() });
  }

  /** @returns why nothing was poured; null once the server has all of it */
  async pour(pour: Pour, says?: unknown): Promise<string | null> {
    return (await this.pourAs(pour, says)).refused;
  }

  /** Pours, and tells under which ids. */
  async pourAs(pour: Pour, says?: unknown): Promise<Sent<Pour>> {
    const begun = new Set(pour.batches.map((b) => b.id));
    const from = [...new Set(pour.entries.map((e) => e.batchId).filter((id) => !begun.has(id)))];
    const key = `pour:${from.join('+')}`;
    const freshIds = [...begun, ...pour.entries.map((e) => e.id)];
    const { answer, body } = await this.ask({ key, body: pour, freshIds, now: this.clock.now(), says }, (sent) => ({
      action: LarderPageActions.pourMade({ pour: sent }),
      answers: [LarderApiActions.pourStored.type, LarderApiActions.pourRefused.type],
    }));
    if (answer?.code !== 'conflict') return { refused: answer?.detail ?? null, body };
    // An earlier try had arrived, and was changed since: what is on the bench now is another pour.
    this.outbox.settle(key);
    return { refused: `${answer.detail}. What you sent first was filed after all: look on the shelf before you pour again.`, body };
  }

  private ask<B extends object>(
    sending: Sending<B>,
    with_: (sent: B) => { readonly action: Action; readonly answers: readonly string[] },
  ): Promise<{ readonly answer: Problem | null; readonly body: B }> {
    return this.outbox.send(
      sending,
      async (sent) => {
        const { action, answers } = with_(sent);
        const answer = firstValueFrom(
          this.actions.pipe(
            ofType(...answers),
            filter((a: Action & { readonly sent?: unknown }) => a.sent === sent),
          ),
        );
        this.store.dispatch(action);
        const answered: Action & { readonly problem?: Problem } = await answer;
        return answered.problem ?? null;
      },
      isAnswered,
    );
  }
}

async function refusedByContract({ shelf, card }: Shelved): Promise<string | null> {
  const contract = await import('@trug/contract').catch(() => null);
  if (contract === null) return NO_ANSWER;
  const check = contract.checkDto<object>(contract[DTO_OF[shelf]], card);
  return check.ok ? null : check.fields.map((f) => `${f.path}: ${f.message}`).join('. ');
}
