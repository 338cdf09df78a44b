import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Units } from '../../units/units';
import { BAR_PER } from '@trug/core/matter/quantity/units';
import type { BottlingPlan } from '@trug/core';
import { pressureDrawing } from './pressure-geometry';

/** What the bottles will feel: a column with each bottle's limit and the predicted pressure at three heats. */
@Component({
  selector: 'trug-pressure-column',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 384 560" role="img" [attr.aria-label]="summary()">
      <defs>
        <filter id="blur" x="-20%" y="-40%" width="140%" height="180%"><feGaussianBlur stdDeviation="0 4" /></filter>
      </defs>
      <rect class="glass" x="66" y="20" width="46" height="520" />
      @for (band of drawing().bands; track band.name) {
        <rect [class]="'band b' + band.index" x="68" [attr.y]="band.y" width="42" [attr.height]="band.height" filter="url(#blur)" />
      }
      <path class="column" d="M66,20 V540 H112 V20" />
      @for (tick of drawing().ticks; track tick.label) {
        <line class="tick-line" x1="66" x2="76" [attr.y1]="tick.y" [attr.y2]="tick.y" />
        <text class="tick" x="58" [attr.y]="tick.y + 4" text-anchor="end">{{ tick.label }}</text>
      }
      <text class="tick" transform="translate(22,300) rotate(-90)" text-anchor="middle">pressure in the bottle, {{ unit() }}</text>
      @for (limit of drawing().limits; track limit.name) {
        <line class="limit" [class.chosen]="limit.chosen" x1="62" x2="118" [attr.y1]="limit.y" [attr.y2]="limit.y" />
        <path class="lead" [attr.d]="'M118,' + limit.y + ' L206,' + limit.textY" />
        <text class="limit-text" [class.chosen]="limit.chosen" x="210" [attr.y]="limit.textY + 4">{{ limit.name }}</text>
      }
      @for (band of drawing().bands; track band.name) {
        <text [class]="'band-text t' + band.index" x="124" [attr.y]="band.labelY + 1">{{ band.name }} {{ units.temperature(band.tempC) }}</text>
        <text class="tick" x="124" [attr.y]="band.labelY + 16">{{ between(band.low, band.high) }}</text>
      }
    </svg>
  `,
  styles: `
    svg {
      width: 100%;
      max-height: 560px;
      font-family: var(--text);
    }
    .glass {
      fill: color-mix(in srgb, var(--warn-wash) 55%, var(--surface));
    }
    .column {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
    }
    .tick {
      fill: var(--quiet);
      font-size: 13px;
    }
    .tick-line {
      stroke: var(--quiet);
    }
    .limit {
      stroke: var(--quiet);
      stroke-width: 1.6;
      &.chosen {
        stroke: var(--ink);
        stroke-width: 3;
      }
    }
    .lead {
      fill: none;
      stroke: var(--quiet);
      stroke-dasharray: 2 3;
    }
    .limit-text {
      fill: var(--quiet);
      font-size: 12px;
      &.chosen {
        fill: var(--ink);
        font-weight: 700;
      }
    }
    .b0 {
      fill: var(--slate);
    }
    .b1 {
      fill: var(--warn);
    }
    .b2 {
      fill: var(--russet);
    }
    .band {
      opacity: 0.85;
    }
    .band-text {
      font-size: 13.5px;
      font-weight: 700;
    }
    .t0 {
      fill: var(--slate);
    }
    .t1 {
      fill: var(--warn);
    }
    .t2 {
      fill: var(--russet);
    }
  `,
})
export class PressureColumn {
  protected readonly units = inject(Units);
  readonly plan = input.required<BottlingPlan>();
  protected readonly unit = computed(() => this.units.preferences().pressure);
  protected readonly drawing = computed(() =>
    pressureDrawing({ bands: this.plan().bands, limits: this.plan().limits, top: 20, bottom: 540, barPerUnit: BAR_PER[this.unit()] }),
  );
  protected between(lowBar: number, highBar: number): string {
    return this.units.say(`${lowBar.toFixed(1)}–${highBar.toFixed(1)} bar`);
  }

  protected readonly summary = computed(() =>
    this.plan()
      .bands.map((b) => `${b.name} ${this.units.temperature(b.tempC)}: ${this.between(b.lowBar, b.highBar)}`)
      .join('; '),
  );
}
