/** What bottles can be made clean with, by what a house has. */
export const CLEANING_MEANS = ['no-rinse', 'hot-water', 'dishwasher', 'sulfite', 'oven'] as const;
export type CleaningMeans = (typeof CLEANING_MEANS)[number];

/** One way to clean what a drink is sealed in. */
export interface CleaningWay {
  readonly id: CleaningMeans;
  readonly name: string;
  readonly how: string;
  /** How long it acts or stands, minutes. */
  readonly waitMin: number;
  /** For glass alone: plastic would warp or take the smell up. */
  readonly glassOnly: boolean;
}

/**
 * Ways to clean bottles. All begin with bottles that look clean: nothing cleans what sticks.
 * @source usual practice of home makers; minutes on the long side of what is usual. The packet of a cleaner wins
 */
export const CLEANING_WAYS: readonly CleaningWay[] = [
  {
    id: 'no-rinse',
    name: 'a no-rinse cleaner',
    how: 'As strong as its packet says. Wet all of the inside, leave it its time, then upside down to drain; a little foam does no harm.',
    waitMin: 2,
    glassOnly: false,
  },
  {
    id: 'hot-water',
    name: 'hot water',
    how: 'Warm the glass first, then fill with water of 80 °C and leave it. It scalds, and cold glass cracks: gloves, and nothing straight off the boil.',
    waitMin: 10,
    glassOnly: true,
  },
  {
    id: 'dishwasher',
    name: 'the dishwasher',
    how: 'Heads down, the hottest programme, no powder and no rinse aid: its film kills fizz. Fill them as soon as they are cool.',
    waitMin: 90,
    glassOnly: true,
  },
  {
    id: 'sulfite',
    name: 'sulfite water',
    how: '10 g of metabisulfite and 5 g of citric acid to 1 L, a mouthful swirled round in each, outdoors and with your face away. Then upside down.',
    waitMin: 10,
    glassOnly: false,
  },
  {
    id: 'oven',
    name: 'the oven',
    how: 'Dry glass, foil over the necks, into the cold oven, 160 °C for an hour, and out only when it is cold. Nothing with a ring, a washer or a label.',
    waitMin: 60,
    glassOnly: true,
  },
];
