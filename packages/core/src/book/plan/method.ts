import { WILD_YEAST_ID } from '../../base/reference/yeast-kinds.js';
import { byId } from '../../base/errors/by-id.js';

/** A way of making, as data: the waits between stops. */
export interface Method {
  readonly id: string;
  readonly name: string;
  /** The kind of yeast that it is made with; null where the maker chooses. */
  readonly yeastId: string | null;
  readonly waits: {
    /** From sulfite to yeast. */
    readonly sulfiteToPitchH: number;
    /** From yeast to the first reading. */
    readonly firstReadingDays: number;
    /** Between readings while it works. */
    readonly readingDays: number;
    /** From yeast to an expected end, for the plan. */
    readonly fermentDays: number;
    /** From an end to racking, and from racking to bottling. */
    readonly rackWithinDays: number;
    readonly restDays: number;
    /** From bottling to the first squeeze of the test bottle, and to the first bottle. */
    readonly testBottleDays: number;
    readonly firstBottleDays: number;
  };
}

/** @source our estimate of each school's usual waits */
export const METHODS: readonly Method[] = [
  {
    id: 'carton-quick',
    name: 'Shop juice, warm and quick',
    yeastId: null,
    waits: {
      sulfiteToPitchH: 24,
      firstReadingDays: 4,
      readingDays: 7,
      fermentDays: 14,
      rackWithinDays: 14,
      restDays: 7,
      testBottleDays: 9,
      firstBottleDays: 21,
    },
  },
  {
    id: 'cool-slow',
    name: 'Cool and slow',
    yeastId: null,
    waits: {
      sulfiteToPitchH: 24,
      firstReadingDays: 7,
      readingDays: 14,
      fermentDays: 42,
      rackWithinDays: 42,
      restDays: 42,
      testBottleDays: 9,
      firstBottleDays: 28,
    },
  },
  {
    id: 'wild-cold',
    name: 'Wild yeast in the cold',
    yeastId: WILD_YEAST_ID,
    waits: {
      sulfiteToPitchH: 24,
      firstReadingDays: 14,
      readingDays: 14,
      fermentDays: 120,
      rackWithinDays: 42,
      restDays: 60,
      testBottleDays: 10,
      firstBottleDays: 42,
    },
  },
];

/** The method of an id; throws UNKNOWN_ID for any other. */
export const methodById = byId('method', METHODS);
