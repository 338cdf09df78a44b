/** How a tasting on phones stands. */
export interface TastingNow {
  /** Where a phone in the same house finds it, one address for each network this machine is on. */
  readonly links: readonly string[];
  /** The numbers on the glasses of each taster, by which a page that comes again knows its own tasting. */
  readonly codes: readonly (readonly number[])[];
  /** Of each taster, the positions named so far. */
  readonly pressed: readonly (readonly number[])[];
}
