import { createSelector } from '@ngrx/store';
import type { StoredJuice } from '@trug/contract/plain';
import type { PastPress } from '@trug/core';
import { attempt } from '@trug/core/base/errors/attempt';
import { juiceInHand, type JuiceInHand } from '@trug/core/juice/fruit/juice-in-hand';
import { sumAmounts } from '@trug/core/book/summary/sum-over-logs';
import { selectSummaries } from '../../state/batch-views.selectors';
import { juicesFeature } from '../../state/resources.reducer';

/** A juice with what is known of it. */
export interface HeldJuice {
  readonly juice: StoredJuice;
  readonly hand: JuiceInHand;
}

/** Less than this in a jug is not a juice in hand any more. @source our estimate */
const DREGS_L = 0.05;

/** Every juice that can be reckoned with, newest first. */
export const selectHeldJuices = createSelector(juicesFeature.selectAll, selectSummaries, (juices, summaries): readonly HeldJuice[] => {
  const pouredL = sumAmounts(summaries.flatMap((s) => s.poured));
  return juices
    .flatMap((juice) => {
      const hand = attempt(() => juiceInHand(juice, pouredL.get(juice.id) ?? 0));
      return hand.ok ? [{ juice, hand: hand.value }] : [];
    })
    .sort((a, b) => (a.juice.madeAt < b.juice.madeAt ? 1 : -1));
});

/** Juices of which something is left. */
export const selectJuicesInHand = createSelector(selectHeldJuices, (all) => all.filter((h) => h.hand.leftL > DREGS_L));

/** The maker's own pressings that gave juice. */
export const selectPastPresses = createSelector(juicesFeature.selectAll, (juices): readonly (PastPress & { readonly juiceId: string })[] =>
  juices.flatMap(({ id, pressing }) => {
    if (!pressing) return [];
    const massKg = pressing.lots.reduce((sum, l) => sum + l.massKg, 0);
    const volumeL = pressing.runs.reduce((sum, r) => sum + r.volumeL, 0);
    return massKg > 0 && volumeL > 0 ? [{ juiceId: id, pressId: pressing.pressId, massKg, volumeL }] : [];
  }),
);
