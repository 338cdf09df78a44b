import type { BlendTargets } from './blend-types.js';

/** A way a maker would ask for a blend. */
export interface BlendStyle {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly fermented: boolean;
  readonly targets: BlendTargets;
}

/** Targets by style in words. @source our estimates of usual cider and perry at home; taste decides */
export const BLEND_STYLES: readonly BlendStyle[] = [
  { id: 'all-round', name: 'All-round', says: 'fresh, a little grip', fermented: false, targets: { sg: 1.052, taGPerL: 5.5, tanninGPerL: 1 } },
  { id: 'sharp-light', name: 'Sharp and light', says: 'lively, for sparkling', fermented: false, targets: { sg: 1.046, taGPerL: 7, tanninGPerL: 0.5 } },
  { id: 'full-tannic', name: 'Full and tannic', says: 'for keeping', fermented: false, targets: { sg: 1.058, taGPerL: 4.5, tanninGPerL: 2 } },
  { id: 'soft-perry', name: 'Soft perry', says: 'gentle acid, some sweetness left', fermented: false, targets: { sg: 1.054, taGPerL: 4, tanninGPerL: 0.6 } },
  {
    id: 'back-sweetening',
    name: 'Base for sweetening',
    says: 'sharper, as sugar will hide acid',
    fermented: false,
    targets: { sg: 1.05, taGPerL: 7.5, tanninGPerL: 1.2 },
  },
  { id: 'wild-safe', name: 'Safe for wild yeast', says: 'pH low enough to start clean', fermented: false, targets: { sg: 1.052, ph: 3.5 } },
  { id: 'table', name: 'For the table', says: 'dry, fresh, moderate', fermented: true, targets: { abv: 6.5, taGPerL: 5.5, tanninGPerL: 1 } },
  { id: 'light-strength', name: 'Lighter', says: 'less strength, lively acid', fermented: true, targets: { abv: 5, taGPerL: 6 } },
];
