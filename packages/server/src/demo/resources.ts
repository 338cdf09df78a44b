import type { FruitLot } from '@trug/core';
import type { SupplyKind } from '@trug/contract';

/** A juice of the made-up season, told by the days before today. */
export interface JuiceStory {
  readonly name: string;
  readonly tape: string;
  readonly origin: 'pressed' | 'bought' | 'mill';
  readonly fruitId: string | null;
  readonly fruit: 'apple' | 'pear';
  readonly daysAgo: number;
  readonly volumeL: number;
  readonly sg?: number;
  readonly sampleC?: number;
  readonly ph?: number;
  readonly taGPerL?: number;
  readonly tanninGPerL?: number;
  readonly costPerL?: number;
  readonly preserved?: boolean;
  readonly goneL?: number;
  readonly press?: { readonly pressId: string; readonly lots: readonly FruitLot[]; readonly runsL: readonly (readonly [volumeL: number, into: string])[] };
  readonly note?: string;
}

const lot = (fruitId: string | null, massKg: number, ripeness: FruitLot['ripeness'] = 'mellow', condition: FruitLot['condition'] = 'sound'): FruitLot => ({
  fruitId,
  massKg,
  ripeness,
  condition,
});
const HAND = 'hand-mill-basket';

/** This autumn's late pressings and bought juices, and two pressings of last year that taught the yield. */
export const DEMO_JUICES: readonly JuiceStory[] = [
  {
    name: 'Russet row',
    tape: 'straw',
    origin: 'pressed',
    fruitId: 'egremont-russet',
    fruit: 'apple',
    daysAgo: 2.1,
    volumeL: 17.5,
    sg: 1.0575,
    sampleC: 11,
    ph: 3.4,
    taGPerL: 6.9,
    tanninGPerL: 1.2,
    press: {
      pressId: HAND,
      lots: [lot('egremont-russet', 29), lot(null, 5, 'ripe', 'bruised')],
      runsL: [
        [8, 'white jug'],
        [6.5, 'steel pan'],
        [3, 'white jug'],
      ],
    },
    note: 'Sweet and nutty; a little dry on the tongue.',
  },
  {
    name: 'Bitter-sweets',
    tape: 'clay',
    origin: 'pressed',
    fruitId: 'harry-masters-jersey',
    fruit: 'apple',
    daysAgo: 2,
    volumeL: 12,
    sg: 1.0595,
    sampleC: 11,
    ph: 4.15,
    taGPerL: 2.3,
    tanninGPerL: 2.4,
    press: {
      pressId: HAND,
      lots: [lot('harry-masters-jersey', 23)],
      runsL: [
        [7, 'green bucket'],
        [5, 'green bucket'],
      ],
    },
  },
  {
    name: 'Hedge sharps',
    tape: 'leaf',
    origin: 'pressed',
    fruitId: 'seedling-apple',
    fruit: 'apple',
    daysAgo: 1.1,
    volumeL: 8,
    sg: 1.0455,
    sampleC: 12,
    ph: 3.1,
    taGPerL: 9.8,
    press: {
      pressId: HAND,
      lots: [lot('seedling-apple', 17, 'ripe', 'some-rot')],
      runsL: [
        [4.6, 'white jug'],
        [3.4, 'white jug'],
      ],
    },
  },
  {
    name: 'Cloudy carton',
    tape: 'slate',
    origin: 'bought',
    fruitId: 'apple-juice-cloudy-nfc',
    fruit: 'apple',
    daysAgo: 1,
    volumeL: 6,
    costPerL: 1.4,
    goneL: 0.25,
  },
  {
    name: 'Lane pears',
    tape: 'moss',
    origin: 'pressed',
    fruitId: 'garden-pear-unknown',
    fruit: 'pear',
    daysAgo: 0.9,
    volumeL: 3.2,
    sg: 1.0605,
    sampleC: 12,
    ph: 3.85,
    press: { pressId: HAND, lots: [lot('garden-pear-unknown', 7.5, 'ripe')], runsL: [[3.2, 'steel pan']] },
  },
  { name: 'Party juice', tape: 'rose', origin: 'bought', fruitId: 'apple-juice-clear-pasteurised', fruit: 'apple', daysAgo: 0.5, volumeL: 2, preserved: true },
  {
    name: 'Last year’s mix',
    tape: 'straw',
    origin: 'pressed',
    fruitId: null,
    fruit: 'apple',
    daysAgo: 400,
    volumeL: 15,
    goneL: 15,
    press: {
      pressId: HAND,
      lots: [lot(null, 31)],
      runsL: [
        [9, 'green bucket'],
        [6, 'white jug'],
      ],
    },
  },
  {
    name: 'Last year’s russets',
    tape: 'straw',
    origin: 'pressed',
    fruitId: 'egremont-russet',
    fruit: 'apple',
    daysAgo: 398,
    volumeL: 9.8,
    goneL: 9.8,
    press: { pressId: HAND, lots: [lot('egremont-russet', 20)], runsL: [[9.8, 'green bucket']] },
  },
];

/** What the made-up maker keeps in the cupboard. Days to the date on the packet count from today. */
export const DEMO_SUPPLIES: readonly {
  readonly kind: SupplyKind;
  readonly refId: string | null;
  readonly name: string;
  readonly amount: number;
  readonly unit: 'packet' | 'g' | 'tablet' | 'mL';
  readonly packetG: number | null;
  readonly daysLeft: number | null;
}[] = [
  { kind: 'yeast', refId: 'crisp-cider', name: 'Crisp cider type', amount: 2, unit: 'packet', packetG: 5, daysLeft: 410 },
  { kind: 'yeast', refId: 'cool-fruity-white', name: 'Cool fruity white', amount: 1, unit: 'packet', packetG: 5, daysLeft: 160 },
  { kind: 'yeast', refId: 'english-ale', name: 'English-ale type', amount: 1, unit: 'packet', packetG: 11, daysLeft: -75 },
  { kind: 'sulfite', refId: 'tablet', name: 'Sulfite tablets', amount: 38, unit: 'tablet', packetG: null, daysLeft: null },
  { kind: 'enzyme', refId: null, name: 'Pectic enzyme', amount: 20, unit: 'g', packetG: null, daysLeft: 240 },
  { kind: 'nutrient', refId: 'organic', name: 'Yeast nutrient, organic', amount: 50, unit: 'g', packetG: null, daysLeft: 500 },
  { kind: 'acid', refId: 'malic', name: 'Malic acid', amount: 100, unit: 'g', packetG: null, daysLeft: null },
];
