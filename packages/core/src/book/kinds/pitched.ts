import { yeastById } from '../../base/reference/yeast-kinds.js';
import { leadingYeast } from '../../ferment/yeast/yeast-together.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import { inHand } from '../state/draft.js';
import type { PitchMethod } from '../state/entry-choices.js';
import type { Kind } from './kind.js';

/** Yeast that went in, or was left to come by itself. */
export interface PitchedPayload {
  readonly yeastId: string;
  readonly massG: number;
  readonly method: PitchMethod;
  readonly juiceC: number | null;
  /** A second kind that went in with it. */
  readonly withYeastId?: string | undefined;
  readonly supplies?: readonly SupplyUse[] | undefined;
}

export const pitched: Kind<PitchedPayload> = {
  apply: (state, { at, payload }) => {
    const { yeastId, withYeastId, juiceC, massG } = payload;
    state.judged.push({ at, kind: 'pitched' });
    if (juiceC !== null) state.temps.push({ at, tempC: juiceC });
    const lead = withYeastId === undefined ? yeastId : leadingYeast(yeastId, withYeastId);
    // The starter has gone in, so its steps are over; finings wait for nothing of the kind.
    const plan = state.plan?.plan === 'finings' ? state.plan : null;
    const liquid = inHand(state);
    const pitch = { at, gPerL: liquid.volumeL > 0 ? massG / liquid.volumeL : 0, liquid };
    // New yeast may ferment what the old one left.
    const tested = null;
    return { yeastId: lead, tested, plan, pitch, pitchedAt: state.pitchedAt ?? at, ...(state.pitchedAt ? {} : { must: state.liquid }) };
  },
  words: ({ payload }, say) => {
    const names = [payload.yeastId, ...(payload.withYeastId === undefined ? [] : [payload.withYeastId])].map((id) => yeastById(id).name);
    const amount = payload.massG > 0 ? `, ${say.mass(payload.massG)} ${payload.method}` : payload.method === 'starter' ? ', from a starter' : '';
    return { lead: payload.method === 'wild' ? 'Left to its own yeast' : 'Pitched', rest: `${names.join(' with ')}${amount}` };
  },
  onTheDrink: true,
  supplies: ({ supplies = [] }) => supplies,
};
