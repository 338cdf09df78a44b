import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { Tape } from '../../shared/tape/tape';
import { Units } from '../../units/units';
import { Vessel } from '../../shared/vessel/vessel';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { CrateFront } from './crate-front';
import { JobList } from './job-list';
import { shelfItems } from './shelf-items';
import { countText } from '@trug/core/matter/quantity/count-text';
import { appFeature } from '../../state/app.reducer';
import { BatchPageActions } from '../../state/batches.actions';
import { vesselsFeature } from '../../state/vessels.reducer';

/** Home: the maker's vessels on a plank, drawn to scale, and what is due. */
@Component({
  selector: 'trug-shelf',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, Vessel, Tape, CrateFront, JobList],
  templateUrl: './shelf.html',
  styleUrl: './shelf.scss',
})
export class Shelf {
  private readonly store = inject(Store);
  private readonly units = inject(Units);
  private readonly views = this.store.selectSignal(selectBatchViews);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectVesselById);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  protected readonly items = computed(() => shelfItems(this.views(), this.vessels(), this.now(), this.units));
  protected readonly summary = computed(() => {
    const full = this.items().filter((item) => item.vessels.length > 0);
    const count = full.reduce((sum, item) => sum + item.vessels.length, 0);
    const litres = this.views().reduce((sum, v) => sum + (v.state.liquid?.volumeL ?? 0), 0);
    const working = full.filter((item) => item.vessels.some((v) => v.look.working)).length;
    if (count === 0) return this.items().length > 0 ? 'All vessels are empty.' : '';
    return `${countText(count, 'vessel')}, ${this.units.volumeAbout(litres)}, ${working} working`;
  });

  /** Asks for the log of a batch that is about to be opened. */
  protected warm(batchId: string): void {
    if (this.views().some(({ batch }) => batch.id === batchId && batch.entries === null)) this.store.dispatch(BatchPageActions.logWanted({ batchId }));
  }
}
