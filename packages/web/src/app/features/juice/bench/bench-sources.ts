import { createSelector } from '@ngrx/store';
import type { GuessedFigure, JuiceDoubt, Liquid, VesselFill } from '@trug/core';
import { guessedOf } from '@trug/core/juice/fruit/juice-in-hand';
import { provesFinished } from '@trug/core/ferment/verdict/verdict';
import { dayText } from '@trug/core/matter/quantity/days';
import { selectBatchViews, selectZone } from '../../../state/batch-views.selectors';
import { selectJuicesInHand } from '../juices-in-hand';

/** Something that can stand on the bench: a juice in hand, or a batch that has fermented. */
export interface BenchSource {
  readonly id: string;
  readonly from: 'juice' | 'batch';
  readonly name: string;
  readonly tape: string;
  readonly line: string;
  readonly liquid: Liquid;
  readonly leftL: number;
  readonly doubt: JuiceDoubt;
  readonly costPerL: number | null;
  readonly yeastId: string | null;
  /** Where it stands; empty for juice. */
  readonly vessels: readonly VesselFill[];
  /** When the last thing in its log happened; null for juice, which has none. */
  readonly lastEntryAt: string | null;
  /** Which figures nobody measured. */
  readonly guessed: readonly GuessedFigure[];
}

/** How well a fermented batch is known. @source our estimate: acids follow the juice, and some are lost on the way */
const CIDER_DOUBT: JuiceDoubt = { sg: 0.001, taGPerL: 0.5, ph: 0.1, tanninGPerL: 0.4 };

const MADE = { pressed: 'pressed', bought: 'bought', mill: 'from the mill', concentrate: 'made up', steeped: 'strained' } as const;

/** Juices that can be blended; preserved ones cannot ferment and are left out. */
export const selectJuiceSources = createSelector(selectJuicesInHand, selectZone, (held, zone): readonly BenchSource[] =>
  held
    .filter((h) => !h.juice.preserved)
    .map(({ juice, hand }) => ({
      id: juice.id,
      from: 'juice',
      name: juice.name,
      tape: juice.tape,
      line: `${MADE[juice.origin]} ${dayText(juice.madeAt, false, zone)}`,
      liquid: hand.liquid,
      leftL: hand.leftL,
      doubt: hand.doubt,
      costPerL: juice.costPerL,
      yeastId: null,
      vessels: [],
      lastEntryAt: null,
      guessed: guessedOf(hand),
    })),
);

/** Juices left out because they are preserved. */
export const selectPreservedJuices = createSelector(selectJuicesInHand, (held) => held.filter((h) => h.juice.preserved).map((h) => h.juice.name));

/** Ciders that can be blended: those proven finished, or at rest. */
export const selectCiderSources = createSelector(selectBatchViews, (views): readonly BenchSource[] =>
  views.flatMap(({ batch, state, verdict }) => {
    if (!state.liquid || !state.pitchedAt || state.keg || !verdict || !provesFinished(verdict.value.status)) return [];
    return [
      {
        id: batch.id,
        from: 'batch' as const,
        name: batch.name,
        tape: batch.tape,
        line: 'finished',
        liquid: state.liquid,
        leftL: state.liquid.volumeL,
        doubt: CIDER_DOUBT,
        costPerL: null,
        yeastId: state.yeastId,
        vessels: state.vessels,
        lastEntryAt: state.lastEntryAt,
        guessed: state.guessed,
      },
    ];
  }),
);
