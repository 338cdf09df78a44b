import type { StrengthSchool } from '../../matter/measure/abv-from-gravities.js';
import type { Gauge } from '../../matter/measure/gauge.js';
import type { SupplyInHand } from '../cupboard/supply-for.js';
import type { Entry } from '../entry/entry.js';
import type { Method } from '../plan/method.js';

/** What a gravity can be read with, as the cupboard has it. */
export interface ScribbleGauge extends Omit<Gauge, 'id'> {
  /** The maker's own, and not a plain one that stands in. */
  readonly own: boolean;
}

/** A place that a vessel may be carried to. */
export interface ScribblePlace {
  readonly name: string;
  readonly monthlyC: readonly number[];
}

/** A batch and a cupboard, as a line finds them. */
export interface ScribbleFacts {
  readonly batchId: string;
  readonly log: readonly Entry[];
  readonly zone: string;
  readonly method: Method;
  readonly school: StrengthSchool;
  /** When it was done, ISO 8601. */
  readonly at: string;
  /** The first of a kind is the one that is used where nobody chooses. */
  readonly gauges: readonly ScribbleGauge[];
  readonly supplies: readonly SupplyInHand[];
  readonly places: readonly ScribblePlace[];
}
