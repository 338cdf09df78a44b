import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import type { Kind } from './kind.js';
import { sweetAmount } from './sweet-amount.js';
import { sugared } from './sugar-moves.js';

/** Sweetened to taste: whatever of it ferments counts. */
export interface SweetenedPayload {
  readonly sweetenerId: string;
  readonly massG: number;
  readonly supplies?: readonly SupplyUse[] | undefined;
}

export const sweetened: Kind<SweetenedPayload> = {
  apply: (state, { at, payload: { sweetenerId, massG } }) => sugared(state, at, { fermentableId: sweetenerId, massG }),
  words: ({ payload }, say) => ({ lead: 'Sweetened', rest: `with ${sweetAmount({ fermentableId: payload.sweetenerId, massG: payload.massG }, say)}` }),
  onTheDrink: true,
  supplies: ({ supplies = [] }) => supplies,
};
