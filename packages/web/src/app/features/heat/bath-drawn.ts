import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { CoreReading } from '@trug/core/finish/bottle/heat-profile';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Units } from '../../units/units';

const BATH = { left: 12, right: 348, top: 74, foot: 176 } as const;
const CURVE = { left: 44, right: 340, top: 22, foot: 150 } as const;
/** Below this heat nothing that counts is killed: the foot of the curve. */
const LEAST_C = 10;
const MOST_C = 80;
/** Where units begin to count for something. */
const KILLS_C = 60;
const BOTTLES = [56, 118, 180, 242] as const;
/** The open one among them, filled with water, with the thermometer. */
const CONTROL = 304;

/** The bath from the side, its bottles warming as units come together; where a logger was read, its curve instead. */
@Component({
  selector: 'trug-bath-drawn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (curve(); as c) {
      <svg viewBox="0 0 360 190" role="img" [attr.aria-label]="c.said">
        <rect class="kills" [attr.x]="frame.left" [attr.width]="frame.right - frame.left" [attr.y]="frame.top" [attr.height]="c.killsY - frame.top" />
        @for (tick of c.heats; track tick.text) {
          <path class="thin" [attr.d]="'M' + frame.left + ',' + tick.y + ' H' + frame.right" />
          <text [attr.x]="frame.left - 6" [attr.y]="tick.y + 4" text-anchor="end">{{ tick.text }}</text>
        }
        @for (tick of c.times; track tick.text) {
          <text [attr.x]="tick.x" [attr.y]="frame.foot + 16" text-anchor="middle">{{ tick.text }}</text>
        }
        <text [attr.x]="frame.left" y="14">middle of the bottle, {{ c.unit }}</text>
        <text [attr.x]="frame.right" [attr.y]="frame.foot + 32" text-anchor="end">minutes</text>
        <path class="trace" [attr.d]="c.path" />
      </svg>
    } @else {
      <svg viewBox="0 8 360 178" role="img" [attr.aria-label]="said()">
        <rect class="water" [attr.x]="bath.left" [attr.y]="bath.top" [attr.width]="bath.right - bath.left" [attr.height]="bath.foot - bath.top" />
        @for (x of bottles; track x) {
          <path class="drink" [attr.d]="body(x)" />
          <rect class="warm" [attr.x]="x - 17" [attr.width]="34" [attr.y]="168 - 88 * done()" [attr.height]="88 * done()" />
          <path class="ink" [attr.d]="glass(x)" />
          <path class="cap" [attr.d]="'M' + (x - 8) + ',30 H' + (x + 8) + ' V24 H' + (x - 8) + ' Z'" />
        }
        <path class="water deep" [attr.d]="body(control)" />
        <path class="ink" [attr.d]="glass(control)" />
        <path class="ink thin" [attr.d]="'M' + control + ',10 V120'" />
        <circle class="bulb" [attr.cx]="control" cy="126" r="6" />
        <path class="ink" d="M8,58 V176 Q8,182 14,182 H346 Q352,182 352,176 V58" />
      </svg>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
    }
    svg {
      width: 100%;
      height: auto;
    }
    text {
      fill: var(--quiet);
      font-size: 12px;
      font-variant-numeric: tabular-nums;
    }
    .water {
      fill: color-mix(in srgb, var(--slate) 22%, var(--surface));
    }
    .deep {
      fill: color-mix(in srgb, var(--slate) 40%, var(--surface));
    }
    .kills {
      fill: color-mix(in srgb, var(--russet) 14%, var(--surface));
    }
    .drink {
      fill: color-mix(in srgb, var(--juice) 30%, var(--surface));
    }
    .warm {
      fill: color-mix(in srgb, var(--russet) 70%, var(--juice));
    }
    .ink {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.8;
    }
    .thin {
      fill: none;
      stroke: var(--line);
      stroke-width: 1;
    }
    .ink.thin {
      stroke: var(--ink);
      stroke-width: 1.4;
    }
    .cap {
      fill: var(--russet);
    }
    .bulb {
      fill: var(--danger);
    }
    .trace {
      fill: none;
      stroke: var(--russet);
      stroke-width: 2.5;
      stroke-linejoin: round;
    }
  `,
})
export class BathDrawn {
  private readonly units = inject(Units);
  /** Of the units that are enough, 0–1 and beyond. */
  readonly share = input.required<number>();
  /** What a logger wrote; none where nobody had one. */
  readonly readings = input<readonly CoreReading[]>([]);
  protected readonly bath = BATH;
  protected readonly frame = CURVE;
  protected readonly bottles = BOTTLES;
  protected readonly control = CONTROL;
  protected readonly done = computed(() => Math.min(1, Math.max(0, this.share())));
  protected readonly said = computed(() => `A bath with bottles, heated to ${Math.round(this.done() * 100)} % of what is enough`);
  protected readonly body = (x: number): string => `M${x - 17},80 H${x + 17} V168 H${x - 17} Z`;
  protected readonly glass = (x: number): string => `M${x - 6},30 V52 Q${x - 18},60 ${x - 18},78 V168 H${x + 18} V78 Q${x + 18},60 ${x + 6},52 V30`;
  protected readonly curve = computed(() => {
    const readings = this.readings();
    const last = readings.at(-1);
    if (!last || last.minute === 0) return null;
    const x = scaleLinear([0, last.minute], [CURVE.left, CURVE.right]);
    const y = scaleLinear([LEAST_C, MOST_C], [CURVE.foot, CURVE.top]).clamp(true);
    const degrees = (valueC: number): string => this.units.temperature(valueC).replace(/\s*°[CF]$/, '');
    return {
      path: line<CoreReading>(
        (r) => x(r.minute),
        (r) => y(r.coreC),
      )([...readings]),
      killsY: y(KILLS_C),
      heats: [20, 40, 60].map((valueC) => ({ y: y(valueC), text: degrees(valueC) })),
      times: x.ticks(5).map((minute) => ({ x: x(minute), text: String(minute) })),
      unit: this.units.preferences().temperature === 'degF' ? '°F' : '°C',
      said: `Heat in the middle of the bottle over ${Math.round(last.minute)} minutes, up to ${this.units.temperature(Math.max(...readings.map((r) => r.coreC)))}`,
    };
  });
}
