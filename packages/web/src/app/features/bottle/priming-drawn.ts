import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { injectWeightsOf } from '../../shared/kitchen';
import { syrupWaterMl } from '@trug/core/finish/bottle/run-steps';
import { levelSpoonsText } from '@trug/core/matter/quantity/level-spoons';
import { Units } from '../../units/units';

/** A jug's marks, mL, of which the drawing shows those about what is poured. */
const JUG_STEPS_ML = [50, 200, 400, 1000, 2000, 4000, 10_000] as const;
const LARGEST_JUG_ML = 40_000;
const JUG = { foot: 128, brim: 22 };

/** What goes in, on a jug, a scale and a spoon: as it is measured at the bench. */
@Component({
  selector: 'trug-priming-drawn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (mode() === 'bulk' || isPoured()) {
      <figure>
        <svg viewBox="0 0 130 140" role="img" [attr.aria-label]="(isPoured() ? of() : 'Boiled water') + ': ' + water()">
          <path class="drink" [attr.d]="'M' + edge(level()) + ',' + level() + ' H' + (112 - edge(level())) + ' L94,124 Q93,128 88,128 H24 Q19,128 18,124 Z'" />
          <path class="ink" d="M2,12 q3,10 8,10 H102 L94,124 Q93,128 88,128 H24 Q19,128 18,124 L10,22 M101,40 q24,2 24,24 t-28,26" />
          @for (mark of marks(); track mark.ml) {
            <path class="ink thin" [attr.d]="'M62,' + mark.y + ' H76'" />
            @if (inMl()) {
              <text x="57" [attr.y]="mark.y + 6" text-anchor="end">{{ mark.ml }}</text>
            }
          }
        </svg>
        <figcaption>{{ water() }} of {{ isPoured() ? of() : 'boiled water, cooled' }}</figcaption>
      </figure>
    }
    @if (!isPoured()) {
      <figure>
        <svg viewBox="0 0 150 140" role="img" [attr.aria-label]="'Sugar, weighed: ' + weight()">
          <path class="sugar" d="M34,78 q6,-42 42,-42 t42,42 Z" />
          <path class="ink" d="M34,78 q6,-42 42,-42 t42,42 M20,78 H132 L142,112 H10 Z" />
          <rect class="face" x="36" y="83" width="80" height="24" />
          <text class="shown" x="76" y="101" text-anchor="middle">{{ weight() }}</text>
        </svg>
        <figcaption>{{ of() }}, weighed{{ mode() === 'bulk' ? '' : ', for all of them' }}</figcaption>
      </figure>
      <figure>
        <svg viewBox="0 0 150 140" aria-hidden="true">
          <ellipse class="sugar" cx="42" cy="82" rx="30" ry="13" />
          <ellipse class="ink" cx="42" cy="82" rx="34" ry="17" />
          <path class="ink" d="M76,80 L146,58" />
        </svg>
        <figcaption>{{ spoons() }}</figcaption>
      </figure>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(5.5rem, 1fr));
      gap: 0.5rem;
    }
    figure {
      display: grid;
      justify-items: center;
      align-content: end;
      margin: 0;
      text-align: center;
    }
    svg {
      width: min(100%, 8rem);
    }
    figcaption {
      font-size: 0.875rem;
      color: var(--quiet);
    }
    .ink {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .thin {
      stroke-width: 1.2;
    }
    .drink {
      fill: var(--perry);
      opacity: 0.6;
    }
    .sugar {
      fill: var(--ground);
    }
    .face {
      fill: var(--ink);
    }
    .shown {
      fill: var(--ground);
      font: 700 19px var(--head);
    }
    text {
      fill: var(--quiet);
      font: 500 18px var(--text);
    }
  `,
})
export class PrimingDrawn {
  private readonly units = inject(Units);
  private readonly weightsOf = injectWeightsOf();
  /** Of the sugar in all, g. */
  readonly massG = input.required<number>();
  /** Which sugar, by id and in words. */
  readonly sugarId = input.required<string>();
  readonly of = input.required<string>();
  readonly mode = input.required<'bulk' | 'per-bottle'>();
  /** Of one bottle, g; null in bulk. */
  readonly eachG = input<number | null>(null);
  /** How much of it is poured, L; null for what is weighed. */
  readonly pouredL = input<number | null>(null);
  protected readonly isPoured = computed(() => this.pouredL() !== null);
  /** What is in the jug: the water for the syrup, or the juice itself, of one bottle where each has its own. */
  private readonly waterMl = computed(() => {
    const litres = this.pouredL();
    const share = (this.eachG() ?? this.massG()) / this.massG();
    return litres === null ? syrupWaterMl(this.massG()) : litres * 1000 * share;
  });
  /** Whether the maker's jug is marked in millilitres. */
  protected readonly inMl = computed(() => this.units.preferences().volume === 'L');
  protected readonly water = computed(() => this.units.volume(this.waterMl() / 1000));
  protected readonly weight = computed(() => this.units.mass(this.massG()));
  private readonly jugMl = computed(() => JUG_STEPS_ML.find((ml) => ml >= this.waterMl() * 1.2) ?? LARGEST_JUG_ML);
  protected readonly level = computed(() => this.yOf(this.waterMl()));
  protected readonly marks = computed(() => [0.25, 0.5, 0.75].map((share) => ({ ml: Math.round(this.jugMl() * share), y: this.yOf(this.jugMl() * share) })));
  protected readonly spoons = computed(() => {
    const each = this.eachG();
    const spoons = levelSpoonsText(each ?? this.massG(), this.weightsOf()('sugar', this.sugarId()).gramsPerTeaspoon);
    return spoons === null ? '' : `about ${spoons}${each === null ? '' : ' a bottle'}; weighing is better`;
  });

  /** The jug narrows towards its foot. */
  protected edge(y: number): number {
    return Math.round(10 + ((y - JUG.brim) / (JUG.foot - JUG.brim)) * 9);
  }

  private yOf(ml: number): number {
    return Math.round(JUG.foot - (ml / this.jugMl()) * (JUG.foot - JUG.brim));
  }
}
