import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure } from '../../base/worked/figures.js';
import { sulfiteAmount } from '../../juice/adjust/sulfite-given.js';
import { countText } from '../../matter/quantity/count-text.js';
import { abvOf, dryAbvOf, gravityOf } from '../../matter/liquid/views.js';
import { calendarDays } from '../../matter/quantity/days.js';
import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry, EntryPayloads } from '../entry/entry.js';
import { replay } from '../log/replay.js';
import { drinkOf } from '../state/drink-of.js';
import { workedMust } from '../state/worked-must.js';
import { BEGINNINGS, isOfRecipes, type RecipeKind } from './recipe-step.js';
import { SCALED, type Scale } from './scaled-acts.js';

/** One thing to do, at the size asked for. */
export interface RecipeStep {
  /** Days after the first. */
  readonly afterDays: number;
  /** As an entry of the log would say it; nothing of it is filed. */
  readonly entry: Entry;
}

/** How a batch was made, to be made again. */
export interface Recipe {
  readonly beganL: number;
  readonly volumeL: number;
  readonly steps: readonly RecipeStep[];
  /** What came of it, as far as it was read. */
  readonly came: {
    /** SG of the must as yeast went in; null before that. */
    readonly originalSg: number | null;
    /** What it would make if it went dry, % by volume. */
    readonly dryAbv: number | null;
    /** The last reading; null when there is none since the yeast. */
    readonly lastSg: number | null;
    readonly lastAfterDays: number | null;
    /** % by volume as it last stood. */
    readonly abv: number | null;
  };
}

/** L with which a batch began. */
function begunWith(entry: Entry): number {
  if (entry.kind === 'filled') return entry.payload.volumeL;
  if (entry.kind === 'steeped') return entry.payload.liquid.volumeL;
  return entry.kind === 'blended' ? entry.payload.parts.reduce((sum, { liquid }) => sum + liquid.volumeL, 0) : 0;
}

/** What a step says besides: of sulfite how much that is, of all else what was noted then. */
function noteOf({ kind, payload, note }: Entry, volumeL: number): string {
  if (kind !== 'addition' || payload.what !== 'sulfite') return note;
  const [tablets, powderG] = [sulfiteAmount('tablet', payload.so2MgPerL, volumeL), sulfiteAmount('potassium-metabisulfite', payload.so2MgPerL, volumeL)];
  return `${countText(Number(figure(tablets, 1)), 'tablet')}, or ${figure(powderG, 1)} g of potassium metabisulfite`;
}

/** What a kept recipe says besides its log. */
export interface AsKept {
  /** Ids of entries that stay as they are at any size. */
  readonly fixed: ReadonlySet<string>;
  /** Whether notes belong to it: in a recipe they say what to do, in a batch's log what happened to that batch. */
  readonly notes: boolean;
}
const AS_LOGGED: AsKept = { fixed: new Set(), notes: false };
const AS_IT_WAS: Scale = { factor: 1, must: null };

const scaledPayload = <K extends RecipeKind>(kind: K, payload: EntryPayloads[K], scale: Scale): EntryPayloads[K] => SCALED[kind](payload, scale);

/**
 * How a batch was made, as a recipe for another volume: what went in and was done, day by day, with what came of it.
 *
 * @param log - every entry, in the order filed
 * @param zone - IANA time zone of the maker, for the days
 * @param volumeL - how much to begin with this time, L; as it was when left out
 * @param kept - what of it is fixed, where it is a recipe's
 * @returns the recipe
 * @throws {CoreError} NOT_ALLOWED when the log has no beginning; OUT_OF_RANGE for a volume that is none
 * @source mass balance: everything by the litre, sulfite by its milligrams in a litre, yeast by its must
 */
export function recipeOf(log: readonly Entry[], zone: string, volumeL?: number, { fixed, notes }: AsKept = AS_LOGGED): Recipe {
  const { entries } = effectiveEntries(log);
  const first = entries.find((entry) => BEGINNINGS.has(entry.kind));
  if (!first) throw new CoreError('NOT_ALLOWED', 'nothing was begun in this batch', {});
  const beganL = begunWith(first);
  const wantedL = volumeL === undefined ? beganL : inRange('volumeL', volumeL, LIMITS.pourL);
  const factor = beganL > 0 ? wantedL / beganL : 1;
  const state = replay(log, zone);
  const pitchedInto = state.pitch?.liquid ?? state.must;
  const must = pitchedInto ? { ...pitchedInto, volumeL: pitchedInto.volumeL * factor } : null;
  const afterDays = (entry: { readonly at: string }): number => Math.max(0, calendarDays(first.at, entry.at, zone));
  const steps = entries.flatMap((entry): RecipeStep[] => {
    const { kind } = entry;
    if (!isOfRecipes(kind) || (kind === 'note' && !notes)) return [];
    const payload = scaledPayload(kind, entry.payload as EntryPayloads[RecipeKind], fixed.has(entry.id) ? AS_IT_WAS : { factor, must });
    // Kind and payload belong together: one was made of the other.
    return [{ afterDays: afterDays(entry), entry: { ...entry, payload, note: noteOf(entry, wantedL) } as Entry }];
  });
  const last = state.pitchedAt === null ? null : (state.readings.filter((r) => r.at > (state.pitchedAt ?? '')).at(-1) ?? null);
  const drink = drinkOf(state);
  const worked = workedMust(state);
  return {
    beganL,
    volumeL: wantedL,
    steps,
    came: {
      originalSg: worked && gravityOf(worked),
      dryAbv: worked && dryAbvOf(worked),
      lastSg: last?.sg ?? null,
      lastAfterDays: last ? afterDays(last) : null,
      abv: last && drink ? abvOf(drink.liquid) : null,
    },
  };
}
