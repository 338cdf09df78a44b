import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { BlindSession } from '@trug/core/finish/trial/blind-session';
import type { TrialWay } from '@trug/core/finish/trial/trial-substance';
import { Units } from '../../units/units';

/** What to pour into which glass, for whoever pours and does not taste; and a card for each glass on paper. */
@Component({
  selector: 'trug-blind-pour',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="screen">
      <h2>Pour</h2>
      <p>
        Only whoever pours sees this page. Write the numbers on the glasses, pour
        {{ units.volume(glassMl() / 1000) }} into each{{ amounts().length > 0 ? ', stir,' : '' }} and let nobody see.
      </p>
      @for (table of tables(); track $index) {
        @if (table.name) {
          <h3>For {{ table.name }}</h3>
        }
        <table>
          <thead>
            <tr>
              <th scope="col">On the glass</th>
              <th scope="col">{{ name() }}</th>
              @if (amounts().length > 0) {
                <th scope="col">Into it</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (glass of table.glasses; track glass.code) {
              <tr>
                <th scope="row" class="code num">{{ glass.code }}</th>
                <td>{{ words()[glass.drink] }}</td>
                @if (amounts().length > 0) {
                  <td class="num">{{ amounts()[glass.drink] }}</td>
                }
              </tr>
            }
          </tbody>
        </table>
      }
      <button class="link" type="button" (click)="print()">Print a card for each glass</button>
    </div>
    <div class="cards" aria-hidden="true">
      @for (code of codes(); track code) {
        <div class="glass-card num">{{ code }}</div>
      }
    </div>
  `,
  styles: `
    h2,
    h3 {
      margin: 0 0 0.5rem;
      font-size: 1.125rem;
    }
    h3 {
      font-size: 1rem;
    }
    table {
      border-collapse: collapse;
      margin: 0 0 1rem;
      min-width: min(26rem, 100%);
    }
    th,
    td {
      padding: 0.375rem 1rem 0.375rem 0;
      border-bottom: 1px solid var(--line);
      text-align: left;
    }
    .code {
      font: 400 1.75rem var(--hand);
    }
    .cards {
      display: none;
    }
    @media print {
      .screen {
        display: none;
      }
      .cards {
        display: flex;
        flex-wrap: wrap;
      }
      .glass-card {
        width: 55mm;
        height: 40mm;
        border: 0.3mm dashed #888;
        display: grid;
        place-items: center;
        font: 400 18mm var(--hand);
        break-inside: avoid;
      }
    }
  `,
})
export class BlindPour {
  protected readonly units = inject(Units);
  readonly session = input.required<BlindSession>();
  readonly way = input.required<TrialWay>();
  readonly names = input.required<readonly string[]>();
  readonly name = input.required<string>();
  /** Each drink in words. */
  readonly words = input.required<readonly string[]>();
  /** What goes into the glass of each; empty where it is poured as it is. */
  readonly amounts = input<readonly string[]>([]);
  readonly glassMl = input.required<number>();
  /** One list for all where the glasses are the same; one each where everybody has other numbers. */
  protected readonly tables = computed(() => {
    const { served } = this.session();
    if (this.way() === 'triangle') return served.map((glasses, i) => ({ name: this.names()[i] ?? '', glasses }));
    return [{ name: '', glasses: [...(served[0] ?? [])].sort((a, b) => a.code - b.code) }];
  });
  protected readonly codes = computed(() => this.tables().flatMap(({ glasses }) => glasses.map((glass) => glass.code)));

  protected print(): void {
    window.print();
  }
}
