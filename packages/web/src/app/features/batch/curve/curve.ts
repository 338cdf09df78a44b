import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { dayText, effectiveEntries, gravityOf, type Forecast } from '@trug/core';
import { injectNarrow } from '../../../shared/narrow';
import { Units } from '../../../shared/units/units';
import type { BatchView } from '../../../state/batch-views.selectors';
import { curveDrawing } from './curve-geometry';

const SIZE = { width: 756, height: 330 };
const PHONE_SIZE = { width: 400, height: 300 };

/** Gravity against days, with the temperature as a ribbon, the acts as pegs and the same figures as a table. */
@Component({
  selector: 'trug-curve',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './curve.html',
  styleUrl: './curve.scss',
})
export class Curve {
  private readonly units = inject(Units);
  readonly view = input.required<BatchView>();
  readonly now = input.required<string>();
  readonly forecast = input<Forecast | null>(null);
  private readonly narrow = injectNarrow();
  protected readonly size = computed(() => (this.narrow() ? PHONE_SIZE : SIZE));
  protected readonly asTable = signal(false);
  protected readonly drawing = computed(() => {
    const { state, verdict, batch } = this.view();
    const startAt = state.pitchedAt ?? state.filledAt;
    if (!state.must || startAt === null) return null;
    return curveDrawing(
      {
        state,
        entries: effectiveEntries(batch.entries).entries,
        startSg: gravityOf(state.must),
        startAt,
        expectedEndSg: verdict?.value.expectedEndSg ?? null,
        questionedIds: verdict?.value.questionedIds ?? [],
        now: this.now(),
        forecast: this.forecast(),
        pitchedAt: state.pitch?.at ?? null,
        gravityText: (sg) => this.units.gravity(sg),
        tempText: (tempC) => this.units.temperature(tempC),
      },
      this.size(),
    );
  });
  protected readonly rows = computed(() =>
    this.view().state.readings.map((r) => ({
      id: r.id,
      day: dayText(r.at, true),
      gravity: this.units.gravity(r.sg),
      plusMinus: r.plusMinus.toFixed(3),
      temp: r.tempC === null ? '–' : this.units.temperature(r.tempC),
    })),
  );
  protected readonly summary = computed(() => {
    const { readings } = this.view().state;
    const first = readings[0];
    const last = readings.at(-1);
    return first && last
      ? `Gravity from ${this.units.gravity(first.sg)} on ${dayText(first.at)} to ${this.units.gravity(last.sg)} on ${dayText(last.at)}`
      : 'No readings yet';
  });
}
