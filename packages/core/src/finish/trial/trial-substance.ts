/** What a trial varies. */
export const TRIAL_KINDS = ['sweetener', 'acid', 'tannin', 'water', 'cider'] as const;
export type TrialKind = (typeof TRIAL_KINDS)[number];

/** How a trial is judged: the glasses ranked, or the odd one of three found. */
export const TRIAL_WAYS = ['rank', 'triangle'] as const;
export type TrialWay = (typeof TRIAL_WAYS)[number];

/** What goes into the glasses: which sweetener or acid, or which other batch. */
export interface TrialSubstance {
  readonly kind: TrialKind;
  /** Of the sweetener, the acid or the batch; empty for tannin and water. */
  readonly id: string;
}

/** Whether it is another liquid, told by its share rather than by its weight. */
export const isPoured = ({ kind }: Pick<TrialSubstance, 'kind'>): boolean => kind === 'water' || kind === 'cider';
