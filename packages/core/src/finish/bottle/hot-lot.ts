import { attempt, type Attempt } from '../../base/errors/attempt.js';
import { CoreError } from '../../base/errors/core-error.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import type { Worked } from '../../base/worked/worked.js';
import { heatBottles, type HeatedBottles } from './heat-bottles.js';

/** The bath that a lot is planned for, °C in the core. @source design rule: 50 units in ten minutes, at a heat that glass still bears */
export const USUAL_BATH_C = 65;
/** What yeast that had starved may make of fresh sugar until the bath, two days at most, volumes. @source our estimate, on the high side: priming takes two weeks for two and a half volumes */
const MADE_MEANWHILE_VOLUMES = 0.5;

/** A lot of sweet bottles, as it goes into the bath. */
export interface HotLotInput {
  /** Gas the drink holds when it is filled, at most, volumes. */
  readonly heldVolumes: number;
  /** What was made since, volumes, where a reading tells; else what such a drink may make in a day. */
  readonly madeVolumes?: number | undefined;
  /** Room left at the filling, share of the bottle. */
  readonly headspace: number;
  /** Hottest the core gets, °C. */
  readonly coreC: number;
  readonly abv: number;
  readonly kindIds: readonly string[];
}

/** What a bath does to a lot, and what each kind of bottle in it stands hot. */
export interface HotLot {
  readonly bath: Worked<HeatedBottles>;
  readonly kinds: readonly { readonly kindId: string; readonly name: string; readonly hotLimitBar: number }[];
}

/**
 * What presses on the bottles of a lot while they are hot, against what each kind stands hot.
 *
 * @param input - the gas, the room, the bath and the bottles
 * @returns the bath and each kind
 * @throws {CoreError} NOT_ALLOWED for more fizz or less room than heat may meet, for a kind that is never heated, and for more pressure than a kind stands; OUT_OF_RANGE
 * @source {@link heatBottles}; the hot ratings of each kind
 */
export function hotLot(input: HotLotInput): HotLot {
  const co2Volumes = input.heldVolumes + (input.madeVolumes ?? MADE_MEANWHILE_VOLUMES);
  const kinds = input.kindIds.map((kindId) => {
    const { name, hotLimitBar } = bottleById(kindId);
    if (hotLimitBar === null) {
      throw new CoreError('NOT_ALLOWED', `${name} bottles are never heated filled: choose crown-capped or heavy sparkling-wine glass`, { kindId });
    }
    return { kindId, name, hotLimitBar };
  });
  const bath = heatBottles({ co2Volumes, headspace: input.headspace, coreC: input.coreC, abv: input.abv });
  const { gaugeBar } = bath.value;
  const over = kinds.find((kind) => gaugeBar > kind.hotLimitBar);
  if (over) {
    throw new CoreError(
      'NOT_ALLOWED',
      `at ${input.coreC.toFixed(0)} °C about ${gaugeBar.toFixed(1)} bar would press on them, and ${over.name} glass stands ${over.hotLimitBar.toFixed(1)} bar hot: heat it cooler and longer, or leave more room`,
      { gaugeBar, hotLimitBar: over.hotLimitBar },
    );
  }
  return { bath, kinds };
}

/** The same, with the reason where it cannot be. */
export const tryHotLot = (input: HotLotInput): Attempt<HotLot> => attempt(() => hotLot(input));
