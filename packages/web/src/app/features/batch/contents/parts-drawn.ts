import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Liquid } from '@trug/core';
import { figure } from '@trug/core/base/worked/figures';
import { partsOf } from '@trug/core/matter/liquid/parts-of';
import { Units } from '../../../units/units';

const TOP = 26;
const FOOT = 190;
/** A full jar stands for so much beside water, g/L, or for more where there is more. */
const FULL_G_PER_L = 130;
/** Labels keep this far apart, px. */
const LINE_PX = 19;

/** A litre of the drink as what it is made of: its parts laid on one another in a jar, the water left out. */
@Component({
  selector: 'trug-parts-drawn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 300 206" role="img" [attr.aria-label]="spoken()">
      @for (layer of layers(); track layer.id) {
        <rect [class]="layer.id" x="21" width="88" [attr.y]="layer.y" [attr.height]="layer.height" />
        <path class="lead" [attr.d]="'M110,' + (layer.y + layer.height / 2) + ' L128,' + layer.labelY" />
        <text x="133" [attr.y]="layer.labelY + 4">
          <tspan class="name">{{ layer.name }}</tspan>
          <tspan dx="6">{{ layer.text }}</tspan>
        </text>
      }
      <path class="glass" d="M20,10 V184 Q20,190 26,190 H104 Q110,190 110,184 V10 M14,10 H116" />
    </svg>
    <p class="hint">A litre of it, beside water.</p>
  `,
  styles: `
    :host {
      display: block;
      max-width: 21rem;
    }
    svg {
      width: 100%;
    }
    .glass {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
    }
    .lead {
      fill: none;
      stroke: var(--quiet);
    }
    rect {
      stroke: var(--surface);
    }
    .alcohol {
      fill: var(--slate);
      opacity: 0.55;
    }
    .sugar {
      fill: var(--juice);
      opacity: 0.75;
    }
    .acid {
      fill: var(--leaf);
      opacity: 0.7;
    }
    .tannin {
      fill: var(--russet);
    }
    .rest {
      fill: var(--wood);
      opacity: 0.7;
    }
    text {
      fill: var(--ink);
      font: 600 12.5px var(--text);
    }
    .name {
      fill: var(--quiet);
      font-weight: 400;
    }
    p {
      margin: 0;
    }
  `,
})
export class PartsDrawn {
  private readonly units = inject(Units);
  readonly liquid = input.required<Liquid>();
  private readonly parts = computed(() =>
    partsOf(this.liquid()).map((part) => ({ ...part, text: this.units.say(`${figure(part.gPerL, part.gPerL < 10 ? 1 : 0)} g/L`) })),
  );
  protected readonly spoken = computed(
    () =>
      `A litre of it, beside water: ${this.parts()
        .map((p) => `${p.name} ${p.text}`)
        .join(', ')}`,
  );
  /** From the foot up, the heaviest kind at the foot; labels are kept apart. */
  protected readonly layers = computed(() => {
    const total = this.parts().reduce((sum, part) => sum + part.gPerL, 0);
    const scale = (FOOT - TOP) / Math.max(FULL_G_PER_L, total);
    let y = FOOT;
    let labelY = FOOT + LINE_PX / 2;
    return [...this.parts()].reverse().map((part) => {
      const height = part.gPerL * scale;
      y -= height;
      labelY = Math.min(y + height / 2, labelY - LINE_PX);
      return { ...part, y, height, labelY };
    });
  });
}
