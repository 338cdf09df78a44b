import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { TAP_C, warmthForPitch } from '@trug/core/juice/warmth/warmth-for-pitch';
import { coolingText, type CoolDown } from '@trug/core/juice/warmth/cool-down';
import { CautionList } from '../../shared/caution/caution-list';
import { Working } from '../../shared/working/working';
import { Units } from '../../units/units';

const HOUR_MS = 3_600_000;

/** How a juice that is too cold or too warm comes to where its yeast is at its best, and when it may be pitched. */
@Component({
  selector: 'trug-warmth-note',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CautionList, Working],
  template: `
    @if (worked(); as w) {
      <section>
        <h2>{{ head() }}</h2>
        @for (line of lines(); track line) {
          <p>{{ line }}</p>
        }
        <trug-working [steps]="w.steps" />
        <trug-cautions [cautions]="w.cautions" />
      </section>
    }
  `,
  styles: `
    section {
      display: grid;
      gap: 0.375rem;
      padding: 0.75rem 0 0.75rem 0.875rem;
      border-left: 4px solid var(--slate);
    }
    h2 {
      font-size: 1.125rem;
    }
    h2,
    p {
      margin: 0;
    }
  `,
})
export class WarmthNote {
  private readonly units = inject(Units);
  readonly yeastId = input.required<string>();
  /** How much juice there is, L, and how warm it is, °C. */
  readonly volumeL = input.required<number>();
  readonly juiceC = input.required<number>();
  /** Of the place where it stands, °C; null when nobody knows. */
  readonly airC = input.required<number | null>();
  /** ISO 8601. */
  readonly now = input.required<string>();
  /** How it comes to where this kind is at its best; null where it is there. */
  private readonly best = computed(() =>
    this.juiceC() < 0 ? null : warmthForPitch({ yeastId: this.yeastId(), volumeL: this.volumeL(), juiceC: this.juiceC(), placeC: this.airC() }),
  );
  protected readonly head = computed(() => {
    const best = this.best();
    if (!best) return '';
    const wanted = this.units.temperature(best.wantedC);
    return best.way === 'warm' ? `To warm it to ${wanted}, where this kind is at its best` : `To cool it to ${wanted}, the warm end of this kind’s best`;
  });
  protected readonly lines = computed((): readonly string[] => {
    const best = this.best();
    if (!best) return [];
    if (best.way === 'warm') {
      const { heatL, panC } = best.warm.value;
      const { units } = this;
      return [`Heat ${units.volumeAbout(heatL)} of it to ${units.temperature(panC)}, no hotter, and stir it slowly back into the rest.`];
    }
    const airC = this.airC();
    return [
      ...(best.air && airC !== null ? [`Left at ${this.units.temperature(airC)}: ${this.span(best.air.value)}`] : []),
      ...(best.air === null && airC !== null ? [`Left at ${this.units.temperature(airC)} it comes no cooler than that.`] : []),
      ...(best.bath ? [`In a bath of water at ${this.units.temperature(TAP_C)}, stirred now and then: ${this.span(best.bath.value)}`] : []),
      'The thermometer decides.',
    ];
  });
  protected readonly worked = computed(() => {
    const best = this.best();
    if (!best) return null;
    if (best.way === 'warm') return best.warm;
    return { steps: [best.air, best.bath].flatMap((w) => w?.steps ?? []), cautions: [] };
  });

  /** How long, and from when to when it is ready. */
  private span({ hours }: CoolDown): string {
    const [from, to] = hours.map((h) => new Date(Date.parse(this.now()) + h * HOUR_MS).toISOString()) as [string, string];
    const { units } = this;
    const [day, until] = [units.day(from, true), units.day(to, true)];
    const ready = day === until ? `${units.hour(from)} and ${units.hour(to)} on ${day}` : `${units.hour(from)} on ${day} and ${units.hour(to)} on ${until}`;
    return `${coolingText(hours)}, so it is ready between ${ready}.`;
  }
}
