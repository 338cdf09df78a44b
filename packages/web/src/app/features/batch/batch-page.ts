import { about, isGravityGuessed } from '../../units/about';
import { strengthText } from '../../units/strength-text';
import { Word } from '../../shared/word/word';
import { SaidPipe } from '../../units/said.pipe';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal } from '@angular/core';
import { MatTabsModule } from '@angular/material/tabs';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { Forecast } from '@trug/core';
import { deviceNow } from '@trug/core/book/device/device-now';
import { forDeviceForecast, type DeviceGravity, type DeviceReading, type DeviceSeries, type GrowingGravity } from '@trug/core/book/device/device-tracks';
import { isAtRest } from '@trug/core/ferment/verdict/verdict';
import { phOf } from '@trug/core/matter/liquid/acid-chemistry';
import { likelyEndOn } from '@trug/core/ferment/forecast/forecast-words';
import { fermentableGPerL, gravityOf } from '@trug/core/matter/liquid/views';
import { devicesOf } from '@trug/core/book/outlook/devices-of';
import { figure } from '@trug/core/base/worked/figures';
import type { BatchView } from '../../state/batch-views.selectors';
import { injectBatchView } from '../../state/batch-of-page';
import { DeviceFeed } from '../../shared/device-feed/device-feed';
import { Icon } from '../../shared/icon/icon';
import { Tape } from '../../shared/tape/tape';
import { Units } from '../../units/units';
import { deviceWords } from './device-words';
import { Family } from './family/family';
import { Care } from './care/care';
import { Contents } from './contents/contents';
import { Curve } from './curve/curve';
import { Ahead } from './ahead/ahead';
import { Log } from './log/log';
import { Now } from './now/now';
import { Path } from './path/path';
import { drinkOf } from '@trug/core/book/state/drink-of';
import { pathStops } from '@trug/core/book/plan/path-stops';
import { appFeature } from '../../state/app.reducer';
import { instrumentsFeature } from '../../state/resources.reducer';
import { vesselsFeature } from '../../state/vessels.reducer';

/** What is drawn of devices: whose batch, and what they sent. */
interface DevicesSource {
  readonly view: BatchView | undefined;
  readonly series: readonly DeviceSeries[];
}

/** One batch: its tape and path, Now, the Curve, its log and what is in it. */
@Component({
  selector: 'trug-batch-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Word, SaidPipe, RouterLink, MatTabsModule, Icon, Tape, Path, Care, Now, Curve, Ahead, Log, Contents, Family],
  providers: [DeviceFeed],
  templateUrl: './batch-page.html',
  styleUrl: './batch-page.scss',
})
export class BatchPage {
  private readonly store = inject(Store);
  private readonly units = inject(Units);
  private readonly feed = inject(DeviceFeed);
  private readonly instruments = this.store.selectSignal(instrumentsFeature.selectAll);
  readonly id = input.required<string>();
  protected readonly now = this.store.selectSignal(appFeature.selectNow);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectVesselById);
  protected readonly view = injectBatchView(this.id);
  protected readonly forecast = signal<Forecast | null>(null);
  protected readonly deviceTrouble = this.feed.trouble;
  /** Each made from what it was before, so that one more figure costs little. */
  protected readonly devices = linkedSignal<DevicesSource, readonly GrowingGravity[]>({
    source: () => ({ view: this.view(), series: this.feed.series() }),
    computation: ({ view, series }, before) => (view ? devicesOf(view.state, series, before?.value) : []),
  });
  /** What the forecast takes from devices, once they are quiet for a moment; null until it is known what they sent before. */
  protected readonly deviceReadings = linkedSignal<readonly DeviceGravity[] | 'unknown' | 'busy', readonly DeviceReading[] | null>({
    source: () => {
      const series = this.feed.series();
      if (this.feed.waits()) return 'unknown';
      return series.length === 0 || this.feed.settled() === series ? this.devices() : 'busy';
    },
    computation: (now, before) => (now === 'unknown' ? null : now === 'busy' ? (before?.value ?? null) : now.flatMap(forDeviceForecast)),
  });
  protected readonly deviceNotes = computed(() => {
    const proven = isAtRest(this.view()?.verdict?.value.status ?? 'working');
    return this.feed.series().flatMap((series) => {
      const now = deviceNow(series);
      if (!now) return [];
      const gravity = this.devices().find((d) => d.deviceId === series.deviceId);
      return [
        {
          id: series.deviceId,
          name: this.instruments().find((i) => i.id === series.deviceId)?.name ?? 'A device',
          says: deviceWords(now, gravity?.smooth ?? null, this.units, this.now()),
          check: gravity?.check.text ?? '',
          level: proven || series.madeUp ? null : (gravity?.level?.text ?? null),
          madeUp: series.madeUp,
        },
      ];
    });
  });
  /** The day on which the forecast sees its end; null while it cannot tell one. */
  private readonly endOn = computed(() => {
    const [pitch, found] = [this.view()?.state.pitch, this.forecast()];
    return pitch && found ? likelyEndOn(found, { pitchedAt: pitch.at, zone: this.units.zone(), status: this.view()?.verdict?.value.status }) : null;
  });
  protected readonly stops = computed(() => {
    const view = this.view();
    return view
      ? pathStops({
          state: view.state,
          method: view.method,
          startedAt: view.batch.startedAt,
          now: this.now(),
          status: view.verdict?.value.status ?? null,
          endOn: this.endOn(),
          readOn: view.verdict?.value.next.kind === 'read' ? view.verdict.value.next.dueOn : null,
          jobs: view.due,
        })
      : [];
  });
  protected readonly tapeLine = computed(() => {
    const view = this.view();
    if (!view) return null;
    const { state, batch } = view;
    const where = state.vessels.map((f) => this.vessels().get(f.vesselId)?.name ?? 'a vessel').join(' + ');
    const parts = [
      this.units.day(batch.startedAt),
      state.liquid ? this.units.volumeAbout(state.liquid.volumeL) : '',
      where || (view.state.crates.length > 0 ? 'in bottle' : 'nothing in it'),
      state.place ?? '',
    ];
    return parts.filter((part) => part !== '').join(' · ');
  });
  protected readonly facts = computed(() => {
    const view = this.view();
    const drink = view ? drinkOf(view.state) : null;
    if (!view || !drink) return [];
    const { liquid, must } = drink;
    return [
      { name: 'Gravity now', value: about(this.units.gravity(gravityOf(liquid)), isGravityGuessed(view.state)) },
      { name: 'Strength so far', value: strengthText(this.units, liquid, must) },
      { name: 'Sugar left', value: `${figure(fermentableGPerL(liquid), 0)} g/L` },
      { name: 'pH', value: about(figure(phOf(liquid), 2), view.state.guessed.includes('ph')) },
      { name: 'Sulfite', value: `${figure(liquid.totalSo2MgPerL, 0)} mg/L` },
    ];
  });

  constructor() {
    effect(() => this.feed.open(this.id()));
  }
}
