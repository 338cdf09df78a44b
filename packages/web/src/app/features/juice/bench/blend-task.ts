import type { Blend, BlendInput, Worked } from '@trug/core';
import { reachableRegion, type ReachAxis, type ReachPoint } from '@trug/core/juice/blend/reachable-region';
import { solveBlend } from '@trug/core/juice/blend/solve-blend';
import { attempt } from '@trug/core/base/errors/attempt';

/** What the bench asks: the best blend, and when the juices changed, the outline of all of them. */
export interface BlendTask {
  readonly blend: BlendInput;
  /** The axis to trace upwards; null when the outline is known already. */
  readonly reach: ReachAxis | null;
}

/** What it gets back. */
export interface BlendAnswer {
  readonly blend: Worked<Blend> | null;
  /** Null when it was not asked for, or cannot be drawn. */
  readonly outline: readonly ReachPoint[] | null;
  /** Why there is no blend; null when there is. */
  readonly refusal: { readonly message: string; readonly field: string; readonly limit: string } | null;
}

/**
 * Solves one request of the bench.
 *
 * @param task - the request
 * @returns the blend with its outline, or why there is none
 */
export function runBlendTask({ blend, reach }: BlendTask): BlendAnswer {
  const solved = attempt(() => solveBlend(blend));
  const outline = reach === null ? null : attempt(() => reachableRegion({ juices: blend.juices, totalL: blend.totalL, axes: { x: 'sg', y: reach } }));
  const text = (value: unknown): string => (typeof value === 'string' ? value : '');
  return {
    blend: solved.ok ? solved.value : null,
    outline: outline?.ok === true ? outline.value : null,
    refusal: solved.ok ? null : { message: solved.error.message, field: text(solved.error.details['field']), limit: text(solved.error.details['limit']) },
  };
}
