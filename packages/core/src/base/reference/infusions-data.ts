import type { CautionId } from '../cautions/catalogue.js';

/** What sort of thing steeps in a drink. */
export type InfusionGroup = 'wood' | 'spice' | 'peel' | 'hops' | 'flower' | 'fruit';

/** Something that steeps in a working or finished drink and is taken out again. */
export interface Infusion {
  readonly id: string;
  readonly name: string;
  readonly group: InfusionGroup;
  /** From faint to strong, g in a litre. */
  readonly gPerL: readonly [number, number, number];
  /** First taste, usual, and longest, days. */
  readonly days: readonly [number, number, number];
  /** Sugar it brings, g of hexose in a gram, all of it counted; none of wood and spice. */
  readonly sugarGPerG: number;
  /** Acid it brings, g in a gram, and which: bacteria turn malic into gas. */
  readonly acidGPerG: number;
  readonly acid: 'citric' | 'malic';
  readonly cautions: readonly CautionId[];
}

type Rough = readonly [id: string, name: string, gPerL: Infusion['gPerL'], days: Infusion['days']];

const plain = (group: InfusionGroup, cautions: Infusion['cautions'], ...list: readonly Rough[]): readonly Infusion[] =>
  list.map(([id, name, gPerL, days]) => ({ id, name, group, gPerL, days, sugarGPerG: 0, acidGPerG: 0, acid: 'citric', cautions }));
const fruit = (...list: readonly (readonly [...Rough, sugarGPerG: number, acidGPerG: number, acid: Infusion['acid'], stones?: true])[]): readonly Infusion[] =>
  list.map(([id, name, gPerL, days, sugarGPerG, acidGPerG, acid, stones]) => ({
    ...{ id, name, group: 'fruit' as const, gPerL, days, sugarGPerG, acidGPerG, acid },
    cautions: stones ? ['steeped-mould', 'stones'] : ['steeped-mould'],
  }));

/**
 * What makers steep, with how much and how long.
 *
 * @source amounts and days our estimates from household practice, to be tasted; sugar and acid of fruit rounded up from usual food
 *   composition tables, because too little counted would be the dangerous side
 */
export const INFUSIONS: readonly Infusion[] = [
  ...plain(
    'wood',
    [],
    ['oak-light', 'oak chips, lightly toasted', [0.8, 1.5, 3], [7, 28, 90]],
    ['oak-dark', 'oak chips, well toasted', [0.5, 1, 2], [7, 21, 60]],
    ['oak-staves', 'oak sticks or cubes', [1, 2, 4], [21, 60, 180]],
  ),
  ...plain(
    'spice',
    [],
    ['cinnamon', 'cinnamon bark', [0.3, 0.8, 2], [4, 14, 28]],
    ['clove', 'cloves', [0.03, 0.08, 0.2], [2, 7, 14]],
    ['ginger', 'fresh ginger, sliced', [3, 8, 20], [3, 10, 21]],
    ['vanilla', 'vanilla pods, split', [0.1, 0.3, 0.8], [7, 21, 42]],
    ['cardamom', 'cardamom pods', [0.1, 0.3, 0.6], [3, 10, 21]],
    ['star-anise', 'star anise', [0.1, 0.3, 0.6], [3, 10, 21]],
    ['juniper', 'juniper berries', [0.3, 0.8, 2], [4, 14, 28]],
  ),
  ...plain('peel', [], ['orange-peel', 'orange peel, no white', [1, 3, 8], [2, 6, 14]], ['lemon-peel', 'lemon peel, no white', [1, 2, 6], [2, 5, 14]]),
  ...plain('hops', ['hops-dogs'], ['hops', 'dried hops', [0.8, 2, 5], [2, 4, 7]]),
  ...plain(
    'flower',
    ['steeped-mould'],
    ['elderflower', 'elderflowers, off the stalk', [2, 5, 12], [1, 3, 6]],
    ['hibiscus', 'dried hibiscus', [1, 3, 8], [1, 4, 10]],
    ['rose', 'rose petals', [1, 3, 8], [1, 4, 8]],
    ['camomile', 'dried camomile', [0.5, 1.5, 4], [1, 3, 7]],
  ),
  ...fruit(
    ['raspberry', 'raspberries', [40, 100, 250], [3, 10, 21], 0.05, 0.02, 'citric'],
    ['blackberry', 'blackberries', [40, 100, 250], [3, 10, 21], 0.06, 0.012, 'malic'],
    ['blackcurrant', 'blackcurrants', [20, 60, 150], [3, 10, 28], 0.09, 0.035, 'citric'],
    ['strawberry', 'strawberries', [50, 150, 300], [2, 7, 14], 0.06, 0.01, 'citric'],
    ['cherry', 'cherries', [40, 100, 250], [4, 14, 28], 0.14, 0.01, 'malic', true],
    ['plum', 'plums', [40, 100, 250], [4, 14, 28], 0.1, 0.012, 'malic', true],
    ['quince', 'quinces, in slices', [30, 80, 200], [5, 14, 28], 0.09, 0.012, 'malic'],
    ['rhubarb', 'rhubarb', [30, 80, 200], [3, 10, 21], 0.02, 0.015, 'malic'],
  ),
];
