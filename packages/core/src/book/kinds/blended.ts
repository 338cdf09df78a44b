import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import { GUESSED_FIGURES, type GuessedFigure } from '../../matter/liquid/guessed.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { NO_SUGAR, weighedWith } from '../../matter/liquid/sugar-by-scales.js';
import { abvOf } from '../../matter/liquid/views.js';
import type { Draft, Patch } from '../state/draft.js';
import type { PourSource } from '../state/entry-choices.js';
import type { ShareStory } from '../state/share-story.js';
import type { VesselFill } from '../state/vessel-fill.js';
import type { Filed, Kind } from './kind.js';
import { noteSugar } from './sugar-moves.js';

/** A juice, or another batch, poured into a blend. */
export interface BlendPart {
  readonly from: PourSource;
  readonly sourceId: string;
  readonly name: string;
  /** What it was when it was poured; its volume is what was poured. */
  readonly liquid: Liquid;
  /** The kind of yeast that made it; null for juice. */
  readonly yeastId: string | null;
  /** Which of its figures nobody measured; absent in what was poured before that was kept. */
  readonly guessed?: readonly GuessedFigure[] | undefined;
  /** What is known of it, where a share of one drink begins a batch; absent for all else. */
  readonly story?: ShareStory | undefined;
}

/** Poured together: the batch begins with it, or takes it in. */
export interface BlendedPayload {
  readonly parts: readonly BlendPart[];
  readonly vessels: readonly VesselFill[];
  readonly tempC: number | null;
}

/** Strength above which something has fermented, % by volume. @source our estimate: juice on the turn holds less */
const FERMENTED_ABV = 0.5;

/** What is guessed of a blend: whatever was of anything in it. Of what was poured before it was kept, the acid was never counted as measured. */
const guessedIn = (state: Draft, parts: readonly BlendPart[]): readonly GuessedFigure[] => {
  const all = new Set([...(state.liquid ? state.guessed : []), ...parts.flatMap(({ guessed = ['taGPerL'] }) => guessed)]);
  return GUESSED_FIGURES.filter((figure) => all.has(figure));
};

/** A share of one drink: the same drink in another vessel, whose readings, yeast and proof go with it. */
function retold(state: Draft, { at, payload: { vessels, tempC } }: Filed<BlendedPayload>, { liquid, yeastId }: BlendPart, story: ShareStory): Patch {
  const { readings, temps, judged, pitchedGPerL, weighedSdGPerL = 0, acidMeasured, guessed = acidMeasured ? [] : ['taGPerL' as const], ...known } = story;
  state.readings.push(...readings);
  state.temps.push(...temps);
  state.judged.push(...judged);
  const pitch = pitchedGPerL === null ? null : { at: known.pitchedAt, gPerL: pitchedGPerL, liquid: known.must };
  return { ...known, guessed, weighedSdGPerL, pitch, liquid, lastLiquid: liquid, vessels, yeastId, filledAt: at, filledUpAt: at, placeC: tempC };
}

export const blended: Kind<BlendedPayload> = {
  apply: (state, entry) => {
    const { parts, vessels, tempC } = entry.payload;
    const [whole] = parts;
    if (state.filledAt === null && parts.length === 1 && whole?.story) return retold(state, entry, whole, whole.story);
    const liquid = blendLiquids([...(state.liquid ? [state.liquid] : []), ...parts.map((p) => p.liquid)]);
    const must = state.must ? { ...blendLiquids([{ ...state.must, volumeL: state.liquid?.volumeL ?? 0 }, ...parts.map((p) => p.liquid)]) } : liquid;
    const patch: Patch = {
      liquid,
      lastLiquid: liquid,
      must,
      vessels,
      filledAt: state.filledAt ?? entry.at,
      filledUpAt: entry.at,
      placeC: tempC ?? state.placeC,
      guessed: guessedIn(state, parts),
      heatedJuice: false,
    };
    if (abvOf(liquid) < FERMENTED_ABV) return patch;
    // Ciders poured together may work again, so the proof of the end begins anew, unless next to no sugar came in.
    const woken = state.liquid && state.pitchedAt ? noteSugar(state, entry.at, state.liquid, liquid) : {};
    if (!state.liquid || !state.pitchedAt) state.judged.push({ at: entry.at, kind: 'gravity-changed' });
    const weighed = weighedWith({ ...state, volumeL: state.liquid?.volumeL ?? 0 }, NO_SUGAR, liquid.volumeL);
    const strongest = parts.reduce<(typeof parts)[number] | null>(
      (best, p) => (p.yeastId !== null && (!best || p.liquid.volumeL > best.liquid.volumeL) ? p : best),
      null,
    );
    return { ...patch, ...woken, ...weighed, pitch: null, pitchedAt: state.pitchedAt ?? entry.at, yeastId: state.yeastId ?? strongest?.yeastId ?? null };
  },
  words: ({ payload: { parts } }, say) => ({
    lead: `Poured ${say.volume(parts.reduce((sum, p) => sum + p.liquid.volumeL, 0))}`,
    // A single part was named by the volume already.
    rest: parts.map((p) => (parts.length === 1 ? `of ${p.name}` : `${say.volume(p.liquid.volumeL)} ${p.name}`)).join(', '),
  }),
  onTheDrink: true,
  juices: ({ parts }) => parts.filter((p) => p.from === 'juice').map((p) => ({ id: p.sourceId, amount: p.liquid.volumeL })),
  vesselsAfter: ({ vessels }) => vessels.map((v) => v.vesselId),
};
