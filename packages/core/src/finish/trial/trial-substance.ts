/** What a trial varies. */
export const TRIAL_KINDS = ['sweetener', 'acid', 'tannin', 'sulfite', 'water', 'cider'] as const;
export type TrialKind = (typeof TRIAL_KINDS)[number];

/** How a trial is judged: the glasses ranked, or the odd one of three found. */
export const TRIAL_WAYS = ['rank', 'triangle'] as const;
export type TrialWay = (typeof TRIAL_WAYS)[number];

/** What goes into the glasses: which sweetener or acid, or which other batch. */
export interface TrialSubstance {
  readonly kind: TrialKind;
  /** Of the sweetener, the acid or the batch; empty for tannin, sulfite and water. */
  readonly id: string;
}

/** What its doses are told in: sulfite by the milligram of sulfur dioxide, as everywhere. */
export const doseUnitOf = ({ kind }: Pick<TrialSubstance, 'kind'>): { readonly unit: 'g/L' | 'mg/L' | '%'; readonly perDose: number } =>
  kind === 'sulfite' ? { unit: 'mg/L', perDose: 1000 } : kind === 'water' || kind === 'cider' ? { unit: '%', perDose: 100 } : { unit: 'g/L', perDose: 1 };

/** Whether it is another liquid, told by its share rather than by its weight. */
export const isPoured = ({ kind }: Pick<TrialSubstance, 'kind'>): boolean => kind === 'water' || kind === 'cider';
