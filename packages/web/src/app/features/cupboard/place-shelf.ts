import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import type { PlaceDto } from '@trug/contract/plain';
import { USUAL_PLACES } from '@trug/core/care/place-curve';
import { createDraft } from '../../shared/draft';
import { TextField } from '../../shared/field/text-field';
import { LarderWriter } from '../../shared/larder-writer';
import { newId } from '../../shared/new-id';
import { larderFeature } from '../../state/larder.reducer';
import { PlaceYear } from './place-year';
import { SaidPipe } from '../../shared/units/said.pipe';

const EMPTY = { name: '', like: 'shed' };

/** Where vessels stand, each with its usual year, which forecasts look ahead by. */
@Component({
  selector: 'trug-place-shelf',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, FormsModule, PlaceYear, TextField],
  templateUrl: './place-shelf.html',
  styleUrl: './instrument-shelf.scss',
})
export class PlaceShelf {
  private readonly larder = inject(LarderWriter);
  protected readonly places = inject(Store).selectSignal(larderFeature.selectPlaces);
  protected readonly usual = USUAL_PLACES;
  protected readonly draft = createDraft('place', EMPTY);
  protected readonly refusal = signal<string | null>(null);
  private readonly like = computed(() => USUAL_PLACES.find((p) => p.id === this.draft.fields().like) ?? USUAL_PLACES[0]);

  protected async add(): Promise<void> {
    const typed = this.draft.fields();
    const name = typed.name.trim();
    const like = this.like();
    if (name === '' || !like) {
      this.refusal.set('Give it the name you move batches to, such as the shed.');
      return;
    }
    const place: PlaceDto = { id: newId(), version: 0, name, monthlyC: [...like.monthlyC] };
    const refused = await this.larder.save({ shelf: 'places', card: place });
    this.refusal.set(refused);
    if (refused === null) this.draft.clear(typed, EMPTY);
  }
}
