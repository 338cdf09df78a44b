import { attempt } from '../../base/errors/attempt.js';
import { bottleById, type BottleKind } from '../../base/reference/bottle-kinds.js';
import { lotChance, REFUSE_CHANCE, type BottleSafetyInput } from './bottle-safety.js';
import { FIZZ_LEVELS, type FizzLevel } from './fizz-levels.js';
import { primingSugar } from './priming-sugar.js';
import { SUGAR_TEST_SD_G_PER_L, withPriming, type SealedGas } from './sealed-gas.js';

/** Something that would make bottles hold which would not as things stand. */
export interface WayToHold {
  readonly id: 'test' | 'malolactic' | 'test-and-malolactic' | 'heavy' | 'plastic';
  readonly text: string;
  readonly chanceOverLimit: number;
}

/** The drink with no more sugar in it than was weighed in. */
function knownDry(gas: SealedGas): SealedGas {
  return { ...gas, liquid: { ...gas.liquid, sucroseGPerL: 0, hexoseGPerL: gas.weighedGPerL }, sugarSdGPerL: SUGAR_TEST_SD_G_PER_L };
}

/**
 * What would make a lot hold, each with the chance it would leave: a test of the sugar, an end of the malolactic change,
 * or other bottles.
 *
 * @param input - as for `bottleSafety`
 * @returns the ways that bring it to one in a hundred or less; none where it holds already
 */
export function waysToHold(input: Omit<BottleSafetyInput, 'provenFinished'>): readonly WayToHold[] {
  const { gas, bottle } = input;
  if (lotChance(input) <= REFUSE_CHANCE) return [];
  const over: SealedGas = { ...gas, malolactic: 'over' };
  const stronger = (kind: BottleKind): boolean => (kind.limitBar ?? 0) > (bottle.limitBar ?? 0);
  const [heavy, plastic] = [bottleById('sparkling-750'), bottleById('plastic-500')];
  // A sample fermented out is read with a stem, which leaves more in doubt; what a test for sugar has found stands.
  const isTested = gas.sugarSdGPerL <= SUGAR_TEST_SD_G_PER_L;
  const test = {
    id: 'test' as const,
    text: 'a test for sugar, by strip or tablet, that finds none left in it',
    chanceOverLimit: isTested ? 1 : lotChance({ ...input, gas: knownDry(gas) }),
  };
  const malolactic = {
    id: 'malolactic' as const,
    text: 'its malolactic change over, or held by sulfite for its pH',
    chanceOverLimit: gas.malolactic === 'over' ? 1 : lotChance({ ...input, gas: over }),
  };
  const both = {
    id: 'test-and-malolactic' as const,
    text: 'both a test for sugar that finds none left, and its malolactic change over or held by sulfite',
    chanceOverLimit: isTested || gas.malolactic === 'over' || holds(test) || holds(malolactic) ? 1 : lotChance({ ...input, gas: knownDry(over) }),
  };
  const others = [
    { id: 'heavy' as const, text: 'heavy sparkling-wine bottles', kind: heavy },
    { id: 'plastic' as const, text: 'fizzy-drink plastic bottles', kind: plastic },
  ]
    .filter(({ kind }) => stronger(kind))
    .map(({ id, text, kind }) => ({ id, text, chanceOverLimit: lotChance({ ...input, bottle: kind }) }));
  return [test, malolactic, both, ...others].filter(holds);
}

const holds = (way: WayToHold): boolean => way.chanceOverLimit <= REFUSE_CHANCE;

/** What a level of fizz would need. */
export interface LevelInput {
  readonly gas: SealedGas;
  readonly fermentableId: string;
  /** How many of each kind: the more there are, the likelier one of them gives way. */
  readonly bottles: readonly { readonly bottle: BottleKind; readonly count: number }[];
  readonly hottestC: number;
}

/**
 * Whether a level of fizz is one that every chosen kind of bottle stands.
 *
 * @param level - the level
 * @param input - the drink before priming, the sugar, the bottles and the hottest day
 * @returns false also where the drink would be fizzier than that with no sugar at all
 */
function levelHolds(level: FizzLevel, { gas, fermentableId, bottles, hottestC }: LevelInput): boolean {
  const { liquid, warmestSinceEndC } = gas;
  const priming = attempt(() => primingSugar({ liquid, targetVolumes: level.volumes, warmestSinceEndC, fermentableId, mode: 'bulk' }));
  if (!priming.ok) return false;
  const primed = withPriming(gas, { fermentableId, massG: priming.value.value.massG });
  return bottles.every(({ bottle, count }) => bottle.limitBar !== null && lotChance({ gas: primed, bottle, bottleCount: count, hottestC }) <= REFUSE_CHANCE);
}

/** The levels of fizz, and which of them the bottles stand. */
export interface FizzChoice {
  readonly levels: readonly (FizzLevel & { readonly holds: boolean })[];
  /** The liveliest that they stand; the least where they stand none. */
  readonly liveliest: FizzLevel;
}

/**
 * What the chosen bottles stand of each level of fizz.
 *
 * @param input - the drink before priming, the sugar, the bottles and the hottest day
 * @returns every level, and the liveliest that holds
 */
export function fizzChoice(input: LevelInput): FizzChoice {
  const levels = FIZZ_LEVELS.map((level) => ({ ...level, holds: levelHolds(level, input) }));
  const [least] = FIZZ_LEVELS;
  return { levels, liveliest: levels.findLast((level) => level.holds) ?? least };
}
