/** How much a caution matters: `danger` must be acknowledged in words before the act is filed. */
export type CautionSeverity = 'note' | 'caution' | 'danger';

/** Something that can hurt a person or spoil a batch, shown where the act happens. */
export interface Caution {
  readonly id: string;
  readonly severity: CautionSeverity;
  /** One or two plain sentences. */
  readonly text: string;
  readonly whatToDo: string;
}

/** The ground every caution stands on, shown once wherever cautions are. */
export const CAUTION_FOOTING = 'Usual practice, not a licence or medical advice. Follow your local rules, the packet, and someone qualified.';
