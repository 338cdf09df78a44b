import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, output, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import type { DeviceReading, Forecast } from '@trug/core';
import { feedOf, usualFeedG, type WeighedFeed } from '@trug/core/juice/adjust/feed';
import { NUTRIENTS } from '@trug/core/juice/adjust/nutrient-plan';
import { attempt } from '@trug/core/base/errors/attempt';
import { isAtRest, type FermentStatus } from '@trug/core/ferment/verdict/verdict';
import { forecastWords } from '@trug/core/ferment/forecast/forecast-words';
import { fermentedShare } from '@trug/core/matter/liquid/views';
import { forecastInputOf, pastFermentOf, type WhatIf } from '@trug/core/book/outlook/forecast-of';
import { QuantityField, readQuantity } from '../../../shared/field/quantity-field';
import { Units } from '../../../units/units';
import { Working } from '../../../shared/working/working';
import { selectBatchViews, type BatchView } from '../../../state/batch-views.selectors';
import { selectSuppliesLeft } from '../../../state/supplies.selectors';
import { ForecastRunner } from './forecast-runner';
import { SaidPipe } from '../../../units/said.pipe';
import { placesFeature } from '../../../state/resources.reducer';
import { ReactiveFormsModule } from '@angular/forms';
import { MatProgressBar } from '@angular/material/progress-bar';
import { controlOf } from '../../../shared/field/control-of';
import { SelectField } from '../../../shared/field/select-field';

/** The latest batches a pace is learned from. */
const PAST_BATCHES = 4;

