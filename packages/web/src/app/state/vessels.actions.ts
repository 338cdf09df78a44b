import type { Problem, VesselDto } from '@trug/contract/plain';
import { createActionGroup, props } from '@ngrx/store';

/** What people do with vessels. */
export type VesselWrite =
  | { readonly act: 'add'; readonly vessel: VesselDto }
  | { readonly act: 'remove'; readonly vessel: VesselDto }
  /** Put right, or put away for good; `was` as it was read. */
  | { readonly act: 'change'; readonly vessel: VesselDto; readonly was: VesselDto }
  /** Cleaned now. */
  | { readonly act: 'clean'; readonly vessel: VesselDto; readonly at: string }
  /** The last cleaning taken back. */
  | { readonly act: 'unclean'; readonly vessel: VesselDto; readonly at: string };

export const VesselPageActions = createActionGroup({
  source: 'Vessel Page',
  events: { 'Vessel Sent': props<{ readonly sent: VesselWrite }>() },
});

/** What the server answers; `sent` is the very object that was sent. */
export const VesselApiActions = createActionGroup({
  source: 'Vessel API',
  events: {
    'Vessel Stored': props<{ readonly sent: VesselWrite; readonly vessel: VesselDto }>(),
    'Vessel Gone': props<{ readonly sent: VesselWrite }>(),
    'Vessel Refused': props<{ readonly sent: VesselWrite; readonly problem: Problem }>(),
  },
});
