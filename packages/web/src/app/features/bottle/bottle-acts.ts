import type { BottleCount } from '@trug/core';
import { CAP_COLOURS } from '@trug/core/book/state/entry-choices';
import type { BatchView } from '../../state/batch-views.selectors';
import type { Act } from '../../writing/log-writer';
import type { BottleBenchFields } from './bottle-draft';

/** What a bottle run comes to. */
export interface RunDone {
  readonly bottles: readonly BottleCount[];
  /** The sugar that goes in, g, and what it makes; null for a still drink. */
  readonly primed: { readonly massG: number; readonly targetVolumes: number; readonly warmestSinceEndC: number; readonly freshYeastG?: number } | null;
  readonly testBottle: boolean;
  readonly lossL: number;
  readonly hottestC: number;
  readonly acknowledged: readonly string[];
  /** Filled to be heated; absent for all others. */
  readonly toHeat?: { readonly headspace: number };
}

/**
 * The entries of a bottle run: what primed it, and the lot.
 *
 * @param view - the batch
 * @param fields - the bench as set
 * @param run - what it comes to
 * @returns acts in the order they are done
 */
export function bottleActs({ batch, state }: BatchView, { sugar, mode, cap }: BottleBenchFields, run: RunDone): readonly Act[] {
  const { primed, bottles, acknowledged, ...rest } = run;
  const priming: readonly Act[] = primed
    ? [{ kind: 'primed', payload: { fermentableId: sugar, mode: mode === 'per-bottle' ? 'per-bottle' : 'bulk', ...primed } }]
    : [];
  // Jars bottled one after another are told apart by their number.
  const before = state.crates.length;
  const crate = before === 0 ? batch.name : `${batch.name.slice(0, 56)} ${before + 1}`;
  const capColour = CAP_COLOURS.find((colour) => colour === cap) ?? 'rust';
  return [...priming, { kind: 'bottled', payload: { ...rest, bottles: [...bottles], crate, capColour, acknowledged: [...acknowledged] } }];
}
