import { CoreError } from '../../base/errors/core-error.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import { makesFizz } from '../../finish/bottle/bottle-safety.js';
import { filledShare } from '../../finish/bottle/plan-bottles.js';
import { fizzIn, gasParts, type GasParts } from '../../finish/bottle/sealed-gas.js';
import { loseVolume } from '../../matter/liquid/blend-liquids.js';
import { fermentFraction } from '../../matter/liquid/ferment-to.js';
import { abvOf } from '../../matter/liquid/views.js';
import type { BatchState } from '../state/batch-state.js';
import { bottlesText, litresOf, type BottleCount } from '../state/bottle-count.js';
import { checkBottling } from '../state/bottling-check.js';
import { emptied, inHand, type Draft, type Patch } from '../state/draft.js';
import type { CapColour } from '../state/entry-choices.js';
import { asIfDry, neverRead, sealedGasOf } from '../state/sealed-gas-of.js';
import { mayHeat, NOT_TO_HEAT, type ToHeat } from '../state/heat-way.js';
import { holdsDose, sealWay, unprovenWords } from '../state/sealing.js';
import { CLEAR, refuse, type EntryCheck, type Filed, type Kind } from './kind.js';
import { IN_A_KEG } from './kegged.js';

/** A run of bottles. */
export interface BottledPayload {
  readonly bottles: readonly BottleCount[];
  readonly testBottle: boolean;
  readonly lossL: number;
  readonly crate: string;
  readonly capColour: CapColour;
  readonly hottestC: number;
  /** Ids of the dangers acknowledged in words. */
  readonly acknowledged: readonly string[];
  /** Filled to be heated the same day; absent for all others. */
  readonly toHeat?: ToHeat | undefined;
}

function apply(state: Draft, entry: Filed<BottledPayload>): Patch {
  const liquid = inHand(state);
  const { payload } = entry;
  const share = payload.toHeat ? filledShare(payload.toHeat.headspace) : 1;
  const filledL = litresOf(payload.bottles) * share;
  if (filledL + payload.lossL > liquid.volumeL * 1.02 + 0.05) {
    throw new CoreError('NOT_ALLOWED', `${filledL.toFixed(1)} L of bottles cannot be filled from ${liquid.volumeL.toFixed(1)} L`, {
      filledL,
      volumeL: liquid.volumeL,
    });
  }
  const toHeat = payload.toHeat !== undefined;
  const parts = gasInBottle(state);
  const works = !toHeat && worksInBottle(state, parts);
  const drink = works || (!toHeat && neverRead(state)) ? fermentFraction(liquid, 1) : liquid;
  state.crates.push({
    id: entry.id,
    name: payload.crate,
    bottledAt: entry.at,
    capColour: payload.capColour,
    place: null,
    lots: payload.bottles.map((b) => ({ kindId: b.kindId, filled: b.count, left: b.count })),
    testBottle: payload.testBottle,
    ...fizzOf(state, parts, toHeat),
    sparkling: works || state.heldVolumes !== null,
    heat: payload.toHeat ? { headspace: payload.toHeat.headspace, units: 0, at: null } : null,
    abv: abvOf(drink),
    drink: { liquid: drink, must: state.must },
    freeSo2MgPerL: liquid.freeSo2MgPerL,
    hottestC: payload.hottestC,
    atOwnRisk: payload.acknowledged.length > 0,
    squeezed: null,
    lastOpenedAt: null,
  });
  return emptied(state, loseVolume(liquid, Math.min(liquid.volumeL, filledL + payload.lossL)));
}

/** What makes gas in the bottles: in a drink that nobody read, what was weighed in alone. */
function gasInBottle(state: Draft): GasParts | null {
  const found = sealedGasOf(state);
  return found && gasParts(neverRead(state) ? asIfDry(found) : found);
}

/** Whether sugar ferments in the bottles: what they were primed with, or what the sums find left, whatever they were meant to be. */
const worksInBottle = (state: Draft, parts: GasParts | null): boolean => parts !== null && (state.primed !== null || (!holdsDose(state) && makesFizz(parts)));

/** The fizz the bottles will have: what is still in it, and what all the sugar in it makes, where nothing holds its yeast. */
function fizzOf(state: Draft, parts: GasParts | null, toHeat: boolean): Pick<BatchState['crates'][number], 'co2Volumes' | 'wakesVolumes'> {
  if (!parts) return { co2Volumes: 0, wakesVolumes: null };
  if (!toHeat && !holdsDose(state)) return { co2Volumes: fizzIn(parts), wakesVolumes: null };
  return { co2Volumes: parts.residual, wakesVolumes: makesFizz(parts) ? fizzIn(parts) : null };
}

function check(state: BatchState, verdict: Verdict | null, { at, payload: { bottles, hottestC, acknowledged, toHeat } }: Filed<BottledPayload>): EntryCheck {
  const way = sealWay(state, verdict);
  if (state.keg) return refuse(IN_A_KEG);
  if (toHeat && !mayHeat(state, verdict, at)) return refuse(NOT_TO_HEAT);
  if (!toHeat && way === 'unproven') return refuse(unprovenWords(state, verdict));
  const gas = sealedGasOf(state);
  if (!gas) return CLEAR;
  const { refusal, cautions } = checkBottling({ way, gas, bottles, hottestC, toHeat });
  if (refusal !== null) return refuse(refusal);
  return { refusal: null, dangers: cautions.filter((c) => c.severity === 'danger' && !acknowledged.includes(c.id)) };
}

export const bottled: Kind<BottledPayload> = {
  offThePulp: true,
  apply,
  words: ({ payload }) => ({
    lead: 'Bottled',
    rest: `${bottlesText(payload.bottles)}, ${payload.capColour} caps`,
  }),
  check,
};
