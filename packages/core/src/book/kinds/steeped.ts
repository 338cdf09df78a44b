import { figure } from '../../base/worked/figures.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import { pulpL, type WeighedSugar } from '../../juice/fruit/pulp.js';
import { GUESSED_FIGURES } from '../../matter/liquid/guessed.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { countText } from '../../matter/quantity/count-text.js';
import type { VesselFill } from '../state/vessel-fill.js';
import type { Kind } from './kind.js';

/** Chopped fruit in water: how a batch begins on the pulp. */
export interface SteepedPayload {
  readonly fruitKg: number;
  /** A cultivar of the library, or null for a garden mix. */
  readonly fruitId: string | null;
  /** What it is called. */
  readonly source: string;
  /** The must to expect when it is strained, as the sums had it that day: like a poured juice, it is carried along. */
  readonly liquid: Liquid;
  readonly hot: boolean;
  /** Loose in the bucket, where it rises to a cap, and not in a bag. */
  readonly loose: boolean;
  readonly waterL: number;
  readonly sugars: readonly WeighedSugar[];
  /** Citric acid, as lemons bring it, g. */
  readonly acidG: number;
  /** Cups of strong tea, for tannin. */
  readonly teaCups: number;
  /** Raisins or sultanas, for body, g. */
  readonly driedFruitG: number;
  /** How long it is to stay on the pulp. */
  readonly days: number;
  /** The bucket, with what stands in it, pulp and all. */
  readonly vessels: readonly VesselFill[];
  readonly tempC: number | null;
  readonly supplies?: readonly SupplyUse[] | undefined;
}

/** Why nothing is sealed, racked or shared out that still has its pulp in it. */
export const ON_THE_PULP = 'It stands on its pulp. Strain it first.';

export const steeped: Kind<SteepedPayload> = {
  apply: (_state, { at, payload }) => {
    const { liquid, vessels, tempC, fruitKg, hot, loose, days } = payload;
    return {
      liquid,
      lastLiquid: liquid,
      must: liquid,
      vessels,
      filledAt: at,
      placeC: tempC,
      guessed: GUESSED_FIGURES,
      originalBy: 'sum',
      pulp: { since: at, fruitKg, hot, loose, days, volumeL: pulpL({ fruitKg, hot }) },
    };
  },
  words: ({ payload }, say) => {
    const { fruitKg, source, liquid, sugars, waterL, days, acidG, teaCups, driedFruitG } = payload;
    const sugarG = sugars.reduce((sum, sugar) => sum + sugar.massG, 0);
    const besides = [
      sugarG > 0 ? `, ${say.mass(sugarG)} sugar` : '',
      acidG > 0 ? `, ${say.mass(acidG)} citric acid` : '',
      teaCups > 0 ? `, ${countText(Number(figure(teaCups, 1)), 'cup')} of tea` : '',
      driedFruitG > 0 ? `, ${say.mass(driedFruitG)} raisins` : '',
    ].join('');
    return {
      lead: `On the pulp, ${say.mass(fruitKg * 1000)}`,
      rest: `of ${source} in ${say.volume(waterL)} water${besides}, for ${countText(days, 'day')}: about ${say.gravity(gravityOf(liquid))} and ${say.volume(Number(figure(liquid.volumeL, 1)))} by the sums`,
    };
  },
  supplies: ({ supplies = [] }) => supplies,
  vesselsAfter: ({ vessels }) => vessels.map((v) => v.vesselId),
};
