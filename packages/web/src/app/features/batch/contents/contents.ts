import { strengthText } from '../../../units/strength-text';
import { Word } from '../../../shared/word/word';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { BatchState, GuessedFigure } from '@trug/core';
import { phOf, taOf } from '@trug/core/matter/liquid/acid-chemistry';
import { drinkOf } from '@trug/core/book/state/drink-of';
import { fermentFraction } from '@trug/core/matter/liquid/ferment-to';
import { yeastAcid, type Band } from '@trug/core/matter/liquid/malic-band';
import { cartonPlusMinus } from '@trug/core/matter/measure/correct-gravity';
import { yeastById } from '@trug/core/base/reference/yeast-kinds';
import { fermentableGPerL, fermentedShare, gravityOf, sweetnessGPerL } from '@trug/core/matter/liquid/views';
import { figure } from '@trug/core/base/worked/figures';
import { PartsDrawn } from './parts-drawn';
import { Units } from '../../../units/units';

/** What is in it: the liquid as the sums have it, each figure with its unit. */
@Component({
  selector: 'trug-contents',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Word, PartsDrawn],
  template: `
    @if (rows().length > 0) {
      <div class="both">
        @if (liquid(); as l) {
          <trug-parts-drawn [liquid]="l" />
        }
        <dl>
          @for (row of rows(); track row.name) {
            <div>
              <dt><trug-word [label]="row.name" /></dt>
              <dd class="num">{{ row.value }}</dd>
            </div>
          }
        </dl>
      </div>
      <p class="hint">Reckoned from what was measured. Acid and pH not measured are taken as usual for the fruit.</p>
    } @else {
      <p class="quiet">The vessels are empty.</p>
    }
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
      gap: 0 1.5rem;
      margin: 0;
    }
    .both {
      display: grid;
      grid-template-columns: 20rem minmax(0, 1fr);
      gap: 1rem 2rem;
      align-items: start;
      padding-top: 0.75rem;
    }
    @media (max-width: 900px) {
      .both {
        grid-template-columns: minmax(0, 1fr);
      }
    }
    dl > div {
      display: flex;
      justify-content: space-between;
      padding: 0.4rem 0;
      border-bottom: 1px dotted var(--line);
    }
    dt {
      color: var(--quiet);
    }
    dd {
      margin: 0;
      font-weight: 600;
    }
  `,
})
export class Contents {
  private readonly units = inject(Units);
  readonly state = input.required<BatchState>();
  protected readonly liquid = computed(() => drinkOf(this.state())?.liquid ?? null);
  protected readonly rows = computed(() => {
    const { yeastId, pitchedAt, guessed, originalBy } = this.state();
    const drink = drinkOf(this.state());
    if (!drink) return [];
    const { liquid, must } = drink;
    const eaten =
      yeastId !== null && pitchedAt !== null && must && guessed.includes('taGPerL')
        ? yeastAcid(liquid, yeastById(yeastId), fermentedShare(liquid, must))
        : null;
    const told = (text: string, of: GuessedFigure): string => (guessed.includes(of) ? `about ${text}, not measured` : text);
    const band = ({ low, high }: Band): string =>
      high - low < 0.15 ? `${figure(high, 1)} g/L` : `${figure(low, 1)} to ${figure(high, 1)} g/L, until measured`;
    const acidRows = eaten
      ? [
          { name: 'Acid, as malic', value: band(eaten.taGPerL) },
          { name: 'Malic acid in it', value: band(eaten.malicGPerL) },
        ]
      : [
          { name: 'Acid, as malic', value: told(`${figure(taOf(liquid), 1)} g/L`, 'taGPerL') },
          { name: 'Malic acid in it', value: told(`${figure(liquid.malicGPerL, 1)} g/L`, 'taGPerL') },
        ];
    const originalSg = must ? gravityOf(must) : null;
    const original =
      originalSg === null || pitchedAt === null
        ? []
        : [
            {
              name: 'Original gravity',
              value: `${this.units.gravity(originalSg)}${originalBy === 'carton' ? ` ± ${this.units.gravityDoubt(originalSg, cartonPlusMinus(originalSg))}, by the carton alone` : ''}`,
            },
          ];
    return [
      ...original,
      { name: 'Volume', value: this.units.volume(liquid.volumeL) },
      { name: 'Gravity', value: this.units.gravity(gravityOf(liquid)) },
      { name: 'Strength now', value: strengthText(this.units, liquid, must) },
      { name: 'Strength if dry', value: strengthText(this.units, fermentFraction(liquid, 1), must) },
      { name: 'Sugar left', value: `${figure(fermentableGPerL(liquid), 0)} g/L` },
      { name: 'Sweetness, as sugar', value: `${figure(sweetnessGPerL(liquid), 0)} g/L` },
      ...acidRows,
      { name: 'pH', value: told(figure(phOf(liquid), 2), 'ph') },
      { name: 'Tannin', value: told(`${figure(liquid.tanninGPerL, 1)} g/L`, 'tanninGPerL') },
      { name: 'Sorbitol', value: `${figure(liquid.sorbitolGPerL, 0)} g/L` },
      { name: 'Sulfite, total', value: `${figure(liquid.totalSo2MgPerL, 0)} mg/L` },
      { name: 'Sulfite, free', value: `about ${figure(liquid.freeSo2MgPerL, 0)} mg/L` },
    ];
  });
}
