import { kegWayById, type KegWayId } from '../../finish/bottle/keg-ways.js';
import { dateAfter } from '../../matter/quantity/days.js';
import { inHand } from '../state/draft.js';
import { maySeal } from '../state/sealing.js';
import type { VesselFill } from '../state/vessel-fill.js';
import { CLEAR, refuse, unless, type Kind } from './kind.js';

/** Sealed in a keg. */
export interface KeggedPayload {
  readonly vessel: VesselFill;
  readonly lossL: number;
  readonly targetVolumes: number;
  readonly storeC: number;
  /** How the gas gets in; nobody said where it is absent. */
  readonly way?: KegWayId | undefined;
  readonly acknowledged: readonly string[];
}

/** Highest temperature of a cold keg in which a drink may still be working, °C. @source craft rule: refrigerator cold */
export const COLD_KEG_MOST_C = 5;
/** Why nothing is done to what stands in a sealed keg. */
export const IN_A_KEG = 'It is sealed in a keg. Let the gas off and open the keg first: its page says how.';

export const kegged: Kind<KeggedPayload> = {
  offThePulp: true,
  apply: (state, { id, at, payload: { vessel, targetVolumes, storeC, way, acknowledged } }) => {
    const liquid = { ...inHand(state), volumeL: vessel.volumeL };
    const gassedOn = way === undefined ? null : dateAfter(at, kegWayById(way).days, state.zone);
    const unproven = acknowledged.includes('sealed-ferment');
    const keg = { id, vesselId: vessel.vesselId, volumeL: vessel.volumeL, targetVolumes, storeC, at, gassedOn, unproven, letOff: null };
    return { liquid, lastLiquid: liquid, vessels: [vessel], keg, heldVolumes: null };
  },
  words: ({ payload }, say) => ({ lead: 'Kegged', rest: `${say.volume(payload.vessel.volumeL)}, kept at ${say.temperature(payload.storeC)}` }),
  check: (state, verdict, { payload }) => {
    if (maySeal(state, verdict)) return CLEAR;
    if (payload.storeC > COLD_KEG_MOST_C) return refuse(`Its end is not proven, so the keg must be kept at ${COLD_KEG_MOST_C} °C or colder.`);
    return unless(payload.acknowledged, 'sealed-ferment');
  },
  vesselsAfter: ({ vessel }) => [vessel.vesselId],
};
