import { SaidPipe } from '../../../units/said.pipe';
import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, linkedSignal, output } from '@angular/core';
import type { ReachAxis, ReachPoint } from '@trug/core';
import { injectMeasuredWidth } from '../../../browser/measured-width';
import { Units } from '../../../units/units';
import { AXES, BANDS, mapScales, outlinePath, placeLabels } from './reach-geometry';

/** A juice on the map. */
export interface MapJuice extends ReachPoint {
  readonly id: string;
  readonly name: string;
  /** Share of the blend, 0–1. */
  readonly share: number;
  readonly colour: string;
}

/** Wider it is only drawn larger, px. */
const WIDEST_PX = 430;
const HEIGHT_BY_WIDTH = 0.84;
/** Room that the words of the band take, px. */
const BAND_WORDS = { width: 130, height: 30 };
/** Below this there is room for half the figures along the foot. */
const NARROW_PX = 380;

/** Everything these juices can make, with the target as a cross-hair that is dragged or moved by the arrow keys. */
@Component({
  selector: 'trug-reach-map',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe],
  templateUrl: './reach-map.html',
  styleUrl: './reach-map.scss',
})
export class ReachMap {
  protected readonly units = inject(Units);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly axis = input.required<ReachAxis>();
  readonly juices = input.required<readonly MapJuice[]>();
  readonly outline = input.required<readonly ReachPoint[]>();
  readonly target = input.required<ReachPoint>();
  /** Where the blend lies that was found; null when there is none. */
  readonly found = input.required<ReachPoint | null>();
  readonly targeted = output<ReachPoint>();
  private readonly measured = injectMeasuredWidth(WIDEST_PX);
  /** Laid out anew where it is narrow, so that its words stay as large as all others. */
  protected readonly size = computed(() => {
    const width = Math.min(WIDEST_PX, this.measured());
    return { width, height: Math.round(width * HEIGHT_BY_WIDTH) };
  });
  protected readonly axisWords = computed(() => AXES[this.axis()]);
  /** The target is left out, so that the map stands still while it is dragged. */
  protected readonly scales = computed(() => mapScales([...this.juices(), ...this.outline()], this.axisWords().least, this.size()));
  protected readonly path = computed(() => outlinePath(this.outline(), this.scales()));
  protected readonly band = computed(() => {
    const band = BANDS[this.axis()];
    const { y } = this.scales();
    const [bottom = 0, top = 1] = y.domain();
    if (!band || band.high < bottom || band.low > top) return null;
    const [from, to] = [y(Math.min(band.high, top)), y(Math.max(band.low, bottom))];
    return { y: from, height: to - from, says: band.says };
  });
  protected readonly frame = computed(() => {
    const { x, y } = this.scales();
    const [left = 0, right = 0] = x.range();
    const [bottom = 0, top = 0] = y.range();
    return { left, right, top, bottom };
  });
  protected readonly ticks = computed(() => {
    const { x, y } = this.scales();
    const { digits } = this.axisWords();
    return {
      x: x.ticks(this.size().width < NARROW_PX ? 3 : 6).map((t) => ({ at: x(t), text: this.units.gravity(t).replace(` ${this.units.gravityUnit()}`, '') })),
      y: y.ticks(6).map((t) => ({ at: y(t), text: t.toFixed(digits === 2 ? 1 : 0) === String(t) ? String(t) : t.toFixed(digits) })),
    };
  });
  protected readonly dots = computed(() => {
    const { x, y } = this.scales();
    const dots = this.juices().map((j) => ({ ...j, cx: x(j.sg), cy: y(j.y) }));
    const labels = placeLabels(
      dots.map((d) => ({ id: d.id, name: d.name, x: d.cx, y: d.cy })),
      this.size(),
    );
    return dots.map((d, i) => ({ ...d, label: labels[i] ?? { x: d.cx, y: d.cy, anchor: 'middle' as const } }));
  });
  /** What the band is called stands at its right, or at its left where a juice lies there. */
  protected readonly bandWords = computed(() => {
    const { left, right } = this.frame();
    const y = this.band()?.y ?? 0;
    const isTaken = this.dots().some((dot) => dot.cx > right - BAND_WORDS.width && Math.abs(dot.cy - y) < BAND_WORDS.height);
    return isTaken ? { x: left + 6, anchor: 'start' } : { x: right - 6, anchor: 'end' };
  });
  /** A target beyond the map is drawn at its edge. */
  protected readonly cross = computed(() => {
    const { left, right, top, bottom } = this.frame();
    const { x, y } = this.px(this.target());
    return { x: Math.min(right, Math.max(left, x)), y: Math.min(bottom, Math.max(top, y)) };
  });
  protected readonly at = computed(() => {
    const found = this.found();
    return found ? this.px(found) : null;
  });
  protected readonly missed = computed(() => {
    const at = this.at();
    return at !== null && Math.hypot(at.x - this.cross().x, at.y - this.cross().y) > 4;
  });
  protected readonly says = computed(
    () => `gravity ${this.units.fineGravity(this.target().sg)}, ${this.axisWords().title} ${this.target().y.toFixed(this.axisWords().digits)}`,
  );
  /** Where the last step or drag went: quick keys come faster than the page is drawn again, and none may be lost. */
  private readonly latest = linkedSignal(() => this.target());
  private dragging = false;

  private px(point: ReachPoint): { readonly x: number; readonly y: number } {
    const { x, y } = this.scales();
    return { x: x(point.sg), y: y(point.y) };
  }

  protected began(event: PointerEvent): void {
    this.dragging = true;
    if (event.currentTarget instanceof Element) event.currentTarget.setPointerCapture(event.pointerId);
    this.dragged(event);
  }

  protected dragged(event: PointerEvent): void {
    if (!this.dragging) return;
    const box = this.host.nativeElement.querySelector('svg')?.getBoundingClientRect();
    if (!box) return;
    const { x, y } = this.scales();
    this.aim({
      sg: x.invert(((event.clientX - box.left) * this.size().width) / box.width),
      y: y.invert(((event.clientY - box.top) * this.size().height) / box.height),
    });
  }

  protected ended(): void {
    this.dragging = false;
  }

  protected stepped(event: KeyboardEvent): void {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const times = event.shiftKey ? 5 : 1;
    const { sg, y } = this.latest();
    this.aim({ sg: sg + (by[0] ?? 0) * 0.0005 * times, y: y + (by[1] ?? 0) * this.axisWords().step * times });
  }

  private aim(point: ReachPoint): void {
    const { x, y } = this.scales();
    const within = (value: number, [a = 0, b = 0]: readonly number[]): number => Math.min(b, Math.max(a, value));
    const aimed = { sg: within(point.sg, x.domain()), y: within(point.y, y.domain()) };
    this.latest.set(aimed);
    this.targeted.emit(aimed);
  }
}
