import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { QuantityField } from '../../../shared/field/quantity-field';
import { Units } from '../../../units/units';
import type { BenchSource } from './bench-sources';
import { limitsOf, type TypedLimits } from './limits-draft';

/** Least and most to pour of each juice, in the maker's own units. */
@Component({
  selector: 'trug-juice-limits',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField],
  template: `
    <details [open]="said() !== ''">
      <summary class="link">Least and most of each{{ said() }}</summary>
      <div class="rows">
        @for (row of rows(); track row.source.id) {
          <b>{{ row.source.name }}</b>
          <trug-quantity
            [label]="'At least'"
            [name]="'least-' + row.source.id"
            dimension="volume"
            [placeholder]="units.example('volume', 0)"
            [text]="row.typed.least"
            (textChange)="change(row.source.id, { least: $event, most: row.typed.most })"
            [error]="row.problem"
          />
          <trug-quantity
            [label]="'At most'"
            [name]="'most-' + row.source.id"
            dimension="volume"
            [placeholder]="units.volume(row.source.leftL)"
            [text]="row.typed.most"
            (textChange)="change(row.source.id, { least: row.typed.least, most: $event })"
          />
        }
      </div>
    </details>
  `,
  styles: `
    summary {
      display: inline-block;
      padding: 0.5rem 0;
      cursor: pointer;
    }
    .rows {
      display: grid;
      grid-template-columns: minmax(120px, 1fr) repeat(2, minmax(0, 190px));
      gap: 0.5rem 1rem;
      align-items: center;
      padding: 0.25rem 0 0.75rem;
    }
    trug-quantity {
      grid-template-columns: auto minmax(0, 1fr);
      align-items: center;
      column-gap: 0.5rem;
    }
    @media (max-width: 719px) {
      .rows {
        grid-template-columns: repeat(2, minmax(0, 1fr));
      }
      b {
        grid-column: 1 / -1;
      }
      trug-quantity {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class JuiceLimits {
  protected readonly units = inject(Units);
  readonly sources = input.required<readonly BenchSource[]>();
  readonly typed = input.required<TypedLimits>();
  readonly changed = output<TypedLimits>();
  protected readonly rows = computed(() =>
    this.sources().map((source) => {
      const typed = this.typed()[source.id] ?? { least: '', most: '' };
      return { source, typed, problem: limitsOf(typed, source.leftL, this.units).problem };
    }),
  );
  protected readonly said = computed(() => {
    const set = this.rows().filter((r) => r.typed.least.trim() !== '' || r.typed.most.trim() !== '').length;
    return set === 0 ? '' : `: set for ${set}`;
  });

  protected change(id: string, typed: TypedLimits[string]): void {
    this.changed.emit({ ...this.typed(), [id]: typed });
  }
}
