import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Units } from '../../units/units';
import { STEM_FOOT, STEM_TOP, stemDrawing, type StemMark } from './stem-geometry';

/** A stem with its bulb, from a little above its scale to the weight below. */
const FLOAT = `M172,${STEM_TOP - 22} Q210,${STEM_TOP - 36} 248,${STEM_TOP - 22} V${STEM_FOOT + 8} Q248,412 262,424 Q272,436 272,466 V502 Q272,530 210,530 Q148,530 148,502 V466 Q148,436 158,424 Q172,412 172,${STEM_FOOT + 8} Z`;

/** A hydrometer in its jar: the drink stands where the reading is typed, with the last reading and the end marked on the stem. */
@Component({
  selector: 'trug-drawn-stem',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 420 560" role="img" [attr.aria-label]="summary()">
      <path class="drink" [class.guess]="readSg() === null" [attr.d]="drink()" />
      <path class="float" [attr.d]="float" />
      <ellipse class="lead" cx="210" cy="502" rx="42" ry="14" />
      @for (tick of drawing().ticks; track $index) {
        <line class="tick" x1="178" [attr.x2]="tick.figure === null ? 192 : 204" [attr.y1]="tick.y" [attr.y2]="tick.y" />
        @if (tick.figure; as figure) {
          <text class="figure" x="244" [attr.y]="tick.y + 4.5" text-anchor="end">{{ figure }}</text>
        }
      }
      <path class="surface" [class.guess]="readSg() === null" [attr.d]="surface()" />
      <path class="jar" d="M40,112 Q54,112 54,126 V528 Q54,546 72,546 H348 Q366,546 366,528 V126 Q366,112 380,112" />
      <line class="foot" x1="40" x2="380" y1="548" y2="548" />
      @for (mark of drawing().marks; track mark.id) {
        <path [class]="'pointer ' + mark.id" [attr.d]="'M168,' + mark.y + ' H154 L146,' + mark.textY" />
        <text [class]="'mark ' + mark.id" x="142" [attr.y]="mark.textY - 2" text-anchor="end">{{ units.short(units.gravity(sgOf(mark))) }}</text>
        <text class="what" x="142" [attr.y]="mark.textY + 15" text-anchor="end">{{ mark.id === 'end' ? 'should end' : lastDay() }}</text>
      }
      @if (readSg(); as sg) {
        <line class="sight" x1="10" x2="410" [attr.y1]="drawing().surfaceY" [attr.y2]="drawing().surfaceY" />
        <rect class="tag" x="276" [attr.y]="drawing().surfaceY - 62" width="86" height="50" rx="3" />
        <text class="what" x="319" [attr.y]="drawing().surfaceY - 43" text-anchor="middle">reads</text>
        <text class="read" x="319" [attr.y]="drawing().surfaceY - 21" text-anchor="middle">{{ units.short(units.gravity(sg)) }}</text>
      }
    </svg>
    <p class="quiet">Eye level with the flat of the drink, not the rim on the stem.</p>
  `,
  styles: `
    :host {
      display: grid;
      justify-items: center;
      gap: 0.5rem;
    }
    svg {
      width: 100%;
      max-width: 420px;
      font-family: var(--text);
      font-variant-numeric: tabular-nums;
    }
    p {
      margin: 0;
      font-size: 0.875rem;
      text-align: center;
    }
    .drink {
      fill: color-mix(in srgb, var(--juice) 45%, var(--ground));
    }
    .drink.guess {
      opacity: 0.45;
    }
    .float {
      fill: var(--glass);
      fill-opacity: 0.94;
      stroke: var(--ink);
      stroke-width: 2;
    }
    .lead {
      fill: var(--quiet);
    }
    .jar {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2.5;
    }
    .foot {
      stroke: var(--ink);
      stroke-width: 5;
    }
    .surface {
      fill: none;
      stroke: var(--warn);
      stroke-width: 2.5;
    }
    .surface.guess {
      stroke: var(--line);
    }
    .tick {
      stroke: var(--ink);
      stroke-width: 1.2;
    }
    .figure {
      fill: var(--ink);
      font-size: 13px;
    }
    .sight {
      stroke: var(--russet);
      stroke-dasharray: 3 4;
    }
    .tag {
      fill: var(--surface);
      stroke: var(--russet);
    }
    .read {
      fill: var(--ink);
      font: 650 19px var(--head);
    }
    .what {
      fill: var(--quiet);
      font-size: 13px;
    }
    .mark {
      font-size: 15px;
      font-weight: 650;
    }
    .mark.end {
      fill: var(--leaf);
    }
    .mark.last {
      fill: var(--slate);
    }
    .pointer {
      fill: none;
      stroke-width: 2;
    }
    .pointer.end {
      stroke: var(--leaf);
    }
    .pointer.last {
      stroke: var(--slate);
    }
  `,
})
export class DrawnStem {
  protected readonly units = inject(Units);
  /** As the stem shows it, before it is corrected; null while nothing is typed, SG. */
  readonly readSg = input.required<number | null>();
  readonly lastSg = input.required<number | null>();
  /** The day of the last reading, as it is worded. */
  readonly lastDay = input('');
  readonly endSg = input.required<number | null>();
  protected readonly float = FLOAT;
  protected readonly drawing = computed(() =>
    stemDrawing({ unit: this.units.preferences().gravity, readSg: this.readSg(), lastSg: this.lastSg(), endSg: this.endSg() }),
  );
  protected readonly drink = computed(() => `M55,${this.drawing().surfaceY} H365 V528 Q365,545 348,545 H72 Q55,545 55,528 Z`);
  /** The drink climbs a little where it meets the stem. */
  protected readonly surface = computed(() => {
    const y = this.drawing().surfaceY;
    return `M55,${y} H140 Q168,${y} 171,${y - 11} M249,${y - 11} Q252,${y} 280,${y} H365`;
  });
  protected readonly summary = computed(() => {
    const [read, last, end] = [this.readSg(), this.lastSg(), this.endSg()].map((sg) => (sg === null ? null : this.units.gravity(sg)));
    const marks = [last ? `last read ${last}` : '', end ? `should end at ${end}` : ''].filter((part) => part !== '').join(', ');
    return `A hydrometer ${read ? `that reads ${read}` : 'with nothing read yet'}${marks === '' ? '' : `; ${marks}`}`;
  });

  protected sgOf({ id }: StemMark): number {
    return (id === 'end' ? this.endSg() : this.lastSg()) ?? 1;
  }
}
