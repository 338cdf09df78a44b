import type { TrialWay } from '@trug/core/finish/trial/trial-substance';

/** What everybody said of drinks that nobody knew. */
export interface Judged {
  readonly way: TrialWay;
  readonly judged: readonly { readonly name: string; readonly said: readonly number[] }[];
}
