import { Units } from '../../../units/units';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import { injectNarrow } from '../../../browser/narrow';
import { selectBatchViews, type BatchView } from '../../../state/batch-views.selectors';
import { comparedFalls, compareDrawing, COMPARE_PHONE_SIZE, COMPARE_SIZE } from './compare-lines';

const KIN = { own: 'this batch', sibling: 'same juice', earlier: 'same yeast, earlier' } as const;

/** Siblings and earlier batches on one curve, each from the day of its own pitch. */
@Component({
  selector: 'trug-compare',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawing(); as d) {
      <h3>Side by side, from the day of pitch</h3>
      <svg [attr.viewBox]="'0 0 ' + size().width + ' ' + size().height" role="img" [attr.aria-label]="summary()">
        @for (tick of d.gravityTicks; track tick.sg) {
          <line class="grid" [attr.x1]="size().left" [attr.x2]="size().width - size().right" [attr.y1]="tick.y" [attr.y2]="tick.y" />
          <text class="tick" [attr.x]="size().left - 8" [attr.y]="tick.y + 4" text-anchor="end">{{ sg(tick.sg) }}</text>
        }
        @for (tick of d.dayTicks; track tick.day) {
          <text class="tick" [attr.x]="tick.x" [attr.y]="size().height - 18" text-anchor="middle">{{ tick.day }}</text>
        }
        <text class="tick" [attr.x]="(size().left + size().width - size().right) / 2" [attr.y]="size().height - 2" text-anchor="middle">
          days since pitching
        </text>
        <text class="tick" [attr.x]="size().left" y="12">gravity</text>
        @for (fall of d.falls; track fall.id) {
          <g [class]="fall.kin">
            <path class="fall" [attr.d]="fall.path" />
            @for (p of fall.points; track $index) {
              <circle [attr.cx]="p.x" [attr.cy]="p.y" r="3.5" />
            }
            <path class="lead" [attr.d]="'M' + (fall.end.x + 6) + ',' + fall.end.y + ' L' + (fall.label.x - 6) + ',' + (fall.label.y - 4)" />
            <text class="name" [attr.x]="fall.label.x" [attr.y]="fall.label.y">{{ fall.name }}</text>
          </g>
        }
      </svg>
      <p class="hint">Solid is this batch, dashed the same juice, dotted an earlier batch with the same yeast.</p>
    }
  `,
  styles: `
    h3 {
      margin: 0.5rem 0 0.25rem;
      font: 600 1.0625rem var(--head);
    }
    svg {
      display: block;
      width: 100%;
      max-width: 860px;
      height: auto;
      font-family: var(--text);
    }
    .grid {
      stroke: var(--line);
    }
    .tick {
      fill: var(--quiet);
      font-size: 12.5px;
      font-variant-numeric: tabular-nums;
    }
    .fall {
      fill: none;
      stroke-width: 2.2;
    }
    .lead {
      fill: none;
      stroke: var(--line);
    }
    circle {
      fill: var(--surface);
      stroke-width: 2;
    }
    .own .fall,
    .own circle {
      stroke: var(--russet);
    }
    .sibling .fall,
    .sibling circle {
      stroke: var(--leaf);
    }
    .sibling .fall {
      stroke-dasharray: 7 4;
    }
    .earlier .fall,
    .earlier circle {
      stroke: var(--slate);
    }
    .earlier .fall {
      stroke-dasharray: 2 4;
    }
    .name {
      fill: var(--ink);
      font: 600 13.5px var(--head);
    }
    p {
      margin: 0.25rem 0 0.75rem;
    }
  `,
})
export class Compare {
  private readonly units = inject(Units);
  private readonly all = inject(Store).selectSignal(selectBatchViews);
  readonly view = input.required<BatchView>();
  private readonly narrow = injectNarrow();
  protected readonly size = computed(() => (this.narrow() ? COMPARE_PHONE_SIZE : COMPARE_SIZE));
  protected readonly sg = (sg: number): string => this.units.gravity(sg);
  private readonly falls = computed(() => comparedFalls(this.view(), this.all()));
  protected readonly drawing = computed(() => (this.falls().length > 0 ? compareDrawing(this.falls(), this.size()) : null));
  protected readonly summary = computed(() =>
    this.falls()
      .map((f) => `${f.name}, ${KIN[f.kin]}: ${this.units.gravity(f.points.at(-1)?.sg ?? 1)} on day ${Math.round(f.points.at(-1)?.day ?? 0)}`)
      .join('; '),
  );
}
