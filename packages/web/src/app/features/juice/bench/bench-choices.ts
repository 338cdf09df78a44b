import type { BlendUse } from '@trug/core';

/** What stands on the bench. */
export const MODES = [
  { id: 'juice', name: 'Juices' },
  { id: 'cider', name: 'Finished ciders' },
];
/** What is preferred among blends as good as one another. */
export const USES: readonly { readonly id: BlendUse; readonly name: string }[] = [
  { id: 'closest', name: 'Closest' },
  { id: 'least-waste', name: 'Least left over' },
  { id: 'cheapest', name: 'Cheapest' },
];
/** Measures people pour with. @source usual kitchen and cellar jugs */
export const MEASURES: readonly { readonly litres: number; readonly says: string }[] = [
  { litres: 0.05, says: ', a small glass' },
  { litres: 0.1, says: '' },
  { litres: 0.25, says: ', a cup' },
  { litres: 0.5, says: ', half a jug' },
  { litres: 1, says: ', a jug' },
  { litres: 2.5, says: ', half a big jug' },
];
