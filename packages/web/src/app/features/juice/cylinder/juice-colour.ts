import type { Fruit } from '@trug/core';

/** Tannin at which a juice is drawn in plain amber, and at which it is darkest, g/L. @source for drawing only */
const AMBER_G_PER_L = 1.4;
const DARKEST_G_PER_L = 3;

/**
 * The colour a juice is drawn in: pears pale, sharp juices straw, tannic ones browning.
 *
 * @param juice - its fruit and tannin, g/L
 * @returns a CSS colour from the palette
 */
export function juiceColour({ fruit, tanninGPerL }: { readonly fruit: Fruit; readonly tanninGPerL: number }): string {
  const percent = (share: number): string => `${Math.round(100 * Math.min(1, Math.max(0, share)))}%`;
  if (fruit === 'pear') return `color-mix(in srgb, var(--perry) ${percent(1 - tanninGPerL / 4)}, var(--juice))`;
  if (tanninGPerL <= AMBER_G_PER_L) return `color-mix(in srgb, var(--juice) ${percent(0.35 + (0.65 * tanninGPerL) / AMBER_G_PER_L)}, var(--perry))`;
  return `color-mix(in srgb, var(--juice) ${percent(1 - (0.75 * (tanninGPerL - AMBER_G_PER_L)) / (DARKEST_G_PER_L - AMBER_G_PER_L))}, var(--wood-dark))`;
}
