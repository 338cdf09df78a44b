import { GUESSED_FIGURES, stillGuessed } from '../../matter/liquid/guessed.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import type { Fruit } from '../../matter/liquid/liquid.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import type { VesselFill } from '../state/vessel-fill.js';
import type { Kind } from './kind.js';
import { originalBy, rawText } from './raw-gravity-words.js';

/** Juice in a vessel: how a batch begins. */
export interface FilledPayload {
  readonly source: string;
  readonly fruit: Fruit;
  readonly volumeL: number;
  readonly gravity: RawGravity;
  readonly ph: number | null;
  readonly taGPerL: number | null;
  readonly tanninGPerL: number | null;
  readonly yanMgPerL: number | null;
  readonly vessels: readonly VesselFill[];
  readonly tempC: number | null;
}

export const filled: Kind<FilledPayload> = {
  apply: (_state, { at, payload }) => {
    const { sg } = correctGravity(payload.gravity, null);
    const liquid = liquidFromReadings({
      volumeL: payload.volumeL,
      sg,
      fruit: payload.fruit,
      ph: payload.ph ?? undefined,
      taGPerL: payload.taGPerL ?? undefined,
      tanninGPerL: payload.tanninGPerL ?? undefined,
      yanMgPerL: payload.yanMgPerL ?? undefined,
    });
    return {
      liquid,
      lastLiquid: liquid,
      must: liquid,
      vessels: payload.vessels,
      filledAt: at,
      filledUpAt: at,
      placeC: payload.tempC,
      heatedJuice: payload.source.startsWith('shop '),
      guessed: stillGuessed(GUESSED_FIGURES, { ...payload, sg: payload.gravity.instrument === 'carton' ? null : sg }),
      originalBy: originalBy(payload.gravity),
    };
  },
  words: ({ payload }, say) => ({ lead: `Filled ${say.volume(payload.volumeL)}`, rest: `of ${payload.source}, ${rawText(payload.gravity, say)}` }),
  vesselsAfter: ({ vessels }) => vessels.map((v) => v.vesselId),
};
