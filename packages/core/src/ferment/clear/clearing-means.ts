/** What a drink is cleared with. */
export const CLEARING_MEANS = ['enzyme', 'bentonite', 'finings', 'cold'] as const;
export type ClearingMeans = (typeof CLEARING_MEANS)[number];