/** Two inputs that say the same are the same, though a tick of the clock made one anew. */
const sameInput = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What lies ahead of a working batch, with how sure, and what a change would do. */
@Component({
  selector: 'trug-ahead',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, QuantityField, Working, SelectField, ReactiveFormsModule, MatProgressBar],
  providers: [ForecastRunner],
  templateUrl: './ahead.html',
  styleUrl: './ahead.scss',
})
export class Ahead {
  private readonly units = inject(Units);
  private readonly runner = inject(ForecastRunner);
  private readonly views = inject(Store).selectSignal(selectBatchViews);
  private readonly supplies = inject(Store).selectSignal(selectSuppliesLeft);
  private readonly places = inject(Store).selectSignal(placesFeature.selectAll);
  readonly view = input.required<BatchView>();
  readonly now = input.required<string>();
  /** What a device says besides the readings off glass; null while nobody knows yet, and then nothing is asked that would be asked again. */
  readonly device = input<readonly DeviceReading[] | null>([]);
  /** The forecast as it stands, for the curve. */
  readonly found = output<Forecast | null>();
  protected readonly temp = signal('');
  /** The nutrient it would be fed; empty for none. */
  protected readonly food = signal('');
  protected readonly foodMass = signal('');
  protected readonly tempControl = controlOf(this.temp);
  protected readonly foodControl = controlOf(this.food);
  protected readonly foodMassControl = controlOf(this.foodMass);
  protected readonly progress = computed(() => (this.device() === null ? 0 : this.runner.progress()));
  protected readonly refusal = this.runner.refusal;
  protected readonly place = computed(() => {
    const { placeC } = this.view().state;
    return placeC === null ? '14 C' : this.units.temperature(placeC);
  });
  /** What is in the cupboard comes first. */
  protected readonly foods = computed(() => {
    const inHand = new Set(this.supplies().flatMap((s) => (s.left > 0 ? [s.refId] : [])));
    return [
      ...NUTRIENTS.filter((n) => inHand.has(n.id)).map(({ id, name }) => ({ id, name, group: 'in the cupboard' })),
      ...NUTRIENTS.filter((n) => !inHand.has(n.id)).map(({ id, name }) => ({ id, name, group: 'to be had' })),
    ];
  });
  private readonly volumeL = computed(() => this.view().state.liquid?.volumeL ?? 0);
  private readonly usualFeedG = computed(() => {
    const usual = attempt(() => usualFeedG(this.food(), this.volumeL()));
    return usual.ok ? usual.value : null;
  });
  protected readonly usualFeed = computed(() => this.units.mass(this.usualFeedG() ?? 0));
  protected readonly feed = computed((): WeighedFeed | null => {
    if (this.food() === '') return null;
    const read = readQuantity(this.units, this.foodMass(), 'mass');
    const massG = read === null ? this.usualFeedG() : read.ok ? read.value.value : null;
    if (massG === null) return null;
    const { must, liquid } = this.view().state;
    const fermentedFraction = must && liquid ? fermentedShare(liquid, must) : 0;
    const fed = attempt(() => feedOf({ productId: this.food(), massG, volumeL: this.volumeL(), fermentedFraction }));
    return fed.ok ? fed.value : null;
  });
  private readonly whatIf = computed((): WhatIf | null => {
    const read = readQuantity(this.units, this.temp(), 'temperature');
    const tempC = read?.ok === true && read.value.value >= -10 && read.value.value <= 60 ? read.value.value : undefined;
    const feedMgNPerL = this.feed()?.mgNPerL;
    return tempC === undefined && feedMgNPerL === undefined ? null : { tempC, feedMgNPerL };
  });
  /** What devices say, and the usual year of the place it stands in. */
  private readonly also = computed(() => ({
    device: this.device() ?? [],
    placeMonthlyC: this.places().find((p) => p.name === this.view().state.place)?.monthlyC,
  }));
  /** Today to the hour: a forecast is not run anew because a minute went by. */
  private readonly hour = computed(() => `${this.now().slice(0, 13)}:00:00.000Z`);
  private readonly asIs = computed(
    () => {
      const { state, verdict } = this.view();
      return verdict && isAtRest(verdict.value.status) ? null : forecastInputOf(state, this.hour(), {}, this.also());
    },
    { equal: sameInput },
  );
  /** Whether there is anything to forecast. */
  protected readonly applies = computed(() => this.asIs() !== null);
  private readonly past = computed(
    () => {
      const { batch, state } = this.view();
      return this.views()
        .filter(
          (v) => v.batch.id !== batch.id && v.state.yeastId === state.yeastId && (v.state.crates.length > 0 || isAtRest(v.verdict?.value.status ?? 'working')),
        )
        .flatMap((v) => pastFermentOf(v.state) ?? [])
        .slice(0, PAST_BATCHES);
    },
    { equal: sameInput },
  );
  protected readonly words = computed(() => this.wordsOf(this.runner.answer()?.asIs.value, this.view().verdict?.value.status ?? null));
  protected readonly tried = computed(() => (this.whatIf() === null ? null : this.wordsOf(this.runner.answer()?.whatIf?.value, null)));
  protected readonly steps = computed(() => this.runner.answer()?.asIs.steps ?? []);

  constructor() {
    effect(() => {
      const asIs = this.asIs();
      const whatIf = this.whatIf();
      if (asIs === null) {
        this.runner.stop();
        this.runner.answer.set(null);
      } else if (this.device() !== null)
        this.runner.start({ asIs, whatIf: whatIf && forecastInputOf(this.view().state, this.hour(), whatIf, this.also()), past: this.past() });
    });
    effect(() => this.found.emit(this.runner.answer()?.asIs.value ?? null));
    inject(DestroyRef).onDestroy(() => this.runner.stop());
  }

  protected cancel(): void {
    this.runner.stop();
  }

  /** What is tried may set going what stands still, so only what is as it is heeds the verdict. */
  private wordsOf(found: Forecast | undefined, status: FermentStatus | null): ReturnType<typeof forecastWords> | null {
    const { pitch, zone } = this.view().state;
    return found && pitch ? forecastWords(found, { pitchedAt: pitch.at, today: this.hour(), zone, status: status ?? undefined }) : null;
  }
}
