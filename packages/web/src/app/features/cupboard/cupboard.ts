import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { countText } from '@trug/core/matter/quantity/count-text';
import { vesselsFeature } from '../../state/vessels.reducer';
import { InstrumentList } from './instrument-list';
import { PlaceList } from './place-list';
import { SupplyList } from './supply-list';
import { VesselList } from './vessel-list';

/** The cupboard: vessels, places, instruments, and what is used up. */
@Component({
  selector: 'trug-cupboard',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [VesselList, InstrumentList, PlaceList, SupplyList],
  templateUrl: './cupboard.html',
})
export class Cupboard {
  protected readonly countText = countText;
  protected readonly inUse = inject(Store).selectSignal(vesselsFeature.selectInUse);
}
