import { figure } from '../../base/worked/figures.js';
import { malolactic as turnAcid } from '../../matter/liquid/add-acid.js';
import { CLEAR, refuse, type Kind } from './kind.js';
import { both } from './sugar-moves.js';

/** Bacteria turn malic acid to lactic: begun, found under way, or over. */
export interface MalolacticPayload {
  /** Share of the malic acid turned since the last such entry, 0–1. */
  readonly turnedFraction: number;
  readonly wanted: boolean;
  /** Whether bought bacteria went in with this entry. */
  readonly bacteria: boolean;
  readonly done: boolean;
}

/** @source usual wine and cider practice */
export const GERANIUM = 'Lactic bacteria turn sorbate into a smell of geraniums, which nothing takes out again.';

export const malolactic: Kind<MalolacticPayload> = {
  // It takes less than a point of gravity, so readings on its two sides still prove an end.
  apply: (state, { at, payload: { turnedFraction, wanted, done } }) => ({
    ...both(state, (l) => turnAcid(l, turnedFraction)),
    malolactic: { at, wanted, done },
  }),
  words: ({ payload }) => {
    const share = payload.turnedFraction === 0 ? '' : `, ${figure(payload.turnedFraction * 100, 0)} % of the malic acid turned`;
    const how = payload.done ? 'over' : payload.bacteria ? 'begun with bacteria' : 'under way';
    return { lead: 'Malolactic change', rest: `${how}${share}, ${payload.wanted ? 'wanted' : 'not wanted'}` };
  },
  check: ({ liquid }, _verdict, { payload }) => (payload.bacteria && (liquid?.sorbateMgPerL ?? 0) > 0 ? refuse(`There is sorbate in it. ${GERANIUM}`) : CLEAR),
};
