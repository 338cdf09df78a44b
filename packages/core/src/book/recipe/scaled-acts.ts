import { yeastById } from '../../base/reference/yeast-kinds.js';
import { pitchRate, USUAL_MUST_C } from '../../ferment/yeast/pitch-rate.js';
import type { AdditionPayload } from '../../juice/adjust/addition-payload.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { EntryPayloads } from '../entry/entry.js';
import type { PitchedPayload } from '../kinds/pitched.js';
import type { VesselFill } from '../state/vessel-fill.js';
import type { RecipeKind } from './recipe-step.js';

/** At which size something is done again. */
export interface Scale {
  /** Times as much as it was. */
  readonly factor: number;
  /** The must as yeast went into it, at its new size; null before there is one. */
  readonly must: Liquid | null;
}

type Scaler<K extends RecipeKind> = (payload: EntryPayloads[K], scale: Scale) => EntryPayloads[K];

const fills = (vessels: readonly VesselFill[], factor: number): readonly VesselFill[] => vessels.map((v) => ({ ...v, volumeL: v.volumeL * factor }));
const sized = (liquid: Liquid, factor: number): Liquid => ({ ...liquid, volumeL: liquid.volumeL * factor });
/** What was taken out of the cupboard then is no part of a recipe. */
const NO_SUPPLIES = { supplies: undefined } as const;

function addition(payload: AdditionPayload, { factor }: Scale): AdditionPayload {
  switch (payload.what) {
    case 'water':
      return { ...payload, ...NO_SUPPLIES, volumeL: payload.volumeL * factor };
    case 'sulfite':
      // Milligrams in a litre are the same in any vessel.
      return { ...payload, ...NO_SUPPLIES };
    case 'fermentable':
    case 'acid':
    case 'carbonate':
    case 'tannin':
    case 'nutrient':
    case 'enzyme':
    case 'bentonite':
    case 'finings':
      return { ...payload, ...NO_SUPPLIES, massG: payload.massG * factor };
  }
}

/** Yeast multiplies by itself, so it does not go by the gallon: as much as the must of its new size asks for. */
function pitched(payload: PitchedPayload, { factor, must }: Scale): PitchedPayload {
  if (factor === 1 || must === null || payload.massG === 0) return { ...payload, ...NO_SUPPLIES };
  const { massG } = pitchRate({ liquid: must, yeastId: yeastById(payload.yeastId).id, tempC: payload.juiceC ?? USUAL_MUST_C, purpose: 'start' }).value;
  return { ...payload, ...NO_SUPPLIES, massG };
}

/** What a recipe keeps of a log, each at another size; readings, tastings and what happened to that one batch are left out, and so is what seals: sugar for the fizz, sweetness and sulfite with sorbate hang on what is left in each drink. */
export const SCALED: { readonly [K in RecipeKind]: Scaler<K> } = {
  filled: (payload, { factor }) => ({ ...payload, volumeL: payload.volumeL * factor, vessels: fills(payload.vessels, factor) }),
  blended: (payload, { factor }) => ({
    ...payload,
    parts: payload.parts.map((part) => ({ ...part, liquid: sized(part.liquid, factor) })),
    vessels: fills(payload.vessels, factor),
  }),
  steeped: (payload, { factor }) => ({
    ...payload,
    ...NO_SUPPLIES,
    fruitKg: payload.fruitKg * factor,
    liquid: sized(payload.liquid, factor),
    waterL: payload.waterL * factor,
    sugars: payload.sugars.map((sugar) => ({ ...sugar, massG: sugar.massG * factor })),
    acidG: payload.acidG * factor,
    teaCups: payload.teaCups * factor,
    driedFruitG: payload.driedFruitG * factor,
    vessels: fills(payload.vessels, factor),
  }),
  addition,
  pitched,
  strained: (payload, { factor }) => ({ ...payload, vessels: fills(payload.vessels, factor) }),
  racked: (payload, { factor }) => ({ vessels: fills(payload.vessels, factor), lossL: payload.lossL * factor }),
  clarified: (payload, { factor }) => ({ ...payload, ...NO_SUPPLIES, massG: payload.massG * factor }),
  moved: (payload) => payload,
  note: (payload) => payload,
};
