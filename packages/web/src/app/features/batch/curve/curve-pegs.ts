import type { Entry } from '@trug/core';
import { DAY_MS } from '@trug/core/matter/quantity/days';

/** Something done, or to be done, in the lane under the axis. */
export interface CurvePeg {
  readonly x: number;
  readonly label: string;
  readonly row: number;
  /** Whether its words stand before it, where the picture ends after it. */
  readonly before: boolean;
  readonly ahead: boolean;
}

const PEGS: Partial<Record<Entry['kind'], string>> = {
  pitched: 'pitched',
  strained: 'strained',
  racked: 'racked',
  primed: 'primed',
  bottled: 'bottled',
  stabilised: 'stabilised',
  kegged: 'kegged',
};

/** What a letter of a label takes, px, and what stands before and after it. */
const LETTER_PX = 6.4;
const BESIDE_PX = 16;

/** How many rows the lane has. */
const PEG_ROWS = 2;

/**
 * The pegs of what was done and the day to read, each in a row where its words have room; what has none is left out.
 *
 * @param entries - of the batch
 * @param ask - since when they count, the next reading's day and its words, both null when none is due
 * @param x - px of a moment, ms since 1970
 * @param plot - where the lane begins and ends, px
 * @returns pegs from left to right
 */
export function curvePegs(
  entries: readonly Entry[],
  ask: { readonly startAt: string; readonly readAtMs: number | null; readonly readText: string },
  x: (ms: number) => number,
  plot: { readonly left: number; readonly right: number },
): readonly CurvePeg[] {
  const fromMs = Date.parse(ask.startAt) - DAY_MS;
  const done = entries.flatMap((entry) => {
    const label = PEGS[entry.kind];
    const ms = Date.parse(entry.at);
    return label === undefined || ms < fromMs ? [] : [{ ms, label, ahead: false }];
  });
  const due = ask.readAtMs === null ? [] : [{ ms: ask.readAtMs, label: ask.readText, ahead: true }];
  const taken = Array.from({ length: PEG_ROWS }, () => -Infinity);
  return [...done, ...due]
    .sort((a, b) => a.ms - b.ms)
    .flatMap(({ ms, label, ahead }) => {
      const at = x(ms);
      if (at < plot.left - 1 || at > plot.right + 1) return [];
      const width = label.length * LETTER_PX + BESIDE_PX;
      const before = at + width > plot.right + 60;
      const row = taken.findIndex((end) => (before ? at - width : at) > end);
      if (row < 0) return [];
      taken[row] = before ? at + BESIDE_PX / 2 : at + width;
      return [{ x: at, label, row, before, ahead }];
    });
}
