import { bottleById } from '../../base/reference/bottle-kinds.js';
import { bottleSafety, type BottleSafety } from '../../finish/bottle/bottle-safety.js';
import type { HotLot } from '../../finish/bottle/hot-lot.js';
import type { SealedGas } from '../../finish/bottle/sealed-gas.js';
import { caution } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import type { Worked } from '../../base/worked/worked.js';
import type { BottleCount } from '../state/bottle-count.js';
import { checkToHeat, type ToHeat } from './heat-way.js';
import type { SealWay } from './sealing.js';

/** What a run of bottles is asked about. */
export interface BottlingAsked {
  readonly way: SealWay;
  /** With the priming in it. */
  readonly gas: SealedGas;
  readonly bottles: readonly BottleCount[];
  /** Hottest the store will get, °C, 0–60. */
  readonly hottestC: number;
  /** Filled to be heated; absent for all others. */
  readonly toHeat?: ToHeat | undefined;
}

/** What stands against a run of bottles. */
export interface BottlingCheck {
  /** Why it cannot be filled at all; null when it can. */
  readonly refusal: string | null;
  /** What to mind; a danger among them must be acknowledged in words. */
  readonly cautions: readonly Caution[];
  /** Each kind of bottle, the weakest first. */
  readonly safety: readonly { readonly kindId: string; readonly worked: Worked<BottleSafety> }[];
  /** What the bath does to them, where they are filled for one that they stand; null for all others. */
  readonly hot: HotLot | null;
}

/** Priming that a batch nobody read may get, g/L as hexose. @source our estimate: one volume, which plastic stands three times over */
export const UNREAD_PRIMING_G_PER_L = 4.5;

/** A batch that nobody could read: plastic alone, little sugar, and in its maker's own words. */
function checkUnread(gas: SealedGas, filled: readonly BottleCount[]): BottlingCheck {
  const glass = filled.some((b) => bottleById(b.kindId).closure !== 'screw');
  const much = gas.weighedGPerL > UNREAD_PRIMING_G_PER_L;
  const refusal = glass
    ? 'Nobody has read its gravity, so it goes into no glass. Choose fizzy-drink plastic bottles only, or read it and prove its end.'
    : much
      ? `Nobody has read its gravity, so it gets at most ${UNREAD_PRIMING_G_PER_L - 0.5} g/L of sugar: what is left in it comes on top.`
      : null;
  return { refusal, cautions: [caution('unread')], safety: [], hot: null };
}

/**
 * The bottles of a run, each kind once: those of one kind stand or burst together, however they were counted.
 *
 * @param bottles - counts, the same kind perhaps several times
 * @returns the kinds in their order, with all that there are of each
 */
export function byKind(bottles: readonly BottleCount[]): readonly BottleCount[] {
  const counts = new Map<string, number>();
  for (const { kindId, count } of bottles) counts.set(kindId, (counts.get(kindId) ?? 0) + count);
  return [...counts].map(([kindId, count]) => ({ kindId, count }));
}

/**
 * Whether bottles may be filled, and what has to be acknowledged first. Bench and log ask this one question.
 *
 * @param asked - the grounds for sealing, the gas with its priming, the bottles and the hottest day
 * @returns a refusal, cautions and the safety of each kind
 * @throws {CoreError} OUT_OF_RANGE; UNKNOWN_ID for a bottle nobody knows
 * @source design rules: what a high end may have left refuses bottles that would not stand it; sugar under sorbate is a danger of its own
 */
export function checkBottling({ way, gas, bottles, hottestC, toHeat }: BottlingAsked): BottlingCheck {
  const filled = byKind(bottles).filter((b) => b.count > 0);
  if (toHeat) return { ...checkToHeat(gas, filled, toHeat), safety: [] };
  if (way === 'unread') return checkUnread(gas, filled);
  const safety = filled
    .map(({ kindId, count }) => ({
      kindId,
      worked: bottleSafety({ gas, provenFinished: way !== 'unproven', bottle: bottleById(kindId), bottleCount: count, hottestC }),
    }))
    .sort((a, b) => b.worked.value.chanceOverLimit - a.worked.value.chanceOverLimit);
  const found = [...new Map(safety.flatMap((s) => s.worked.cautions).map((c) => [c.id, c])).values()];
  const isOver = (c: Caution): boolean => c.id === 'over-pressure' || c.id === 'wrong-bottle';
  const instead = { 'ended-high': caution('touch-high'), stabilised: caution('re-ferment'), proven: null, unproven: null }[way];
  const cautions = instead !== null && found.some(isOver) ? [instead, ...found.filter((c) => !isOver(c))] : found;
  const refused = way === 'ended-high' && found.some(isOver) ? caution('touch-high') : null;
  return {
    refusal: refused ? `${refused.text} ${refused.whatToDo}` : null,
    cautions: [...cautions].sort((a, b) => Number(b.severity === 'danger') - Number(a.severity === 'danger')),
    safety,
    hot: null,
  };
}
