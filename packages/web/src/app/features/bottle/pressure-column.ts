import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { injectMeasuredWidth } from '../../browser/measured-width';
import { Units } from '../../units/units';
import { BAR_PER } from '@trug/core/matter/quantity/units';
import type { BottlingPlan } from '@trug/core';
import { pressureDrawing } from './pressure-geometry';

const USUAL_PX = 340;
const HEIGHT_PX = 440;
/** The longest name of a bottle, as it is drawn. */
const LONGEST_NAME_PX = 184;

/** What the bottles will feel: a column with each bottle's limit and the predicted pressure at three heats. */
@Component({
  selector: 'trug-pressure-column',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width() + ' ' + height" role="img" [attr.aria-label]="summary()">
      <defs>
        <filter id="blur" x="-20%" y="-40%" width="140%" height="180%"><feGaussianBlur stdDeviation="0 4" /></filter>
      </defs>
      <rect class="glass" x="46" [attr.y]="ends.top" width="46" [attr.height]="ends.bottom - ends.top" />
      @for (band of drawing().bands; track band.name) {
        <rect [class]="'band b' + band.index" x="48" [attr.y]="band.y" width="42" [attr.height]="band.height" filter="url(#blur)" />
      }
      <path class="column" [attr.d]="'M46,' + ends.top + ' V' + ends.bottom + ' H92 V' + ends.top" />
      @for (tick of drawing().ticks; track tick.label) {
        <line class="tick-line" x1="46" x2="56" [attr.y1]="tick.y" [attr.y2]="tick.y" />
        <text class="tick" x="38" [attr.y]="tick.y + 4" text-anchor="end">{{ tick.label }}</text>
      }
      <text class="tick" [attr.transform]="'translate(12,' + (ends.top + ends.bottom) / 2 + ') rotate(-90)'" text-anchor="middle">
        pressure in the bottle, {{ unit() }}
      </text>
      @for (limit of drawing().limits; track limit.name) {
        <line class="limit" [class.chosen]="limit.chosen" x1="42" x2="98" [attr.y1]="limit.y" [attr.y2]="limit.y" />
        <path class="lead" [attr.d]="'M98,' + limit.y + ' L' + (namesX() - 4) + ',' + limit.textY" />
        <text class="limit-text" [class.chosen]="limit.chosen" [attr.x]="namesX()" [attr.y]="limit.textY + 4">{{ limit.name }}</text>
      }
    </svg>
    <ul aria-hidden="true">
      @for (band of drawing().bands; track band.name) {
        <li>
          <b [class]="'t' + band.index">{{ band.name }} {{ units.temperature(band.tempC) }}</b
          ><span class="num">{{ between(band.low, band.high) }}</span>
        </li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      font-family: var(--text);
    }
    ul {
      display: grid;
      grid-template-columns: repeat(3, auto);
      justify-content: space-between;
      gap: 0.5rem;
      margin: 0.5rem 0 1rem;
      padding: 0;
      list-style: none;
      font-size: 0.875rem;
    }
    li {
      display: grid;
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
      font-size: 12.5px;
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
    .t0 {
      color: var(--slate);
    }
    .t1 {
      color: var(--warn);
    }
    .t2 {
      color: var(--russet);
    }
  `,
})
export class PressureColumn {
  protected readonly units = inject(Units);
  readonly plan = input.required<BottlingPlan>();
  /** Laid out anew at every width, so that its words stay as large as all others. */
  protected readonly width = injectMeasuredWidth(USUAL_PX);
  protected readonly height = HEIGHT_PX;
  protected readonly ends = { top: 14, bottom: HEIGHT_PX - 12 };
  /** Where the names of the bottles begin: what is to their left is leads. */
  protected readonly namesX = computed(() => Math.max(110, this.width() - LONGEST_NAME_PX));
  protected readonly unit = computed(() => this.units.preferences().pressure);
  protected readonly drawing = computed(() =>
    pressureDrawing({ bands: this.plan().bands, limits: this.plan().limits, ...this.ends, barPerUnit: BAR_PER[this.unit()] }),
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
