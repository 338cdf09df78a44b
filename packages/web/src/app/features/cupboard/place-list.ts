import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import type { PlaceDto } from '@trug/contract/plain';
import { USUAL_PLACES } from '@trug/core/ferment/forecast/place-curve';
import { createDraft } from '../../writing/draft';
import { TextField } from '../../shared/field/text-field';
import { newId } from '../../browser/new-id';
import { isInUse } from '../../state/in-use';
import { RetiredList } from './retired-list';
import { PlaceYear } from './place-year';
import { placesFeature } from '../../state/resources.reducer';
import { holdToContract } from '../../writing/dto-validator';
import { ResourceWriter } from '../../writing/resource-writer';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';

const EMPTY = { name: '', like: 'shed' };

/** Where vessels stand, each with its usual year, which forecasts look ahead by. */
@Component({
  selector: 'trug-place-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, PlaceYear, RetiredList, TextField, SelectField, Refusal],
  templateUrl: './place-list.html',
  styleUrl: './instrument-list.scss',
})
export class PlaceList {
  private readonly writer = inject(ResourceWriter);
  private readonly stored = inject(Store).selectSignal(placesFeature.selectAll);
  protected readonly places = computed(() => this.stored().filter(isInUse));
  protected readonly retired = computed(() => this.stored().filter((p) => !isInUse(p)));
  protected readonly adding = signal(false);
  protected readonly usual = USUAL_PLACES;
  protected readonly draft = createDraft('place', EMPTY);
  protected readonly refusal = signal<string | null>(null);
  private readonly like = computed(() => USUAL_PLACES.find((p) => p.id === this.draft.fields().like) ?? USUAL_PLACES[0]);

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.PlaceDto,
      read: ({ name }) => ({ name: name.trim() }),
      typedInto: { name: 'name' },
    });
  }

  protected async add(): Promise<void> {
    const typed = this.draft.fields();
    const name = typed.name.trim();
    const like = this.like();
    const wrong = this.draft.wrong();
    if (name === '' || !like || wrong !== null) {
      this.refusal.set(wrong ?? 'Give it the name you move batches to, such as the shed.');
      return;
    }
    const place: PlaceDto = { id: newId(), version: 0, name, monthlyC: [...like.monthlyC] };
    const { refused } = await this.writer.save({ of: 'places', resource: place }, `${name} is among your places.`);
    this.refusal.set(refused);
    if (refused === null) this.draft.clear(typed, EMPTY);
  }

  protected async useAgain(id: string): Promise<void> {
    const own = this.retired().find((p) => p.id === id);
    if (own) await this.writer.save({ of: 'places', resource: Object.assign({}, own, { retiredOn: null }) }, `${own.name} is in use again.`);
  }
}
