import { afterNextRender, ChangeDetectionStrategy, Component, computed, DestroyRef, inject, untracked } from '@angular/core';
import { whenIdle } from '../../browser/when-idle';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { Tape } from '../../shared/tape/tape';
import { Units } from '../../units/units';
import { Vessel } from '../../shared/vessel/vessel';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { CrateFront } from './crate-front';
import { FirstRun } from './first-run';
import { JobList } from './job-list';
import { shelfItems } from './shelf-items';
import { countText } from '@trug/core/matter/quantity/count-text';
import { appFeature } from '../../state/app.reducer';
import { BatchPageActions } from '../../state/batches.actions';
import { vesselsFeature } from '../../state/vessels.reducer';

/** How many batches' logs are fetched before one is opened. */
const MOST_AHEAD = 12;

/** Home: the maker's vessels on a plank, drawn to scale, and what is due. */
@Component({
  selector: 'trug-shelf',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, Vessel, Tape, CrateFront, FirstRun, JobList],
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

  constructor() {
    const destroyed = inject(DestroyRef);
    // What stands here is opened next: its logs come while nothing else goes on.
    afterNextRender(() => destroyed.onDestroy(whenIdle(() => untracked(() => this.warmAll()))));
  }

  private warmAll(): void {
    const ids = new Set(this.items().map((item) => item.batchId));
    this.warm([...ids].slice(0, MOST_AHEAD));
  }

  /** Asks for the logs of batches that are about to be opened. */
  protected warm(ids: readonly string[]): void {
    const batchIds = this.views().flatMap(({ batch }) => (ids.includes(batch.id) && batch.entries === null ? [batch.id] : []));
    if (batchIds.length > 0) this.store.dispatch(BatchPageActions.logsWanted({ batchIds }));
  }
}
