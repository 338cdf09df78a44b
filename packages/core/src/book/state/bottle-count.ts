import { bottleById } from '../../base/reference/bottle-kinds.js';

/** A count of one kind of bottle. */
export interface BottleCount {
  readonly kindId: string;
  readonly count: number;
}

/** What bottles hold, filled as their sizes say, L. */
export const litresOf = (bottles: readonly BottleCount[]): number =>
  bottles.reduce((sum, { kindId, count }) => sum + (count * bottleById(kindId).sizeMl) / 1000, 0);

/** Bottles by kind in words, such as `12 × swing-top 500 mL, 1 × fizzy-drink plastic 500 mL`. */
export const bottlesText = (bottles: readonly BottleCount[]): string => bottles.map(({ kindId, count }) => `${count} × ${bottleById(kindId).name}`).join(', ');
