import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { ActHead } from '../../shared/act-head/act-head';
import { injectBatchView } from '../../state/batch-of-page';
import { createBatchDraft } from '../../writing/draft';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { CautionList } from '../../shared/caution/caution-list';
import { Units } from '../../units/units';
import { placeTempAt } from '@trug/core/ferment/forecast/place-curve';
import { caution } from '@trug/core/base/cautions/catalogue';
import { Store } from '@ngrx/store';
import { isInUse } from '../../state/in-use';
import { placesFeature } from '../../state/resources.reducer';
import { OfferedLine } from '../../shared/field/offered-line';
import { SelectField } from '../../shared/field/select-field';
import { holdToContract } from '../../writing/dto-validator';
import { LogWriter } from '../../writing/log-writer';
import { Refusal } from '../../shared/refusal/refusal';

/** What is no crate. */
const DRINK = 'drink';

/** Where it stands now, and how warm it is there. */
@Component({
  selector: 'trug-move-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActHead, ReactiveFormsModule, RouterLink, QuantityField, CautionList, OfferedLine, Refusal, SelectField],
  template: `
    @if (view(); as v) {
      <form class="page" (ngSubmit)="file()" [formGroup]="draft.form">
        <trug-act-head [view]="v" [dated]="true" act="Move it" [says]="v.verdict?.value?.next?.text ?? ''" />
        <div class="sheet">
          @if (whats().length > 1) {
            <trug-select label="What was carried" name="what" formControlName="what" [usual]="what()" [options]="whats()" />
          }
          <trug-offered label="Where to" name="place" placeholder="the kitchen corner" formControlName="place" [offers]="placeNames()" />
          <trug-quantity
            label="How warm is it there"
            name="temp"
            dimension="temperature"
            [placeholder]="units.example('temperature', 17)"
            formControlName="temp"
          />
          <trug-cautions [cautions]="cautions" />
          <trug-refusal [why]="refusal()" />
          <div class="acts">
            <button class="btn btn-main" type="submit">Write it down</button>
            <a class="link" [routerLink]="['/batch', v.batch.id]">Not yet</a>
          </div>
        </div>
      </form>
    }
  `,
})
export class MovePage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  private readonly places = inject(Store).selectSignal(placesFeature.selectAll);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('move', { what: '', place: '', temp: '' });
  /** The crate that was pressed for, where one was. */
  readonly crate = input<string>();
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  protected readonly cautions = [caution('lift-glass')];

  protected readonly placeNames = computed(() =>
    this.places()
      .filter(isInUse)
      .map((p) => p.name),
  );

  /** The drink in its vessels, and every crate that holds something. */
  protected readonly whats = computed(() => {
    const state = this.view()?.state;
    const crates = (state?.crates ?? []).filter((crate) => crate.lots.some((lot) => lot.left > 0));
    return [
      ...(state?.liquid ? [{ id: DRINK, name: 'what stands in its vessels' }] : []),
      ...crates.map((crate) => ({ id: crate.id, name: `the crate ${crate.name}, ${crate.capColour} caps` })),
    ];
  });
  protected readonly what = computed(() => {
    const whats = this.whats();
    return (whats.find((w) => w.id === this.fields().what) ?? whats.find((w) => w.id === this.crate()) ?? whats[0])?.id ?? DRINK;
  });

  constructor() {
    holdToContract(this.draft, {
      rules: (contract) => contract.PAYLOAD_DTOS.moved,
      read: ({ place, temp }) => ({ place, tempC: numberIn(readQuantity(this.units, temp, 'temperature')) }),
      typedInto: { place: 'place', tempC: 'temp' },
    });
    this.draft.form.controls.place.valueChanges.subscribe((place) => this.knownAt(place));
  }

  /** A place with a usual year says how warm it should be there now. */
  private knownAt(place: string): void {
    const known = this.places().find((p) => p.name === place);
    if (known) this.draft.set('temp', this.units.temperature(Math.round(placeTempAt(known.monthlyC, this.writer.now()))));
  }

  protected async file(): Promise<void> {
    const view = this.view();
    const { place, temp } = this.fields();
    const read = readQuantity(this.units, temp, 'temperature');
    if (!view || place.trim() === '' || read?.ok !== true) {
      this.refusal.set('Say where it stands now, and how warm it is there.');
      return;
    }
    this.refusal.set(
      await this.writer.write(
        view,
        [{ kind: 'moved', payload: { place, tempC: read.value.value, ...(this.what() === DRINK ? {} : { crateId: this.what() }) } }],
        `Moved to ${place}.`,
        this.draft,
      ),
    );
  }
}
