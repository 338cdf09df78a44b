import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Judged } from './judged';
import { outcomeWords } from './outcome-words';

/** What everybody said, opened at last, with how often chance does as much, and what so few could have found. */
@Component({
  selector: 'trug-blind-told',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ outcome().headline }}</h2>
    <p>{{ outcome().sure }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">Who tasted</th>
          @if (trial().way === 'triangle') {
            <th scope="col">{{ words().join(' or ') }}</th>
          } @else {
            @for (word of words(); track word; let glass = $index) {
              <th scope="col" [class.best]="outcome().best === glass">{{ word }}</th>
            }
          }
        </tr>
      </thead>
      <tbody>
        @for (taster of trial().judged; track taster.name) {
          <tr>
            <th scope="row">{{ taster.name }}</th>
            @if (trial().way === 'triangle') {
              <td>{{ taster.said[0] === 1 ? 'found it' : 'did not' }}</td>
            } @else {
              @for (word of words(); track word; let glass = $index) {
                <td class="num" [class.best]="outcome().best === glass">{{ placeOf(taster.said, glass) }}</td>
              }
            }
          </tr>
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
    .best {
      font-weight: 600;
    }
    th.best {
      color: var(--leaf);
    }
  `,
})
export class BlindTold {
  readonly trial = input.required<Judged>();
  readonly words = input.required<readonly string[]>();
  protected readonly outcome = computed(() => outcomeWords(this.trial(), this.words()));

  protected placeOf(said: readonly number[], glass: number): number {
    return said.indexOf(glass) + 1;
  }
}
