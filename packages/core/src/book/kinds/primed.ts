import { figure } from '../../base/worked/figures.js';
import type { PrimingMode } from '../../finish/bottle/priming-sugar.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import { sugarByScales } from '../../matter/liquid/sugar-by-scales.js';
import { sealWay, unprovenWords } from '../state/sealing.js';
import { CLEAR, refuse, type Kind } from './kind.js';
import { sweetAmount } from './sweet-amount.js';
import { weighedIn } from './sugar-moves.js';

/** Sugar for the fizz. */
export interface PrimedPayload {
  readonly fermentableId: string;
  readonly massG: number;
  readonly mode: PrimingMode;
  readonly targetVolumes: number;
  readonly warmestSinceEndC: number;
  /** Fresh yeast that went in with it, g; absent where its own was enough. */
  readonly freshYeastG?: number | undefined;
}

export const primed: Kind<PrimedPayload> = {
  // Priming leaves the proof as it is: its sugar is weighed, and meant to ferment in the bottle.
  apply: (state, { at, payload }) => ({
    ...weighedIn(state, (l) => addFermentable(l, payload), sugarByScales(payload)),
    primed: { at, mode: payload.mode },
  }),
  words: ({ payload }, say) => ({
    lead: 'Primed',
    rest: `with ${sweetAmount(payload, say)} for ${figure(payload.targetVolumes, 1)} volumes${payload.freshYeastG === undefined ? '' : `, and ${say.mass(payload.freshYeastG)} of fresh yeast`}`,
  }),
  check: (state, verdict) => {
    const way = sealWay(state, verdict);
    if (way === 'stabilised') return refuse('Sulfite and sorbate hold the yeast, so priming would stay flat. Keg it with gas, or bottle it still.');
    return way === 'unproven' ? refuse(unprovenWords(state, verdict)) : CLEAR;
  },
  onTheDrink: true,
};
