/** Which fruit a drink mostly comes from; it settles what is usual where nothing was measured. */
export const FRUITS = ['apple', 'pear', 'other'] as const;

/** One of them. */
export type Fruit = (typeof FRUITS)[number];

/**
 * Everything Trug knows about a drink. Amounts are per litre of the drink as it stands; acts return a new liquid
 * and conserve every mass. Gravity, strength, acidity, pH and fizz are views computed from it, never stored.
 */
export interface Liquid {
  readonly volumeL: number;
  readonly sucroseGPerL: number;
  /** Glucose and fructose together. */
  readonly hexoseGPerL: number;
  /** All other dissolved matter: acids, tannin, sorbitol, minerals, glycerol. */
  readonly otherSolidsGPerL: number;
  readonly ethanolGPerL: number;
  readonly malicGPerL: number;
  readonly lacticGPerL: number;
  readonly citricGPerL: number;
  readonly tartaricGPerL: number;
  /** Acid that bacteria leave alone and no single name fits, mmol/L of an acid with two protons: what the measured pH and acidity ask for beside the acids above. */
  readonly backgroundMmolPerL: number;
  /** Net strong cations (potassium and kin less strong anions), mmol of charge per litre. */
  readonly strongCationsMmolPerL: number;
  readonly tanninGPerL: number;
  readonly sorbitolGPerL: number;
  /** Yeast-available nitrogen. */
  readonly yanMgPerL: number;
  readonly freeSo2MgPerL: number;
  readonly totalSo2MgPerL: number;
  /** Sorbic acid. */
  readonly sorbateMgPerL: number;
  /** Sweetness of unfermentable sweetener, as grams of sucrose that would taste as sweet. */
  readonly sweetenerGPerL: number;
  readonly fruit: Fruit;
}

/** The fields that are amounts per litre, and so mix in proportion to volume. */
export const PER_LITRE_FIELDS = [
  'sucroseGPerL',
  'hexoseGPerL',
  'otherSolidsGPerL',
  'ethanolGPerL',
  'malicGPerL',
  'lacticGPerL',
  'citricGPerL',
  'tartaricGPerL',
  'backgroundMmolPerL',
  'strongCationsMmolPerL',
  'tanninGPerL',
  'sorbitolGPerL',
  'yanMgPerL',
  'freeSo2MgPerL',
  'totalSo2MgPerL',
  'sorbateMgPerL',
  'sweetenerGPerL',
] as const satisfies readonly (keyof Liquid)[];

type PerLitreField = (typeof PER_LITRE_FIELDS)[number];

/** The amounts of a liquid, without its volume or fruit. */
export type Amounts = Readonly<Record<PerLitreField, number>>;

/**
 * Builds the per-litre amounts field by field.
 *
 * @param amountOf - what each field should hold
 * @returns the amounts
 */
export function mapAmounts(amountOf: (field: PerLitreField) => number): Amounts {
  return {
    sucroseGPerL: amountOf('sucroseGPerL'),
    hexoseGPerL: amountOf('hexoseGPerL'),
    otherSolidsGPerL: amountOf('otherSolidsGPerL'),
    ethanolGPerL: amountOf('ethanolGPerL'),
    malicGPerL: amountOf('malicGPerL'),
    lacticGPerL: amountOf('lacticGPerL'),
    citricGPerL: amountOf('citricGPerL'),
    tartaricGPerL: amountOf('tartaricGPerL'),
    backgroundMmolPerL: amountOf('backgroundMmolPerL'),
    strongCationsMmolPerL: amountOf('strongCationsMmolPerL'),
    tanninGPerL: amountOf('tanninGPerL'),
    sorbitolGPerL: amountOf('sorbitolGPerL'),
    yanMgPerL: amountOf('yanMgPerL'),
    freeSo2MgPerL: amountOf('freeSo2MgPerL'),
    totalSo2MgPerL: amountOf('totalSo2MgPerL'),
    sorbateMgPerL: amountOf('sorbateMgPerL'),
    sweetenerGPerL: amountOf('sweetenerGPerL'),
  };
}

/**
 * Plain water.
 *
 * @param volumeL - volume, L, ≥ 0
 * @returns a liquid with nothing in it
 */
export function waterOf(volumeL: number): Liquid {
  return { volumeL, ...mapAmounts(() => 0), fruit: 'other' };
}
