import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, untracked } from '@angular/core';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule } from '@angular/forms';
import { QuantityField } from '../../../shared/field/quantity-field';
import { Units } from '../../../units/units';
import type { BenchSource } from './bench-sources';
import { limitsOf, type TypedLimits } from './limits-draft';

/** Least and most to pour of each juice, in the maker's own units. */
@Component({
  selector: 'trug-juice-limits',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField, ReactiveFormsModule],
  template: `
    <details [open]="said() !== ''">
      <summary class="link">Least and most of each{{ said() }}</summary>
      <div class="rows">
        @for (row of rows(); track row.source.id) {
          <b>{{ row.source.name }}</b>
          <trug-quantity
            class="beside"
            label="At least"
            [name]="'least-' + row.source.id"
            dimension="volume"
            [placeholder]="units.example('volume', 0)"
            [formControl]="row.controls.least"
            [error]="row.problem"
          />
          <trug-quantity
            class="beside"
            label="At most"
            [name]="'most-' + row.source.id"
            dimension="volume"
            [placeholder]="units.volume(row.source.leftL)"
            [formControl]="row.controls.most"
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
    @media (max-width: 719px) {
      .rows {
        grid-template-columns: repeat(2, minmax(0, 1fr));
      }
      b {
        grid-column: 1 / -1;
      }
    }
  `,
})
export class JuiceLimits {
  protected readonly units = inject(Units);
  readonly sources = input.required<readonly BenchSource[]>();
  readonly typed = input.required<TypedLimits>();
  readonly changed = output<TypedLimits>();
  /** A pair of fields for each juice; what was typed is kept by the bench. */
  private readonly form = computed(() => {
    const typed = untracked(this.typed);
    const field = (text: string) => new FormControl(text, { nonNullable: true });
    const pairOf = ({ id }: BenchSource) => new FormGroup({ least: field(typed[id]?.least ?? ''), most: field(typed[id]?.most ?? '') });
    return new FormRecord(Object.fromEntries(this.sources().map((source) => [source.id, pairOf(source)])));
  });
  protected readonly rows = computed(() =>
    this.sources().flatMap((source) => {
      const typed = this.typed()[source.id] ?? { least: '', most: '' };
      const controls = this.form().controls[source.id]?.controls;
      return controls ? [{ source, typed, controls, problem: limitsOf(typed, source.leftL, this.units).problem }] : [];
    }),
  );
  protected readonly said = computed(() => {
    const set = this.rows().filter((r) => r.typed.least.trim() !== '' || r.typed.most.trim() !== '').length;
    return set === 0 ? '' : `: set for ${set}`;
  });

  constructor() {
    effect((onCleanup) => {
      const form = this.form();
      const following = form.valueChanges.subscribe(() => this.changed.emit({ ...untracked(this.typed), ...form.getRawValue() }));
      onCleanup(() => following.unsubscribe());
    });
  }
}
