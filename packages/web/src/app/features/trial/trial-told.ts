import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { TrialledPayload } from '@trug/core';
import { RARE } from '@trug/core/finish/trial/taste-tests';
import { trialOutcome } from '@trug/core/finish/trial/trial-outcome';
import { countText } from '@trug/core/matter/quantity/count-text';

const share = (chance: number): string => (chance < 0.001 ? 'less than once in a thousand' : `${Math.round(chance * 1000) / 10} times in 100`);

/** What everybody said, opened at last, with how often chance does as much, and what so few could have found. */
@Component({
  selector: 'trug-trial-told',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ headline() }}</h2>
    <p>{{ sure() }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ name() }}</th>
          @for (taster of trial().judged; track taster.name) {
            <th scope="col">{{ taster.name }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @if (trial().way === 'triangle') {
          <tr>
            <th scope="row">{{ words().join(' or ') }}</th>
            @for (taster of trial().judged; track taster.name) {
              <td>{{ taster.said[0] === 1 ? 'found it' : 'did not' }}</td>
            }
          </tr>
        } @else {
          @for (word of words(); track word; let glass = $index) {
            <tr [class.best]="outcome().best === glass">
              <th scope="row">{{ word }}</th>
              @for (taster of trial().judged; track taster.name) {
                <td class="num">{{ placeOf(taster.said, glass) }}</td>
              }
            </tr>
          }
        }
      </tbody>
    </table>
  `,
  styles: `
    h2 {
      margin: 0 0 0.5rem;
      font-size: 1.25rem;
    }
    p {
      max-width: 46rem;
    }
    table {
      border-collapse: collapse;
      margin: 0 0 1rem;
    }
    th,
    td {
      padding: 0.375rem 1.25rem 0.375rem 0;
      border-bottom: 1px solid var(--line);
      text-align: left;
      font-weight: 400;
    }
    thead th,
    .best th,
    .best td {
      font-weight: 600;
    }
    .best th {
      color: var(--leaf);
    }
  `,
})
export class TrialTold {
  readonly trial = input.required<TrialledPayload>();
  readonly words = input.required<readonly string[]>();
  readonly name = input.required<string>();
  protected readonly outcome = computed(() => trialOutcome(this.trial()));
  protected readonly headline = computed(() => {
    const { best, correct } = this.outcome();
    if (correct !== null) return `${correct} of ${countText(this.trial().judged.length, 'taster')} found the odd glass`;
    const word = best === null ? null : this.words()[best];
    return word ? `Liked best: ${word}` : 'None came first by itself';
  });
  protected readonly sure = computed(() => {
    const { chance, leastChance, finds } = this.outcome();
    const often = `Guessing alone does as much ${share(chance)}.`;
    if (finds !== null) {
      const found = `A test of this size finds a difference that half the people can taste ${Math.round(finds * 100)} times in 100`;
      return `${often} ${chance < RARE ? 'They can be told apart.' : `${found}: that none was found does not mean that there is none.`}`;
    }
    if (leastChance >= RARE)
      return `${often} With so few at the table nothing can be told from chance, even when all agree: take it as what you liked tonight.`;
    return `${often} ${chance < RARE ? 'The order is more than chance.' : 'Others on another evening may well say otherwise.'}`;
  });

  protected placeOf(said: readonly number[], glass: number): number {
    return said.indexOf(glass) + 1;
  }
}
