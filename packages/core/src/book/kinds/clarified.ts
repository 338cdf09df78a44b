import type { ClearingMeans } from '../../ferment/clear/clearing-means.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import { countText } from '../../matter/quantity/count-text.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { hourIn } from '../../matter/quantity/zone.js';
import { inHand } from '../state/draft.js';
import { CLEAR, refuse, type Kind } from './kind.js';

/** Something was done to clear it; it takes its time. */
export interface ClarifiedPayload {
  readonly means: ClearingMeans;
  /** Both parts together, g; 0 for cold. */
  readonly massG: number;
  /** Until it is worth looking. */
  readonly waitDays: number;
  readonly supplies?: readonly SupplyUse[] | undefined;
}

const CLEARED_BY: Readonly<Record<ClearingMeans, string>> = {
  enzyme: 'pectic enzyme',
  bentonite: 'bentonite',
  finings: 'two-part finings',
  cold: 'stood in the cold',
};

export const clarified: Kind<ClarifiedPayload> = {
  offThePulp: true,
  apply: (state, { at, payload }) => {
    inHand(state);
    const lookAt = new Date(Date.parse(at) + payload.waitDays * DAY_MS).toISOString();
    // With both parts in, the finings' own steps are over.
    const plan = payload.means === 'finings' && state.plan?.plan === 'finings' ? null : state.plan;
    return { clarified: { means: payload.means, at, lookAt }, plan };
  },
  words: ({ payload }, say) => ({
    lead: 'To clear it',
    rest: `${CLEARED_BY[payload.means]}${payload.massG > 0 ? `, ${say.mass(payload.massG)}` : ''}, look again in ${countText(payload.waitDays, 'day')}`,
  }),
  /** The second part of finings works only where the first has had its time. */
  check: ({ plan, zone }, _verdict, { at, payload }) => {
    if (payload.means !== 'finings') return CLEAR;
    if (plan?.plan !== 'finings') return refuse('The first part of the finings is not in yet. Stir it in, wait its hour, then the second.');
    if (at < plan.dueAt)
      return refuse(`The first part needs its hour, until ${hourIn(plan.dueAt, zone)}. Put in sooner, the two only bind each other and the haze stays.`);
    return CLEAR;
  },
  onTheDrink: true,
  supplies: ({ supplies = [] }) => supplies,
};
