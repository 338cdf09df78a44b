import { CoreError } from '../../base/errors/core-error.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import type { VesselFill } from '../state/vessel-fill.js';
import type { Replacement } from './entry.js';

/** How an amount is written. */
export type AmountMeasure = 'mass' | 'volume' | 'temperature' | 'mg/L' | 'count';

/** An amount that an entry states, to be put right. */
export interface EntryAmount {
  /** Tells it from the others of its entry. */
  readonly key: string;
  readonly label: string;
  readonly measure: AmountMeasure;
  /** In g, L, °C, mg/L or pieces. */
  readonly value: number;
  /** The vessel it stands in; absent for all else. */
  readonly vesselId?: string;
}

/** An amount with what the entry says once it is another. */
interface Lens extends EntryAmount {
  readonly to: (value: number) => Replacement;
}

const lens = (key: string, label: string, measure: AmountMeasure, value: number, to: Lens['to']): Lens => ({ key, label, measure, value, to });

/** What was taken out of the cupboard goes in step with what went in. */
const taken = (supplies: readonly SupplyUse[] | undefined, share: number): { readonly supplies?: readonly SupplyUse[] } =>
  supplies === undefined || !Number.isFinite(share) ? {} : { supplies: supplies.map((s) => ({ ...s, amount: s.amount * share })) };

/** What was weighed, with what came out of the cupboard for it. */
type Weighed = { readonly massG: number; readonly supplies?: readonly SupplyUse[] };
const weighed = (
  label: string,
  { massG, supplies }: { readonly massG: number; readonly supplies?: readonly SupplyUse[] | undefined },
  to: (other: Weighed) => Replacement,
): Lens => lens('massG', label, 'mass', massG, (other) => to({ massG: other, ...taken(supplies, other / massG) }));

const fills = (vessels: readonly VesselFill[], to: (vessels: readonly VesselFill[]) => Replacement): readonly Lens[] =>
  vessels.map((vessel, i) => ({
    ...lens(`vessel-${i}`, 'In the vessel', 'volume', vessel.volumeL, (volumeL) => to(vessels.map((v, j) => (i === j ? { ...v, volumeL } : v)))),
    vesselId: vessel.vesselId,
  }));

/** Amounts of additions: all but sulfite and water are weighed. */
function added(entry: Extract<Replacement, { kind: 'addition' }>): readonly Lens[] {
  const { payload } = entry;
  switch (payload.what) {
    case 'water':
      return [lens('volumeL', 'Water', 'volume', payload.volumeL, (volumeL) => ({ ...entry, payload: { ...payload, volumeL } }))];
    case 'sulfite':
      return [
        lens('so2MgPerL', 'Sulfite', 'mg/L', payload.so2MgPerL, (so2MgPerL) => ({
          ...entry,
          payload: { ...payload, so2MgPerL, ...taken(payload.supplies, so2MgPerL / payload.so2MgPerL) },
        })),
      ];
    default:
      return [weighed('How much', payload, (other) => ({ ...entry, payload: { ...payload, ...other } }))];
  }
}

