import type { Liquid } from '../../matter/liquid/liquid.js';
import type { BatchState } from './batch-state.js';

/**
 * What went to yeast, once it has: what a lens, a dry end and a strength are reckoned from.
 *
 * @param state - of a batch
 * @returns the must; null before its yeast
 */
export const workedMust = ({ pitchedAt, must }: Pick<BatchState, 'pitchedAt' | 'must'>): Liquid | null => (pitchedAt === null ? null : must);
