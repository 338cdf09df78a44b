import type { BatchState } from '@trug/core';

/** A stretch of time at one warmth, as the ground it is drawn on. */
export interface HeatGround {
  readonly x: number;
  readonly width: number;
  /** 0 is a cold cellar, 1 a warm kitchen. */
  readonly shade: number;
  /** Whether it is only taken on, since nobody said that it moved. */
  readonly ahead: boolean;
}

/** A warmth of the ground, told beside it. */
export interface HeatWord {
  readonly text: string;
  readonly shade: number;
}

/** Warmths that differ by less are one, °C. */
const ALIKE_C = 1.5;
/** More are not told apart. */
const MOST_TOLD = 4;
const COLD_C = 4;
const SPAN_C = 20;

const shadeOf = (tempC: number): number => Math.min(1, Math.max(0, (tempC - COLD_C) / SPAN_C));

/**
 * The warmth a batch stood in, as stretches of the ground: what was said until today, and the last of it further on.
 *
 * @param temps - warmths of its places
 * @param x - px of a moment, ms since 1970
 * @param plot - where the ground begins and ends, px, and today, ms since 1970
 * @returns stretches from left to right
 */
export function heatGround(
  temps: BatchState['temps'],
  x: (ms: number) => number,
  plot: { readonly left: number; readonly right: number; readonly nowMs: number },
): readonly HeatGround[] {
  const { left, right, nowMs } = plot;
  const held = temps.map((temp, i) => ({ fromMs: Date.parse(temp.at), toMs: Date.parse(temps[i + 1]?.at ?? '') || nowMs, tempC: temp.tempC, ahead: false }));
  const last = held.at(-1);
  const stretches = last ? [...held, { fromMs: nowMs, toMs: Infinity, tempC: last.tempC, ahead: true }] : held;
  return stretches.flatMap(({ fromMs, toMs, tempC, ahead }) => {
    const from = Math.max(x(fromMs), left);
    const to = toMs === Infinity ? right : Math.min(x(toMs), right);
    return to - from < 0.5 ? [] : [{ x: from, width: to - from, shade: shadeOf(tempC), ahead }];
  });
}

/**
 * The warmths of the ground in words, each told once, the warmest first.
 *
 * @param temps - warmths of its places
 * @param text - how one is written
 * @returns at most four
 */
export function heatWords(temps: BatchState['temps'], text: (tempC: number) => string): readonly HeatWord[] {
  const told: number[] = [];
  for (const { tempC } of temps) if (!told.some((other) => Math.abs(other - tempC) < ALIKE_C)) told.push(tempC);
  return told
    .sort((a, b) => b - a)
    .slice(0, MOST_TOLD)
    .map((tempC) => ({ text: text(tempC), shade: shadeOf(tempC) }));
}
