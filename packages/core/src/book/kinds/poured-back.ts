import { CoreError } from '../../base/errors/core-error.js';
import { figure } from '../../base/worked/figures.js';
import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import { litresIn, type VesselFill } from '../state/vessel-fill.js';
import type { BatchState, Crate } from '../state/batch-state.js';
import { bottlesText, litresOf, type BottleCount } from '../state/bottle-count.js';
import type { Draft, Patch } from '../state/draft.js';
import { CLEAR, refuse, type Filed, type Kind } from './kind.js';
import { IN_A_KEG } from './kegged.js';

/** Bottles opened and emptied into a vessel again, since they gush, or were sealed too soon. */
export interface PouredBackPayload {
  /** The `bottled` entry of the crate. */
  readonly crateId: string;
  readonly bottles: readonly BottleCount[];
  /** Where all of the drink stands now, what stood in vessels already with it. */
  readonly vessels: readonly VesselFill[];
}

const NO_CRATE = 'there is no such crate';

function crateOf({ crates }: Pick<BatchState, 'crates'>, crateId: string): Crate {
  const crate = crates.find((c) => c.id === crateId);
  if (!crate) throw new CoreError('NOT_ALLOWED', NO_CRATE, { crateId });
  return crate;
}

/** Bottles are named by size and filled by eye. */
const BY_EYE = 1.02;

function apply(state: Draft, { at, payload: { crateId, bottles, vessels } }: Filed<PouredBackPayload>): Patch {
  const crate = crateOf(state, crateId);
  const lots = crate.lots.map((lot) => {
    const count = bottles.filter((b) => b.kindId === lot.kindId).reduce((sum, b) => sum + b.count, 0);
    if (count > lot.left)
      throw new CoreError('NOT_ALLOWED', `there are ${count - lot.left} fewer bottles of that kind than were emptied`, { short: count - lot.left });
    return { ...lot, left: lot.left - count };
  });
  if (bottles.some((b) => !crate.lots.some((lot) => lot.kindId === b.kindId)))
    throw new CoreError('NOT_ALLOWED', 'there are no bottles of that kind in the crate');
  const stoodL = state.liquid?.volumeL ?? 0;
  const [backL, wentL] = [litresIn(vessels) - stoodL, litresOf(bottles)];
  if (backL <= 0 || backL > wentL * BY_EYE + 0.05) {
    throw new CoreError('NOT_ALLOWED', `${figure(backL, 1)} L cannot come out of ${figure(wentL, 1)} L in bottles`, { backL, wentL });
  }
  const { liquid: sealed, must } = crate.drink;
  const back = { ...sealed, volumeL: backL };
  const liquid = state.liquid ? blendLiquids([state.liquid, back]) : back;
  state.crates[state.crates.indexOf(crate)] = { ...crate, lots, lastOpenedAt: at };
  // Whatever was read, tested or dosed before the bottles were filled did not keep them quiet: it proves nothing any more.
  state.judged.push({ at, kind: 'gravity-changed' });
  return {
    ...{ liquid, lastLiquid: liquid, vessels, must: state.liquid ? state.must : (must ?? state.must) },
    ...{ pitch: null, tested: null, wokenAt: null, primed: null, stabilisedAt: null, clarified: null, heldVolumes: null },
    ...{ weighedGPerL: 0, weighedSdGPerL: 0, rackedAt: at, filledUpAt: at },
  };
}

export const pouredBack: Kind<PouredBackPayload> = {
  apply,
  words: ({ payload: { bottles, vessels } }, say) => ({
    lead: 'Poured back',
    rest: `${bottlesText(bottles)}; ${say.volume(litresIn(vessels))} in the vessel now`,
  }),
  check: ({ keg, crates }, _verdict, { payload: { crateId } }) =>
    keg ? refuse(IN_A_KEG) : crates.some((c) => c.id === crateId) ? CLEAR : refuse(`That does not add up: ${NO_CRATE}.`),
  vesselsAfter: ({ vessels }) => vessels.map((v) => v.vesselId),
};
