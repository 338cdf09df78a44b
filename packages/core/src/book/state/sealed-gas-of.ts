import { freeSo2For } from '../../juice/adjust/sulfite-dose.js';
import { HEXOSE_G_PER_L_PER_POINT, type MalolacticGas, type SealedGas } from '../../finish/bottle/sealed-gas.js';
import { MOLECULAR_MG_PER_L } from '../../finish/bottle/stabilise-dose.js';
import { highestPhOf } from '../../matter/liquid/acid-chemistry.js';
import { fermentFraction } from '../../matter/liquid/ferment-to.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import type { BatchState } from './batch-state.js';

/** Of a hydrometer reading, shared by all bottles of a lot, SG. @source a home stem read with care, 0.001 */
const READING_SD_SG = 0.001;
/** Of the gravity at which all sugar is gone, where acid or sorbitol was not measured, SG. @source ±0.002, taken as two standard deviations */
const UNMEASURED_END_SD_SG = 0.001;
/** Where the acid was measured. @source estimate: what is left is minerals and glycerol */
const MEASURED_END_SD_SG = 0.0005;
/** Warmth that nobody wrote down, °C. */
const USUAL_C = 15;
/** How far back a drink at its end is looked at for the warmest it has been, days. */
const LOOK_BACK_DAYS = 7;

type GasState = Pick<
  BatchState,
  'liquid' | 'weighedGPerL' | 'weighedSdGPerL' | 'tested' | 'guessed' | 'malolactic' | 'temps' | 'placeC' | 'readings' | 'heldVolumes'
>;

/** How well the sugar of a drink is known that was not weighed in, g/L as hexose. */
function sugarSdGPerL({ tested, guessed }: GasState, { fruit }: Liquid): number {
  if (tested) return tested.sdGPerL;
  // A pear's sorbitol is what nobody measures.
  const endSd = !guessed.includes('taGPerL') && fruit !== 'pear' ? MEASURED_END_SD_SG : UNMEASURED_END_SD_SG;
  return Math.hypot(READING_SD_SG, endSd) * 1000 * HEXOSE_G_PER_L_PER_POINT;
}

function malolacticGas({ malolactic, guessed }: GasState, liquid: Liquid): MalolacticGas {
  if (malolactic?.done === true) return 'over';
  if (malolactic) return 'under-way';
  const ph = highestPhOf(liquid, guessed.includes('ph'));
  return liquid.freeSo2MgPerL >= freeSo2For(ph, MOLECULAR_MG_PER_L) - 1e-9 ? 'over' : 'possible';
}

/** The warmest a drink has been since a week before its last reading, °C, which drove its gas off. */
export function warmestSinceEnd({ temps, placeC, readings }: Pick<BatchState, 'temps' | 'placeC' | 'readings'>): number {
  const last = readings.at(-1);
  const from = last ? Date.parse(last.at) - LOOK_BACK_DAYS * DAY_MS : -Infinity;
  const since = temps.filter((t) => Date.parse(t.at) >= from).map((t) => t.tempC);
  const warmest = since.length > 0 ? Math.max(...since) : (placeC ?? USUAL_C);
  return Math.min(60, Math.max(0, warmest));
}

/** Whether a drink was pitched and never read since. */
export const neverRead = ({ pitchedAt, readings }: Pick<BatchState, 'pitchedAt' | 'readings'>): boolean =>
  pitchedAt !== null && !readings.some((r) => Date.parse(r.at) > Date.parse(pitchedAt));

/** The gas of a drink that nobody read, were all its sugar gone but what was weighed in: the best that can be hoped, and nothing that is known. */
export function asIfDry(gas: SealedGas): SealedGas {
  const sugar = fermentableGPerL(gas.liquid);
  const weighed = Math.min(sugar, gas.weighedGPerL);
  return { ...gas, liquid: fermentFraction(gas.liquid, sugar > 0 ? 1 - weighed / sugar : 0) };
}

/**
 * What would make gas in a batch, were it sealed as it stands: all its sugar, whatever a verdict says of it.
 *
 * @param state - the batch
 * @returns the gas and how well it is known; null when nothing stands in a vessel
 */
export function sealedGasOf(state: GasState): SealedGas | null {
  const { liquid } = state;
  if (!liquid) return null;
  return {
    liquid,
    weighedGPerL: state.weighedGPerL,
    weighedSdGPerL: state.weighedSdGPerL,
    sugarSdGPerL: sugarSdGPerL(state, liquid),
    malolactic: malolacticGas(state, liquid),
    warmestSinceEndC: warmestSinceEnd(state),
    heldVolumes: state.heldVolumes?.volumes,
  };
}
