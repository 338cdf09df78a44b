import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { DeviceGravity, Forecast } from '@trug/core';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import { injectMeasuredWidth } from '../../../browser/measured-width';
import { Units } from '../../../units/units';
import type { BatchView } from '../../../state/batch-views.selectors';
import { curveDrawing, NARROW_PX } from './curve-geometry';
import { createHand, type HandAct } from './curve-hand';
import { spanAfterKey, spanAround, spanBetween, type TimeSpan } from './curve-zoom';

/** Width until it is measured, px. */
const USUAL_PX = 756;
const HEIGHT_PX = { narrow: 330, wide: 410 };
/** What one notch of a wheel zooms by. */
const WHEEL_TIMES = 1.2;

/** A shorter drag was a slip of the hand, px. */
const LEAST_DRAG_PX = 12;

/** Gravity against days on a ground of warmth, what lies ahead as a fan, the acts as pegs and the same figures as a table. */
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
  private readonly width = injectMeasuredWidth(USUAL_PX);
  protected readonly size = computed(() => ({ width: this.width(), height: this.width() < NARROW_PX ? HEIGHT_PX.narrow : HEIGHT_PX.wide }));
  private readonly hand = createHand();
  /** The reading that is pointed at. */
  protected readonly told = signal<string | null>(null);
  protected readonly tellsOf = computed(() => this.drawing()?.points.find((p) => p.id === this.told()) ?? null);
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
        status: verdict?.value.status,
        devices: this.devices(),
        span: this.span(),
        pitchedAt: state.pitch?.at ?? null,
        readOn: verdict?.value.next.kind === 'read' ? verdict.value.next.dueOn : null,
        gravityText: (sg) => this.units.gravity(sg),
        tempText: (tempC) => this.units.temperature(tempC),
        dayText: (iso) => this.units.day(iso),
        hourText: (iso) => this.units.hour(iso),
        yearText: (iso) => this.units.dateOf(iso).slice(0, 4),
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
    this.obey(this.hand.down(event.pointerId, at));
  }

  protected follow(event: PointerEvent): void {
    const at = this.pxOf(event);
    if (at !== null) this.obey(this.hand.move(event.pointerId, at));
  }

  protected end(event: PointerEvent): void {
    this.obey(this.hand.up(event.pointerId));
  }

  protected giveUp(): void {
    this.obey(this.hand.cancel());
  }

  /** A wheel alone scrolls the page; with the key that zooms everywhere it zooms here, as a pinch on a pad does. */
  protected wheel(event: WheelEvent): void {
    const at = event.ctrlKey ? this.pxOf(event) : null;
    if (at === null) return;
    event.preventDefault();
    this.obey({ is: 'pinch', at, times: event.deltaY > 0 ? WHEEL_TIMES : 1 / WHEEL_TIMES });
  }

  private obey(act: HandAct): void {
    const drawing = this.drawing();
    this.drag.set(act?.is === 'drag' ? [act.from, act.to] : null);
    if (!drawing || !act || act.is === 'drag') return;
    const { left, right } = drawing.plot;
    const share = (px: number): number => (px - left) / (right - left);
    if (act.is === 'pinch') this.span.set(spanAround(drawing.span, drawing.whole, share(act.at), act.times));
    else if (Math.abs(act.to - act.from) >= LEAST_DRAG_PX) {
      const found = spanBetween(drawing.span, [share(act.from), share(act.to)]);
      if (found) this.span.set(found);
    }
  }

  /** Closer, wider, along, or everything, by the name of a key. */
  protected zoom(key: string): boolean {
    const drawing = this.drawing();
    const next = drawing ? spanAfterKey(drawing.span, drawing.whole, key) : undefined;
    if (next !== undefined) this.span.set(next);
    return next !== undefined;
  }

  private pxOf(event: MouseEvent): number | null {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    const drawing = this.drawing();
    if (!drawing || box.width === 0) return null;
    const px = ((event.clientX - box.left) / box.width) * this.size().width;
    return Math.min(drawing.plot.right, Math.max(drawing.plot.left, px));
  }
}
