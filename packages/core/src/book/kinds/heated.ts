import { CoreError } from '../../base/errors/core-error.js';
import { LIMITS } from '../../base/errors/limits.js';
import { isWithin } from '../../base/errors/guards.js';
import { figure } from '../../base/worked/figures.js';
import { asSentence } from '../../base/worked/sentence.js';
import { ENOUGH_UNITS, pasteurisationUnits, type HeatStep } from '../../finish/bottle/heat-units.js';
import { tryHotLot } from '../../finish/bottle/hot-lot.js';
import type { BatchState, Crate } from '../state/batch-state.js';
import { awaitsHeat, heatBy } from '../state/crate-heat.js';
import { lotOf, madeSince } from '../state/heat-way.js';
import { refuse, unless, type EntryCheck, type Filed, type Kind } from './kind.js';

/** Filled bottles heated in a bath. */
export interface HeatedPayload {
  /** The `bottled` entry of the crate. */
  readonly crateId: string;
  /** Minutes at a temperature in the middle of the coldest bottle. */
  readonly steps: readonly HeatStep[];
  /** Gravity of a bottle opened before it, where too long had gone by, SG. */
  readonly openedSg?: number | null;
  readonly acknowledged: readonly string[];
}

const NOT_WAITING = 'No bottles of that crate wait to be heated.';
const crateIn = ({ crates }: Pick<BatchState, 'crates'>, id: string): Crate | undefined => crates.find((c) => c.id === id && awaitsHeat(c));

/**
 * The hottest that the steps bring the middle of a bottle to, °C.
 *
 * @param steps - one at least
 */
export const hottestOf = (steps: readonly HeatStep[]): number => Math.max(...steps.map(({ coreC }) => coreC));

/** Why bottles that stood too long are not heated unseen. */
export const TOO_LATE =
  'They stood for more than a day with sugar and live yeast, and nobody knows what gas is in them. Chill them for a day, open one over a sink, shake it out and read it; then write its gravity here. Where it gushes, follow the plan for bottles that burst.';

function check(state: BatchState, { at, payload }: Filed<HeatedPayload>): EntryCheck {
  const crate = crateIn(state, payload.crateId);
  if (!crate) return refuse(NOT_WAITING);
  const openedSg = payload.openedSg ?? null;
  if (openedSg === null && at > heatBy(crate)) return refuse(TOO_LATE);
  if (openedSg !== null && !isWithin(openedSg, LIMITS.sg)) return refuse('Write the gravity of the opened bottle as 1.012.');
  const lot = tryHotLot(lotOf(crate, hottestOf(payload.steps), openedSg));
  if (!lot.ok) return refuse(asSentence(lot.error.message));
  return unless(payload.acknowledged, 'hot-bottles');
}

export const heated: Kind<HeatedPayload> = {
  apply: (state, { at, payload: { crateId, steps, openedSg } }) => {
    const crate = crateIn(state, crateId);
    if (!crate?.heat) throw new CoreError('NOT_ALLOWED', NOT_WAITING, { crateId });
    const units = crate.heat.units + pasteurisationUnits(steps);
    const made = openedSg === null || openedSg === undefined ? 0 : madeSince(crate, openedSg);
    const heat = { ...crate.heat, units, at };
    // What is dead makes no gas, and what it made before stays in.
    const next = { ...crate, heat, co2Volumes: crate.co2Volumes + made, wakesVolumes: units >= ENOUGH_UNITS ? null : crate.wakesVolumes };
    state.crates[state.crates.indexOf(crate)] = next;
    return {};
  },
  words: ({ payload: { steps } }, say) => {
    const units = pasteurisationUnits(steps);
    const enough = units >= ENOUGH_UNITS ? '' : `, short of ${ENOUGH_UNITS}`;
    return { lead: 'Heated', rest: `up to ${say.temperature(hottestOf(steps))}, ${figure(units, 0)} units${enough}` };
  },
  check: (state, _verdict, entry) => check(state, entry),
};
