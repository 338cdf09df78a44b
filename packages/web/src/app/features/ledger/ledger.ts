import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatSort, MatSortHeader, type Sort } from '@angular/material/sort';
import { MatTableModule } from '@angular/material/table';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { vesselsFeature } from '../../state/vessels.reducer';
import { Units } from '../../units/units';
import { ledgerRows, narrowed, sorted, type LedgerColumn, type Whereabouts } from './ledger-rows';

const COLUMNS: readonly LedgerColumn[] = ['name', 'begun', 'where', 'gravity', 'strength', 'left'];
/** More than anyone reads at once. */
const A_PAGE = 100;

/** All batches there ever were, one line each, to be found, sorted and opened. */
@Component({
  selector: 'trug-ledger',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, MatTableModule, MatSort, MatSortHeader, TextField, ToggleField, SelectField],
  templateUrl: './ledger.html',
  styleUrl: './ledger.scss',
})
export class Ledger {
  private readonly store = inject(Store);
  private readonly units = inject(Units);
  private readonly views = this.store.selectSignal(selectBatchViews);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectVesselById);
  /** What was looked for on the shelf. */
  readonly find = input<string>();
  protected readonly columns = COLUMNS;
  protected readonly stages = [
    { id: '', name: 'All' },
    { id: 'on', name: 'On' },
    { id: 'bottled', name: 'In bottle' },
    { id: 'gone', name: 'Gone' },
  ];
  protected readonly form = new FormGroup({
    find: new FormControl<string | null>(null),
    is: new FormControl<Whereabouts | ''>('', { nonNullable: true }),
    year: new FormControl('', { nonNullable: true }),
  });
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.value });
  private readonly sort = signal<Sort>({ active: 'begun', direction: 'desc' });
  private readonly pages = signal(1);
  private readonly all = computed(() => ledgerRows(this.views(), this.vessels(), this.units));
  protected readonly years = computed(() => {
    const years = [...new Set(this.all().map((row) => row.begunOn.slice(0, 4)))].sort().reverse();
    return years.map((year) => ({ id: year, name: year }));
  });
  protected readonly fitting = computed(() => {
    const { find, is = '', year = '' } = this.typed();
    const { active, direction } = this.sort();
    const rows = narrowed(this.all(), { find: find ?? this.find() ?? '', is, year });
    return sorted(rows, COLUMNS.find((c) => c === active) ?? 'begun', direction === 'asc' ? 'asc' : 'desc');
  });
  protected readonly rows = computed(() => this.fitting().slice(0, this.pages() * A_PAGE));
  protected readonly more = computed(() => this.fitting().length - this.rows().length);
  protected readonly told = computed(() => {
    const [found, all] = [this.fitting().length, this.all().length];
    return `${found === all ? all : `${found} of ${all}`} ${all === 1 ? 'batch' : 'batches'}`;
  });

  protected sortBy(sort: Sort): void {
    this.sort.set(sort);
  }

  protected showMore(): void {
    this.pages.update((pages) => pages + 1);
  }
}
