import { fermentableWord } from '../../base/reference/fermentables.js';
import { figure } from '../../base/worked/figures.js';
import { countText } from '../../matter/quantity/count-text.js';
import { doseUnitOf, type TrialSubstance, type TrialWay } from '../../finish/trial/trial-substance.js';
import type { Kind } from './kind.js';

/** A bench trial, with what everybody said before anybody was told. */
export interface TrialledPayload {
  readonly substance: TrialSubstance & { readonly name: string };
  /** g in a litre of what was tasted, or shares of the other liquid. */
  readonly doses: readonly number[];
  readonly glassMl: number;
  readonly way: TrialWay;
  /** Of a ranking the glasses by number from 0, best first; of a triangle 1 for who found the odd one, else 0. */
  readonly judged: readonly { readonly name: string; readonly said: readonly number[] }[];
  /** Which glass was decided for; null where none was. */
  readonly chosen: number | null;
  readonly text: string;
}

/** A dose in words, such as `12 g/L` or `20 %`. */
export function doseText(substance: TrialSubstance, dose: number): string {
  const { unit, perDose } = doseUnitOf(substance);
  const told = dose * perDose;
  return dose === 0 ? 'as it is' : unit === '%' ? `${figure(told, 0)} %` : `${Number(told.toPrecision(3))} ${unit}`;
}

/** What is varied, by its name. */
export function substanceName({ kind, id, name }: TrialledPayload['substance']): string {
  return kind === 'sweetener' ? fermentableWord(id) : kind === 'acid' ? `${id} acid` : name || kind;
}

const tried = ({ substance, doses }: TrialledPayload): string => `${substanceName(substance)}: ${doses.map((dose) => doseText(substance, dose)).join(', ')}`;

export const trialled: Kind<TrialledPayload> = {
  apply: (_state, { payload: { substance } }) => {
    // A sweetener that nobody knows is refused here.
    substanceName(substance);
    return {};
  },
  words: ({ payload }) => {
    const { judged, chosen, doses, substance, text } = payload;
    const decided = chosen === null ? '' : `decided for ${doseText(substance, doses[chosen] ?? 0)}`;
    return { lead: 'Trial', rest: [tried(payload), countText(judged.length, 'taster'), decided, text].filter((part) => part !== '').join(' · ') };
  },
  onTheDrink: true,
};
