import type { BlendPart } from '@trug/core';
import type { BenchSource } from './bench-sources';
import { type Act } from '../../../writing/log-writer';

/** A share of a source, as what is poured into. */
export function partOf({ from, id, name, liquid, yeastId, guessed }: BenchSource, volumeL: number): BlendPart {
  return { from, sourceId: id, name, liquid: { ...liquid, volumeL }, yeastId, guessed };
}

/**
 * What a cider's own log says of a share that leaves it.
 *
 * @param source - the cider
 * @param volumeL - how much of it leaves
 * @param into - the batch it goes into, and why
 * @returns a split that leaves the rest where it stands
 */
export function takenFrom(source: BenchSource, volumeL: number, into: { readonly batchId: string; readonly name: string; readonly why: string }): Act {
  const share = Math.max(0, 1 - volumeL / source.leftL);
  const vessels = source.vessels.map((v) => ({ ...v, volumeL: v.volumeL * share }));
  const { why, ...batch } = into;
  return { kind: 'split', payload: { into: [{ ...batch, volumeL }], vessels, lossL: 0, why } };
}
