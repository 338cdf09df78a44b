import { bottleById } from '@trug/core/base/reference/bottle-kinds';
import type { BottlingPlan } from '@trug/core/book/plan/bottling-plan';
import { capital } from '@trug/core/base/worked/sentence';
import type { FermentStatus } from '@trug/core/ferment/verdict/verdict';
import type { WayToHold } from '@trug/core/finish/bottle/ways-to-hold';
import { CLEANING_WAYS } from '@trug/core/finish/bottle/cleaning-ways';

/** One of a list. */
interface Choice {
  readonly id: string;
  readonly name: string;
}

/** A page of the batch, and what one does there. */
interface ActLink {
  readonly page: string;
  readonly verb: string;
}

/** The levels of fizz, those that the bottles do not stand said so. */
export const fizzChoices = (levels: BottlingPlan['levels']): readonly Choice[] =>
  levels.map(({ name, volumes, holds }) => ({ id: String(volumes), name: `${name}, ${volumes} vol${holds ? '' : ': too much for these'}` }));

/** Why it cannot be primed so, and what to do: of what settled high and was not tested, nobody knows how much fizz it makes by itself. */
export const primingRefusal = (why: string, { status, tested }: { readonly status: FermentStatus | undefined; readonly tested: boolean }): string =>
  `${capital(why)}. ${
    status === 'settled-short' && !tested
      ? 'Find out first what sugar is left: no livelier fizz is safe to ask for before.'
      : 'Choose a livelier fizz, or bottle it still.'
  }`;

/** What it is primed for until the maker chooses. */
export function usualFizz({ levels, targetVolumes }: Pick<BottlingPlan, 'levels' | 'targetVolumes'>): string {
  const [least] = levels;
  const holds = levels.some((level) => level.holds);
  return holds ? `As lively as these bottles take, ${targetVolumes} vol` : `The least there is, ${least?.volumes ?? 0} vol`;
}

/** The bottles of a run, by kind. */
export const lotsText = (lots: readonly { readonly kindId: string; readonly count: number }[]): string =>
  lots
    .filter(({ count }) => count > 0)
    .map(({ kindId, count }) => `${count} × ${bottleById(kindId).name}`)
    .join(' + ');

/** What bottles can be cleaned with: heat is for glass alone. */
export function cleanerChoices(kindIds: readonly string[]): readonly Choice[] {
  const hasPlastic = kindIds.some((kindId) => bottleById(kindId).closure === 'screw');
  return CLEANING_WAYS.map(({ id, name, glassOnly }) => ({ id, name: `${name}${glassOnly && hasPlastic ? ', not the plastic ones' : ''}` }));
}

const TEST = { page: 'test', verb: 'Find out what sugar is left' };
const CHANGE = { page: 'malolactic', verb: 'Malolactic change' };
const SULFITE = { page: 'adjust/sulfite', verb: 'Sulfite it' };

/** Where the ways to make bottles hold are gone about: other bottles are chosen on the bench itself. */
const PAGES_OF: Readonly<Record<WayToHold['id'], readonly ActLink[]>> = {
  test: [TEST],
  malolactic: [CHANGE, SULFITE],
  'test-and-malolactic': [TEST, CHANGE, SULFITE],
  heavy: [],
  plastic: [],
};

/** The pages on which one goes about what would make the bottles hold, each once. */
export const pagesToHold = (ways: readonly WayToHold[]): readonly ActLink[] => [...new Set(ways.flatMap(({ id }) => PAGES_OF[id]))];
