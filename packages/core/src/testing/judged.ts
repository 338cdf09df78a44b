import { sugarForGravity } from '../juice/adjust/sugar-for-gravity.js';
import type { JudgedEntry, JudgeInput } from '../ferment/verdict/judge-facts.js';
import { judgeFermentation } from '../ferment/verdict/judge-fermentation.js';
import type { Verdict } from '../ferment/verdict/verdict.js';
import { liquidFromReadings } from '../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../matter/liquid/liquid.js';
import { yeastById } from '../base/reference/yeast-kinds.js';
import type { Worked } from '../base/worked/worked.js';

const START_MS = Date.UTC(2026, 9, 1, 10);

/** A day after the pitch as an instant. */
export const on = (day: number): string => new Date(START_MS + day * 86_400_000).toISOString();

/** A gravity on a day after the pitch. */
export type Read = readonly [day: number, sg: number];

/** Apple juice sugared to a gravity. */
export const sugaredMust = (sg: number): Liquid =>
  sugarForGravity({ liquid: liquidFromReadings({ volumeL: 20, sg: 1.048 }), targetSg: sg, fermentableId: 'sucrose' }).value.liquid;

/** An ordinary must, and one too strong for most yeast. */
export const APPLE = sugaredMust(1.064);
export const STRONG = sugaredMust(1.11);

/** What a judgement rests on beside its readings, where it is not the usual. */
export interface Given extends Partial<Pick<JudgeInput, 'liquid' | 'temps' | 'today' | 'school'>> {
  readonly yeastId?: string;
  readonly entries?: readonly JudgedEntry[];
}

/** The verdict on an ordinary must at 18 °C, read on some days. */
export function judged(reads: readonly Read[], { yeastId = 'crisp-cider', ...given }: Given = {}): Worked<Verdict> {
  return judgeFermentation({
    readings: reads.map(([day, sg]) => ({ id: `d${day}`, at: on(day), sg, tempC: 18 })),
    liquid: APPLE,
    yeast: yeastById(yeastId),
    temps: [{ at: on(0), tempC: 18 }],
    today: on(reads.at(-1)?.[0] ?? 0),
    entries: [{ at: on(0), kind: 'pitched' }],
    ...given,
  });
}

/** The status alone. */
export const statusOf = (reads: readonly Read[], given?: Given): string => judged(reads, given).value.status;

/** Where the ordinary must should end. */
export const END_SG = judged([]).value.expectedEndSg;
