import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Crate } from '@trug/core';
import { countText } from '@trug/core/matter/quantity/count-text';

/** A wooden crate from the front, the bottles that are left standing in it. */
@Component({
  selector: 'trug-crate-front',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 172 190" width="142" height="157" role="img" [attr.aria-label]="label()">
      @for (x of necks(); track x) {
        <g [attr.transform]="'translate(' + x + ',0)'">
          <path class="bottle" d="M-4,6 v18 c0,8 -6,10 -6,20 v40 h20 v-40 c0,-10 -6,-12 -6,-20 v-18 z" />
          <rect [style.fill]="cap()" class="cap" x="-5.5" y="0" width="11" height="8" rx="2" />
        </g>
      }
      <path class="crate" d="M4,58 h164 v128 h-164 z" />
      <path class="slat" d="M4,98 h164 M4,142 h164" />
    </svg>
  `,
  styles: `
    :host {
      display: inline-block;
      line-height: 0;
    }
    .bottle {
      fill: #6b4a1d;
      stroke: var(--ink);
      stroke-width: 1.8;
    }
    .cap {
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    .crate {
      fill: color-mix(in srgb, var(--wood) 82%, #e8c795);
      stroke: var(--ink);
      stroke-width: 2.2;
    }
    .slat {
      stroke: var(--wood-dark);
      stroke-width: 2.5;
    }
  `,
})
export class CrateFront {
  readonly crate = input.required<Crate>();
  private readonly left = computed(() => this.crate().lots.reduce((sum, lot) => sum + lot.left, 0));
  private readonly filled = computed(() => this.crate().lots.reduce((sum, lot) => sum + lot.filled, 0));
  protected readonly label = computed(() => `Crate with ${this.left()} of ${countText(this.filled(), 'bottle')}, ${this.crate().capColour} caps`);
  protected readonly cap = computed(() => `var(--cap-${this.crate().capColour})`);
  /** Eight bottles stand in the front row of a full crate. */
  protected readonly necks = computed(() => {
    const shown = Math.max(1, Math.round((8 * this.left()) / Math.max(1, this.filled())));
    return Array.from({ length: shown }, (_, i) => 17 + i * 20);
  });
}
