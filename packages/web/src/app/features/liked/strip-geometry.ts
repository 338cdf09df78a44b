import type { JudgedBatch, Trait } from '@trug/core/book/tasting/liked-apart';
import { scaleLinear } from 'd3-scale';

/** A strip's size, px. */
export const STRIP_W = 420;
export const STRIP_H = 44;
const EDGE = 12;
/** Liked stand on the upper line, less liked on the lower. */
const LIKED_Y = 13;
const LESS_Y = 31;

/** A batch as a dot on the strip of one figure. */
export interface StripDot {
  readonly x: number;
  readonly y: number;
  readonly liked: boolean;
}

/** One figure of every batch that has it, and where the middles lie. */
export interface Strip {
  readonly dots: readonly StripDot[];
  readonly likedX: number;
  readonly lessX: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Lays the batches out by one figure.
 *
 * @param batches - judged
 * @param trait - the figure
 * @param middles - of the liked and the less liked
 */
export function stripOf(batches: readonly JudgedBatch[], trait: Trait, middles: { readonly liked: number; readonly less: number }): Strip {
  const figures = batches.flatMap((batch) => (batch.traits[trait] === null ? [] : [batch.traits[trait]]));
  const [low, high] = [Math.min(...figures), Math.max(...figures)];
  const x = scaleLinear([low, high === low ? low + 1 : high], [EDGE, STRIP_W - EDGE]);
  return {
    dots: batches.flatMap(({ liked, traits }) => {
      const figure = traits[trait];
      return figure === null ? [] : [{ x: x(figure), y: liked ? LIKED_Y : LESS_Y, liked }];
    }),
    likedX: x(middles.liked),
    lessX: x(middles.less),
    low,
    high,
  };
}
