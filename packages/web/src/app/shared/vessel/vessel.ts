import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { VesselKindId } from '@trug/contract/plain';
import { levelMm, vesselScale, vesselShape } from './vessel-geometry';

/** How the drink in a vessel looks. */
export interface DrinkLook {
  readonly fruit: 'apple' | 'pear' | 'other';
  /** 0 clear to 1 thick. */
  readonly haze: number;
  /** Depth of the sediment, mm. */
  readonly sedimentMm: number;
  readonly working: boolean;
}

let made = 0;
/** Room for an airlock above the mouth and a line's width around, mm. */
const AIRLOCK_MM = 78;
const PAD_MM = 8;

/** A vessel drawn to scale: level, colour, clarity, sediment, bubbles and foam while it works. */
@Component({
  selector: 'trug-vessel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './vessel.html',
  styleUrl: './vessel.scss',
})
export class Vessel {
  readonly kind = input.required<VesselKindId>();
  readonly fillFraction = input.required<number>();
  readonly look = input.required<DrinkLook>();
  /** Screen pixels for each millimetre, the same for every vessel on a shelf. */
  readonly pxPerMm = input(0.375);
  /** What it holds to the brim, L, where its drawing is to be true to others; null for the usual size of its kind. */
  readonly capacityL = input<number | null>(null);
  /** What the drawing shows, for those who cannot see it. */
  readonly label = input.required<string>();

  protected readonly clipId = `vessel-${(made += 1)}`;
  protected readonly shape = computed(() => vesselShape(this.kind()));
  protected readonly box = computed(() => {
    const shape = this.shape();
    const above = shape.closure === 'airlock' ? AIRLOCK_MM : 24;
    const width = shape.widthMm + 2 * PAD_MM;
    const height = shape.heightMm + above + PAD_MM;
    const pxPerMm = this.pxPerMm() * vesselScale(this.kind(), this.capacityL());
    return { view: `${-width / 2} ${-shape.heightMm - above} ${width} ${height}`, widthPx: width * pxPerMm, heightPx: height * pxPerMm };
  });
  protected readonly level = computed(() => levelMm(this.shape(), this.fillFraction()));
  protected readonly bubbles = computed(() => {
    if (!this.look().working) return [];
    const { widthMm } = this.shape();
    const level = this.level();
    return [-0.34, -0.2, -0.05, 0.1, 0.22, 0.36, 0.02, -0.28].map((x, i) => ({
      x: x * widthMm,
      y: -level * (0.15 + ((i * 37) % 70) / 100),
      r: 3 + ((i * 5) % 4),
      delayS: (i * 0.7) % 4,
    }));
  });
  protected readonly foam = computed(() => {
    if (!this.look().working || this.shape().closure === 'keg') return [];
    const half = this.shape().widthMm / 2;
    return Array.from({ length: Math.floor(this.shape().widthMm / 17) }, (_, i) => ({ x: -half + 10 + i * 17, r: 8 + ((i * 7) % 5) }));
  });
}
