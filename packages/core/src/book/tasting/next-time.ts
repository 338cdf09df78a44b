import type { Tasting } from './tastings.js';

/** By what two batches are alike. */
export const LIKENESSES = ['fruit', 'yeast', 'manner'] as const;
export type Likeness = (typeof LIKENESSES)[number];

/** What of a batch makes another one like it. */
export interface LikeFacts {
  /** Kinds of fruit and names of the juices it is made of. */
  readonly fruits: readonly string[];
  readonly yeastId: string | null;
  readonly methodId: string | null;
}

/** A batch that was tasted. */
export interface TastedBatch extends LikeFacts {
  readonly id: string;
  readonly name: string;
  readonly tastings: readonly Tasting[];
}

/** What was noted for the next time, and why it is told now. */
export interface NextTime {
  readonly batchId: string;
  readonly name: string;
  readonly at: string;
  readonly text: string;
  readonly alike: readonly Likeness[];
}

/** More would not be read. */
const MOST_TOLD = 3;

function likenesses(a: LikeFacts, b: LikeFacts): readonly Likeness[] {
  const same: Readonly<Record<Likeness, boolean>> = {
    fruit: a.fruits.some((fruit) => b.fruits.includes(fruit)),
    yeast: a.yeastId !== null && a.yeastId === b.yeastId,
    manner: a.methodId !== null && a.methodId === b.methodId,
  };
  return LIKENESSES.filter((of) => same[of]);
}

/**
 * What the maker noted for the next time on batches like one that is begun: those most alike first, then the newest.
 *
 * @param begun - what is known of the new batch
 * @param batches - every batch that was tasted
 * @returns the newest note of each, three at most
 */
export function nextTimeFor(begun: LikeFacts, batches: readonly TastedBatch[]): readonly NextTime[] {
  return batches
    .flatMap((batch) => {
      const noted = batch.tastings.filter((t) => (t.sheet?.next ?? '').trim() !== '').at(-1);
      const alike = likenesses(begun, batch);
      return noted?.sheet && alike.length > 0 ? [{ batchId: batch.id, name: batch.name, at: noted.at, text: noted.sheet.next.trim(), alike }] : [];
    })
    .sort((a, b) => b.alike.length - a.alike.length || b.at.localeCompare(a.at))
    .slice(0, MOST_TOLD);
}
