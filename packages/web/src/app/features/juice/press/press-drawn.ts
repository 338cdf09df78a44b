import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Units } from '../../../units/units';

/** The basket between its first and last slat, and how far its plate comes down. */
const BASKET = { left: 28, right: 128, top: 62, foot: 132 } as const;
const SLATS = [28, 44, 60, 76, 92, 108, 124] as const;
const PRESSED_PX = 34;
/** The tub under the spout. */
const TUB = { left: 186, right: 262, top: 84, foot: 158 } as const;
/** Where fruit lies in a full basket, from the bottom up. */
const FRUIT: readonly (readonly [x: number, y: number])[] = [124, 110, 96, 82].flatMap((y, row) =>
  Array.from({ length: row % 2 === 0 ? 6 : 5 }, (_none, i): [number, number] => [38 + (row % 2) * 8 + i * 16, y]),
);
/** So much fruit fills the basket that is drawn, kg. */
const FULL_KG = 40;
/** The most that the tub shows, as a share of what to expect at most. */
const HEADROOM = 1.15;

/** What may run off, L. */
export interface ExpectedRun {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** The press with the fruit that is in it, and the tub with what ran off, against what may be expected of it. */
@Component({
  selector: 'trug-press-drawn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 318 168" role="img" [attr.aria-label]="said()">
      <path class="ink" d="M78,10 V46 M60,12 H96" />
      <path class="wood" [attr.d]="plate()" />
      <path class="ink" [attr.d]="'M78,46 V' + plateY()" />
      @for (apple of fruit(); track $index) {
        <circle class="apple" [attr.cx]="apple[0]" [attr.cy]="apple[1]" r="7" />
      }
      @for (x of slats; track x) {
        <rect class="wood" [attr.x]="x" [attr.y]="basket.top" width="6" [attr.height]="basket.foot - basket.top" />
      }
      <path class="hoop" d="M25,76 H133 M25,118 H133" />
      <path class="ink" d="M14,134 H142 V142 H170 V148 H14 Z" />
      <path class="ink" d="M30,148 V162 M126,148 V162" />
      @if (juice() > 0) {
        <path class="run" [attr.d]="'M166,148 C176,148 ' + (tub.left + 10) + ',150 ' + (tub.left + 12) + ',' + juiceY()" />
        <rect class="juice" [attr.x]="tub.left" [attr.width]="tub.right - tub.left" [attr.y]="juiceY()" [attr.height]="tub.foot - juiceY()" />
      }
      @if (marks(); as m) {
        <rect class="likely" [attr.x]="tub.left" [attr.width]="tub.right - tub.left" [attr.y]="m.highY" [attr.height]="m.lowY - m.highY" />
        <path class="mark" [attr.d]="'M' + tub.left + ',' + m.y + ' H' + (tub.right + 6)" />
        <text [attr.x]="tub.right + 8" [attr.y]="m.y + 4">{{ m.text }}</text>
      }
      <path class="ink" [attr.d]="rim" />
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      height: auto;
    }
    .ink {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
      stroke-linejoin: round;
    }
    .wood {
      fill: var(--wood);
      stroke: var(--wood-dark);
    }
    .hoop {
      stroke: var(--ink);
      stroke-width: 3;
    }
    .apple {
      fill: var(--leaf-wash);
      stroke: var(--leaf);
      stroke-width: 1.5;
    }
    .juice {
      fill: var(--juice);
    }
    .run {
      fill: none;
      stroke: var(--juice);
      stroke-width: 4;
    }
    .likely {
      fill: var(--leaf);
      opacity: 0.18;
    }
    .mark {
      stroke: var(--leaf);
      stroke-width: 1.5;
      stroke-dasharray: 4 3;
    }
    text {
      fill: var(--ink);
      font-size: 12px;
      font-variant-numeric: tabular-nums;
    }
  `,
})
export class PressDrawn {
  private readonly units = inject(Units);
  readonly massKg = input.required<number>();
  readonly volumeL = input.required<number>();
  /** Null while nothing is known of it. */
  readonly expected = input.required<ExpectedRun | null>();
  protected readonly basket = BASKET;
  protected readonly slats = SLATS;
  protected readonly tub = TUB;
  protected readonly rim = `M${TUB.left - 4},${TUB.top} H${TUB.left} V${TUB.foot} H${TUB.right} V${TUB.top} H${TUB.right + 4}`;
  /** What the tub holds to the rim: room for the most that may be expected, or for what ran off. */
  private readonly brimL = computed(() => Math.max((this.expected()?.high ?? 0) * HEADROOM, this.volumeL(), 0.001));
  protected readonly juice = computed(() => this.volumeL() / this.brimL());
  protected readonly juiceY = computed(() => this.y(this.volumeL()));
  /** How much of what is expected has run off, 0–1. */
  private readonly done = computed(() => Math.min(1, this.volumeL() / Math.max(0.001, this.expected()?.value ?? Infinity)));
  protected readonly plateY = computed(() => BASKET.top - 4 + PRESSED_PX * (this.massKg() > 0 ? this.done() : 0));
  protected readonly plate = computed(() => `M32,${this.plateY()} H124 V${this.plateY() + 8} H32 Z`);
  protected readonly fruit = computed(() => {
    const lies = FRUIT.slice(0, Math.ceil((Math.min(this.massKg(), FULL_KG) / FULL_KG) * FRUIT.length));
    return lies.filter(([, y]) => y > this.plateY() + 14);
  });
  protected readonly marks = computed(() => {
    const e = this.expected();
    return e ? { y: this.y(e.value), lowY: this.y(e.low), highY: this.y(e.high), text: this.units.short(this.units.volumeAbout(e.value)) } : null;
  });
  protected readonly said = computed(() => {
    const e = this.expected();
    const ran = this.volumeL() > 0 ? `${this.units.volumeAbout(this.volumeL())} ran off` : 'nothing ran off yet';
    return e ? `A press: ${ran}, of about ${this.units.volumeAbout(e.value)} to expect` : `A press: ${ran}`;
  });

  private y(volumeL: number): number {
    return TUB.foot - (TUB.foot - TUB.top) * Math.min(1, volumeL / this.brimL());
  }
}