function lensesOf(entry: Replacement): readonly Lens[] {
  switch (entry.kind) {
    case 'addition':
      return added(entry);
    case 'sweetened': {
      const { payload } = entry;
      return [weighed('How much', payload, (other) => ({ ...entry, payload: { ...payload, ...other } }))];
    }
    case 'infused': {
      const { payload } = entry;
      return [weighed('How much', payload, (other) => ({ ...entry, payload: { ...payload, ...other } }))];
    }
    case 'clarified': {
      const { payload } = entry;
      // Cold clears with nothing weighed.
      return payload.means === 'cold' ? [] : [weighed('How much', payload, (other) => ({ ...entry, payload: { ...payload, ...other } }))];
    }
    case 'primed': {
      const { payload } = entry;
      return [lens('massG', 'Sugar, in all', 'mass', payload.massG, (massG) => ({ ...entry, payload: { ...payload, massG } }))];
    }
    case 'pitched': {
      const { payload } = entry;
      const juice = payload.juiceC;
      return [
        weighed('Yeast', payload, (other) => ({ ...entry, payload: { ...payload, ...other } })),
        ...(juice === null ? [] : [lens('juiceC', 'The must was', 'temperature', juice, (juiceC) => ({ ...entry, payload: { ...payload, juiceC } }))]),
      ];
    }
    case 'filled': {
      const { payload } = entry;
      const [only] = payload.vessels;
      // In several vessels each holds what it holds; in one, or none, it is all there is.
      if (payload.vessels.length > 1) return [];
      return [
        lens('volumeL', 'How much', 'volume', payload.volumeL, (volumeL) => ({
          ...entry,
          payload: { ...payload, volumeL, vessels: only ? [{ ...only, volumeL }] : [] },
        })),
      ];
    }
    case 'racked': {
      const { payload } = entry;
      return [
        ...fills(payload.vessels, (vessels) => ({ ...entry, payload: { ...payload, vessels } })),
        lens('lossL', 'Left behind', 'volume', payload.lossL, (lossL) => ({ ...entry, payload: { ...payload, lossL } })),
      ];
    }
    case 'strained': {
      const { payload } = entry;
      return fills(payload.vessels, (vessels) => ({ ...entry, payload: { ...payload, vessels } }));
    }
    case 'moved': {
      const { payload } = entry;
      return [lens('tempC', 'As warm as', 'temperature', payload.tempC, (tempC) => ({ ...entry, payload: { ...payload, tempC } }))];
    }
    case 'stabilised': {
      const { payload } = entry;
      return [
        lens('so2MgPerL', 'Sulfite', 'mg/L', payload.so2MgPerL, (so2MgPerL) => ({ ...entry, payload: { ...payload, so2MgPerL } })),
        lens('sorbateMgPerL', 'Sorbic acid', 'mg/L', payload.sorbateMgPerL, (sorbateMgPerL) => ({ ...entry, payload: { ...payload, sorbateMgPerL } })),
      ];
    }
    case 'bottled': {
      const { payload } = entry;
      return [
        ...payload.bottles.map(({ kindId, count }, i) =>
          lens(`bottles-${i}`, bottleById(kindId).name, 'count', count, (counted) => ({
            ...entry,
            payload: { ...payload, bottles: payload.bottles.map((b, j) => (i === j ? { ...b, count: counted } : b)) },
          })),
        ),
        lens('lossL', 'Left behind', 'volume', payload.lossL, (lossL) => ({ ...entry, payload: { ...payload, lossL } })),
      ];
    }
    case 'discarded': {
      const { payload } = entry;
      return [lens('volumeL', 'How much', 'volume', payload.volumeL, (volumeL) => ({ ...entry, payload: { ...payload, volumeL } }))];
    }
    default:
      return [];
  }
}

/**
 * The amounts that an entry states and that can be put right by themselves. What an entry worked out from other batches, such as a
 * blend or a split, is not among them, nor are readings, which have a page of their own.
 *
 * @param entry - as it stands
 * @returns none for a kind that states none
 */
export const amountsOf = (entry: Replacement): readonly EntryAmount[] =>
  lensesOf(entry).map(({ key, label, measure, value, vesselId }) => ({ key, label, measure, value, ...(vesselId === undefined ? {} : { vesselId }) }));

/**
 * An entry with some of its amounts put right; what it took out of the cupboard goes in step.
 *
 * @param entry - as it stands
 * @param amounts - the new values by key, in the measure of {@link amountsOf}
 * @returns what takes its place
 * @throws {CoreError} NOT_ALLOWED for an amount that it does not state
 */
export function withAmounts(entry: Replacement, amounts: ReadonlyMap<string, number>): Replacement {
  return [...amounts].reduce((so, [key, value]) => {
    const found = lensesOf(so).find((l) => l.key === key);
    if (!found) throw new CoreError('NOT_ALLOWED', `there is no ${key} in that entry`, { key });
    return found.value === value ? so : found.to(value);
  }, entry);
}
