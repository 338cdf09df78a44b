import { infusedSugarG, infusionById, isFruit, withInfusion } from '../../finish/steep/infusions.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import type { SugarByScales } from '../../matter/liquid/sugar-by-scales.js';
import { countText } from '../../matter/quantity/count-text.js';
import { inHand } from '../state/draft.js';
import type { Kind } from './kind.js';
import { moveGravity } from './sugar-moves.js';

/** Something put in to steep, to be taken out again. */
export interface InfusedPayload {
  readonly infusionId: string;
  readonly massG: number;
  /** Until it is to come out, days. */
  readonly days: number;
  readonly supplies?: readonly SupplyUse[] | undefined;
}

/** Of the sugar in fruit, as a share of it. @source our estimate: fruit of one kind differs by a third */
const FRUIT_SUGAR_SD = 0.15;
const fruitSugar = (hexoseG: number): SugarByScales => ({ hexoseG, sdG: hexoseG * FRUIT_SUGAR_SD });

export const infused: Kind<InfusedPayload> = {
  apply: (state, { id, at, payload: { infusionId, massG, days } }) => {
    const infusion = infusionById(infusionId);
    inHand(state);
    const infusions = [
      ...state.infusions,
      { id, name: infusion.name, isFruit: isFruit(infusion), massG, at, firstDays: infusion.days[0], days, tastedAt: null },
    ];
    if (infusion.sugarGPerG === 0 && infusion.acidGPerG === 0) return { infusions };
    return { ...moveGravity(state, at, (l) => withInfusion(l, { infusion, massG }), fruitSugar(infusedSugarG(infusion, massG))), infusions };
  },
  words: ({ payload: { infusionId, massG, days } }, say) => ({
    lead: 'Steeping in it',
    rest: `${say.mass(massG)} ${infusionById(infusionId).name}, out in ${countText(days, 'day')}`,
  }),
  offThePulp: true,
  onTheDrink: true,
  supplies: ({ supplies = [] }) => supplies,
};
