import type { IconName } from '../shared/icon/icon';

/** A place of the rail. */
export interface Place {
  readonly path: string;
  readonly name: string;
  readonly icon: IconName;
  /** Key pressed after `g`. */
  readonly key: string;
  readonly low: boolean;
}

/** The places in the order the year runs. */
export const PLACES: readonly Place[] = [
  { path: 'shelf', name: 'Shelf', icon: 'shelf', key: 's', low: false },
  { path: 'juice', name: 'Juice', icon: 'juice', key: 'j', low: false },
  { path: 'year', name: 'Year', icon: 'year', key: 'y', low: false },
  { path: 'cellar', name: 'Cellar', icon: 'cellar', key: 'c', low: false },
  { path: 'practice', name: 'Practice', icon: 'practice', key: 'p', low: false },
  { path: 'cupboard', name: 'Cupboard', icon: 'cupboard', key: 'u', low: true },
  { path: 'settings', name: 'Settings', icon: 'settings', key: ',', low: true },
];
