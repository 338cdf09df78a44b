import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { ATM_BAR, co2Solubility, kegPressure, residualCo2, RESIDUAL_SHARE } from '../../finish/bottle/co2-solubility.js';
import { CO2_G_PER_VOLUME } from '../../finish/bottle/gas-of-sugar.js';
import { kegWayById, type KegWayId } from '../../finish/bottle/keg-ways.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf } from '../../matter/liquid/views.js';
import { dateAfter } from '../../matter/quantity/days.js';

/** What goes into a keg, and how it is to be. */
export interface KegPlanInput {
  readonly liquid: Liquid;
  /** The keg, to the brim, L. */
  readonly capacityL: number;
  /** Left behind with the lees, L. */
  readonly lossL: number;
  readonly targetVolumes: number;
  /** Where it stands, °C. */
  readonly storeC: number;
  /** Above the sea, m. */
  readonly altitudeM: number;
  /** The warmest it was since it ended, °C: what gas it still holds goes by it. */
  readonly warmestC: number;
  /** Gas it is known to hold beyond that, volumes, as out of a keg opened lately. */
  readonly heldVolumes?: number | undefined;
  readonly way: KegWayId;
  /** ISO 8601, and the maker's time zone. */
  readonly today: string;
  readonly zone?: string;
}

/** A keg run. */
export interface KegPlan {
  readonly fillL: number;
  /** What finds no room, L. */
  readonly overL: number;
  /** What the regulator is set to, bar above the air. */
  readonly regulatorBar: number;
  /** Carbon dioxide it takes up, g: about, since nobody knows what gas it still holds. */
  readonly gasG: number;
  readonly readyOn: string;
}

/** Share of a keg that stays empty, so that no drink gets into the gas line. @source usual practice: below the short tube */
const ROOM = 0.03;

/**
 * A keg: how much goes in, what the regulator is set to, how it is gassed and until when.
 *
 * @param input - the drink, the keg, the fizz and the store
 * @returns what to fill, set and wait for
 * @throws {CoreError} OUT_OF_RANGE
 * @source `kegPressure`; Henry's law with {@link co2Solubility}
 */
export function kegPlan(input: KegPlanInput): Worked<KegPlan> {
  const { liquid, targetVolumes, storeC, altitudeM } = input;
  inRange('lossL', input.lossL, { min: 0, max: liquid.volumeL });
  inRange('capacityL', input.capacityL, LIMITS.capacityL);
  const abv = abvOf(liquid);
  const regulatorBar = kegPressure({ targetVolumes, tempC: storeC, abv, altitudeM });
  const thereL = liquid.volumeL - input.lossL;
  const fillL = Math.min(thereL, input.capacityL * (1 - ROOM));
  const still = residualCo2({ warmestSinceEndC: input.warmestC, abv }) * ((RESIDUAL_SHARE.least + RESIDUAL_SHARE.most) / 2);
  const held = Math.max(input.heldVolumes ?? 0, still);
  const way = kegWayById(input.way);
  const solubility = co2Solubility(storeC, abv);
  return worked(
    {
      fillL,
      overL: thereL - fillL,
      regulatorBar,
      gasG: Math.max(0, targetVolumes - held) * CO2_G_PER_VOLUME * fillL,
      readyOn: dateAfter(input.today, way.days, input.zone),
    },
    [
      {
        label: 'Regulator',
        expression: `${figure(targetVolumes, 1)} volumes × ${ATM_BAR} ÷ ${figure(solubility, 3)}, what a drink of ${figure(abv, 1)} % holds at ${celsius(storeC)}, less the weight of the air`,
        result: `${figure(regulatorBar, 2)} bar`,
        source: 'Henry’s law',
      },
    ],
  );
}
