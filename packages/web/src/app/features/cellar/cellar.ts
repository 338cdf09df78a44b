import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { map } from 'rxjs';
import { ANY_CRATE, crateFits, crateSweetness, crateYear, type CrateWish } from '@trug/core/book/tasting/crate-find';
import { countText } from '@trug/core/matter/quantity/count-text';
import { GONE_WORDS, type GoneWay } from '@trug/core/book/kinds/opened';
import { caution } from '@trug/core/base/cautions/catalogue';
import { CautionList } from '../../shared/caution/caution-list';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { Tape } from '../../shared/tape/tape';
import { Vessel } from '../../shared/vessel/vessel';
import { Units } from '../../units/units';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { cellarKegs } from './cellar-kegs';
import { cellarCrates, type CellarCrate } from './cellar-crates';
import { selectPrices } from '../../state/prices.selectors';
import { appFeature } from '../../state/app.reducer';
import { LogWriter } from '../../writing/log-writer';

/** So few are seen at a glance, and asked nothing about. */
const FEW_CRATES = 3;

/** The cellar: crates from the top, what is left in each, and when it drinks well. */
@Component({
  selector: 'trug-cellar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, SelectField, Tape, TextField, ToggleField, Vessel, CautionList, MatMenu, MatMenuItem, MatMenuTrigger],
  templateUrl: './cellar.html',
  styleUrl: './cellar.scss',
})
export class Cellar {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  private readonly units = inject(Units);
  private readonly views = this.store.selectSignal(selectBatchViews);
  private readonly prices = this.store.selectSignal(selectPrices);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  protected readonly crates = computed(() => cellarCrates(this.views(), this.now(), this.units, this.prices()));
  protected readonly kegs = computed(() => cellarKegs(this.views(), this.units));
  protected readonly form = new FormGroup({
    find: new FormControl('', { nonNullable: true }),
    fizz: new FormControl<CrateWish['fizz']>('', { nonNullable: true }),
    sweetness: new FormControl('', { nonNullable: true }),
    year: new FormControl('', { nonNullable: true }),
    place: new FormControl('', { nonNullable: true }),
  });
  private readonly wish = toSignal(this.form.valueChanges.pipe(map((): CrateWish => this.form.getRawValue())), { initialValue: ANY_CRATE });
  protected readonly shown = computed(() => this.crates().filter((crate) => crateFits(crate.found, this.wish())));
  protected readonly isSearched = computed(() => this.crates().length > FEW_CRATES);
  protected readonly fizzes = [
    { id: '', name: 'any' },
    { id: 'still', name: 'still' },
    { id: 'sparkling', name: 'sparkling' },
  ];
  protected readonly sweetnesses = computed(() => this.offered((c) => crateSweetness(c.crate)));
  protected readonly years = computed(() => this.offered((c) => crateYear(c.crate, this.units.zone())));
  protected readonly places = computed(() => this.offered((c) => c.crate.place ?? ''));
  private offered(of: (crate: CellarCrate) => string): readonly { readonly id: string; readonly name: string }[] {
    return [...new Set(this.crates().map(of))].filter((each) => each !== '').sort().map((each) => ({ id: each, name: each })); // prettier-ignore
  }

  /** What stands here, in a line; empty where nothing does. */
  protected readonly stock = computed(() => {
    const [crates, kegs] = [this.crates(), this.kegs()];
    const bottles = crates.reduce((sum, crate) => sum + crate.left, 0);
    const inCrates = crates.length > 0 ? [`${countText(bottles, 'bottle')} in ${countText(crates.length, 'crate')}`] : [];
    return [...inCrates, ...(kegs.length > 0 ? [countText(kegs.length, 'keg')] : [])].join(', ');
  });
  protected readonly cautions = computed(() => [
    ...(this.crates().length > 0 ? [caution('burst-glass')] : []),
    ...(this.crates().some((c) => c.awaitsHeat) ? [caution('heat-due')] : []),
    ...(this.crates().some((c) => c.held !== null && !c.awaitsHeat) ? [caution('re-ferment')] : []),
    ...(this.kegs().length > 0 ? [caution('keg')] : []),
    caution('strength'),
  ]);

  /** A bottle leaves its crate: opened, or in another way. */
  protected takeOne({ batchId, crate, left }: CellarCrate, kindId: string, how?: GoneWay): void {
    // Never before what it was filled with, however quickly the one follows the other.
    const after = this.views().find((v) => v.batch.id === batchId)?.state.lastEntryAt ?? null;
    const payload = { kindId, count: 1, crateId: crate.id, ...(how === undefined ? {} : { how }) };
    const entry = this.writer.entry(batchId, { kind: 'opened', payload }, after);
    void this.writer.file(
      { batches: [], entries: [entry] },
      `One of ${crate.name} ${how === undefined ? 'opened' : GONE_WORDS[how].toLowerCase()}, ${left - 1} left.`,
    );
  }
}
