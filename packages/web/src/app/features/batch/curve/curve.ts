import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { DeviceGravity, Forecast } from '@trug/core';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { injectNarrow } from '../../../browser/narrow';
import { Units } from '../../../units/units';
import type { BatchView } from '../../../state/batch-views.selectors';
import { curveDrawing } from './curve-geometry';
import { spanAfterKey, spanBetween, type TimeSpan } from './curve-zoom';

const SIZE = { width: 756, height: 330 };
const PHONE_SIZE = { width: 400, height: 300 };

/** A shorter drag was a slip of the hand, px. */
const LEAST_DRAG_PX = 12;

/** Gravity against days, with the temperature as a ribbon, the acts as pegs and the same figures as a table. */
@Component({
  selector: 'trug-curve',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './curve.html',
  styleUrl: './curve.scss',
})
export class Curve {
  /** Counts curves, so that each names its own clip. */
  private static made = 0;
  private readonly units = inject(Units);
  readonly view = input.required<BatchView>();
  readonly now = input.required<string>();
  readonly forecast = input<Forecast | null>(null);
  readonly devices = input<readonly DeviceGravity[]>([]);
  /** The stretch of time looked at; null for everything. */
  protected readonly span = signal<TimeSpan | null>(null);
  /** Two places of a drag under way, px of the drawing. */
  protected readonly drag = signal<readonly [number, number] | null>(null);
  protected readonly clipId = `curve-clip-${(Curve.made += 1)}`;
  private readonly narrow = injectNarrow();
  protected readonly size = computed(() => (this.narrow() ? PHONE_SIZE : SIZE));
  protected readonly asTable = signal(false);
  protected readonly drawing = computed(() => {
    const { state, verdict, log } = this.view();
    const startAt = state.pitchedAt ?? state.filledAt;
    if (!state.must || startAt === null) return null;
    return curveDrawing(
      {
        state,
        entries: effectiveEntries(log).entries,
        startSg: gravityOf(state.must),
        startAt,
        expectedEndSg: verdict?.value.expectedEndSg ?? null,
        questionedIds: verdict?.value.questionedIds ?? [],
        now: this.now(),
        forecast: this.forecast(),
        devices: this.devices(),
        span: this.span(),
        pitchedAt: state.pitch?.at ?? null,
        gravityText: (sg) => this.units.gravity(sg),
        tempText: (tempC) => this.units.temperature(tempC),
        dayText: (iso) => this.units.day(iso),
        hourText: (iso) => this.units.hour(iso),
      },
      this.size(),
    );
  });
  protected readonly rows = computed(() =>
    this.view().state.readings.map((r) => ({
      id: r.id,
      day: this.units.day(r.at, true),
      gravity: this.units.gravity(r.sg),
      plusMinus: this.units.gravityDoubt(r.sg, r.plusMinus),
      temp: r.tempC === null ? '–' : this.units.temperature(r.tempC),
    })),
  );
  protected readonly summary = computed(() => {
    const { readings } = this.view().state;
    const first = readings[0];
    const last = readings.at(-1);
    return first && last
      ? `Gravity from ${this.units.gravity(first.sg)} on ${this.units.day(first.at)} to ${this.units.gravity(last.sg)} on ${this.units.day(last.at)}`
      : 'No readings yet';
  });

  protected begin(event: PointerEvent): void {
    if (event.button !== 0) return;
    const at = this.pxOf(event);
    if (at === null) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.drag.set([at, at]);
  }

  protected follow(event: PointerEvent): void {
    const [from] = this.drag() ?? [];
    const at = this.pxOf(event);
    if (from !== undefined && at !== null) this.drag.set([from, at]);
  }

  protected end(): void {
    const drag = this.drag();
    const drawing = this.drawing();
    this.drag.set(null);
    if (!drag || !drawing || Math.abs(drag[1] - drag[0]) < LEAST_DRAG_PX) return;
    const { left, right } = drawing.plot;
    const found = spanBetween(drawing.span, [(drag[0] - left) / (right - left), (drag[1] - left) / (right - left)]);
    if (found) this.span.set(found);
  }

  /** Closer, wider, along, or everything, by the name of a key. */
  protected zoom(key: string): boolean {
    const drawing = this.drawing();
    const next = drawing ? spanAfterKey(drawing.span, drawing.whole, key) : undefined;
    if (next !== undefined) this.span.set(next);
    return next !== undefined;
  }

  private pxOf(event: PointerEvent): number | null {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    const drawing = this.drawing();
    if (!drawing || box.width === 0) return null;
    const px = ((event.clientX - box.left) / box.width) * this.size().width;
    return Math.min(drawing.plot.right, Math.max(drawing.plot.left, px));
  }
}
