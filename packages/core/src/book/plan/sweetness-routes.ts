import type { Caution } from '../../base/cautions/caution.js';
import { caution } from '../../base/cautions/catalogue.js';
import { byId } from '../../base/errors/by-id.js';
import { fermentableWord } from '../../base/reference/fermentables.js';
import { SWEETNESS_LEVELS, type SweetnessLevel } from '../../finish/sweeten/sweetness.js';
import type { SealWay } from '../state/sealing.js';

/** Who drinks it, or lives where it is drunk, as far as that closes a way. */
export const DRINKER_NEEDS = ['dogs', 'diabetic', 'sulfite', 'milk'] as const;

/** One of {@link DRINKER_NEEDS}: dogs in the house; someone who minds sugar, reacts to sulfite, or to milk. */
export type DrinkerNeed = (typeof DRINKER_NEEDS)[number];

/** How much fizz is wished. */
export const WISHED_FIZZ = ['still', 'gentle', 'lively'] as const;

/** One of {@link WISHED_FIZZ}. */
export type WishedFizz = (typeof WISHED_FIZZ)[number];

/** What is wished, of which drink, for whom, with what. */
export interface RoutesAsked {
  readonly sweetness: SweetnessLevel['id'];
  readonly fizz: WishedFizz;
  /** On what grounds the drink may be sealed. */
  readonly way: SealWay;
  /** A malolactic change is under way. */
  readonly malolactic: boolean;
  readonly needs: readonly DrinkerNeed[];
  /** A keg with a relief valve, and a place at 4 °C or colder that holds it. */
  readonly coldKeg: boolean;
  /** Glass made for pressure, a bath that holds 65 °C with a lid over it, and a thermometer for the middle of a bottle. */
  readonly bath: boolean;
  /** Its bottles may be filled for the bath as it stands: sweetened within the day, or ended sweet. */
  readonly mayHeat: boolean;
  /** Where it stands by a sample fermented out in the warm, SG: what it lost there is what can still ferment. Null where none was. */
  readonly restsAtSg: number | null;
}

/** A way to a sweetness that lasts. */
export type SweetRouteId = 'dry' | 'lasting' | 'stabilised' | 'cold-keg' | 'heated' | 'keeved';

/** A way, allowed or struck out, with the reason and what is done. */
export interface SweetRoute {
  readonly id: SweetRouteId;
  readonly name: string;
  readonly allowed: boolean;
  readonly why: string;
  /** What is done, in order; none for a way that is struck out. */
  readonly steps: readonly string[];
  /** What can hurt someone on this way. */
  readonly cautions: readonly Caution[];
  /** With which sweeteners, where that matters. */
  readonly sweetenerIds: readonly string[];
}

/** Sweeteners that yeast cannot eat, the easiest to get right first, and for whom each is wrong. @source safety rules for xylitol and milk; milk sugar raises blood sugar */
const LASTING: readonly { readonly id: string; readonly not: readonly DrinkerNeed[]; readonly mostGPerL: number }[] = [
  { id: 'erythritol', not: [], mostGPerL: Infinity },
  { id: 'allulose', not: [], mostGPerL: Infinity },
  { id: 'sucralose', not: [], mostGPerL: Infinity },
  { id: 'stevia', not: [], mostGPerL: 45 },
  { id: 'xylitol', not: ['dogs'], mostGPerL: Infinity },
  // A third as sweet as sugar: more than off dry wants more of it than dissolves well.
  { id: 'lactose', not: ['milk', 'diabetic'], mostGPerL: 18 },
];

/** What sweetens with sugar that yeast can eat, for as long as something holds it. */
const WITH_SUGAR: readonly string[] = ['sucrose', 'apple-juice', 'apple-concentrate'];

const UNPROVEN = 'Its end is not proven: sealed now, it could burst. Read it until it is.';
const WAIT = 'Look for a week whether it wakes: a reading that falls, or a plastic bottle that firms at 25 °C.';
const levelOf = byId('sweetness', SWEETNESS_LEVELS);

/** Why a bottle of any kind is closed to a drink; null where it is open. */
function closedToBottles({ way, fizz }: RoutesAsked): string | null {
  if (way === 'unproven' || way === 'unread') return UNPROVEN;
  return way === 'stabilised' && fizz !== 'still' ? 'Sulfite and sorbate hold its yeast: primed, it would stay flat.' : null;
}

const strike = (why: string | null): Pick<SweetRoute, 'allowed' | 'why'> | null => (why === null ? null : { allowed: false, why });
function primed(fizz: WishedFizz): readonly string[] {
  if (fizz === 'still') return ['Bottle it filled high.'];
  return [
    'Prime it on the bottle bench, which counts all that can still ferment.',
    // By the bench's own sums ordinary crown-capped glass does not stand lively on a hot day.
    fizz === 'lively'
      ? 'Fill heavy sparkling-wine bottles or fizzy-drink plastic: ordinary glass does not hold it on a hot day.'
      : 'Fill bottles made for pressure.',
    'Keep it in the warm for three weeks, a test bottle beside it.',
  ];
}

function dry(asked: RoutesAsked): Pick<SweetRoute, 'allowed' | 'why'> {
  const isWished = asked.sweetness === 'dry';
  return (
    strike(isWished ? null : 'It is not sweet. Sugar stirred into the glass is a way too.') ??
    strike(closedToBottles(asked)) ?? { allowed: true, why: 'Nothing is left that could wake: the surest there is.' }
  );
}

function lasting(asked: RoutesAsked, sweetenerIds: readonly string[]): Pick<SweetRoute, 'allowed' | 'why'> {
  return (
    strike(asked.sweetness === 'dry' ? 'It is to be dry.' : null) ??
    strike(closedToBottles(asked)) ??
    strike(sweetenerIds.length === 0 ? 'No sweetener that yeast leaves alone is right for everybody who drinks it.' : null) ?? {
      allowed: true,
      why: 'Yeast cannot eat it: it stays sweet, and primes like a dry drink.',
    }
  );
}

function stabilised(asked: RoutesAsked): Pick<SweetRoute, 'allowed' | 'why'> {
  const { sweetness, fizz, way, needs, malolactic } = asked;
  return (
    strike(sweetness === 'dry' ? 'It is to be dry.' : null) ??
    strike(way === 'unproven' || way === 'unread' ? UNPROVEN : null) ??
    strike(fizz === 'still' ? null : 'It can only be still: yeast that is held makes no fizz, and yeast that makes fizz eats the sugar.') ??
    strike(needs.includes('sulfite') ? 'It takes a full dose of sulfite, to which someone reacts.' : null) ??
    strike(needs.includes('diabetic') ? 'It is sweet with sugar.' : null) ??
    strike(malolactic ? 'Bacteria are at work: with sorbate they smell of geranium leaves. Wait until they are done.' : null) ?? {
      allowed: true,
      why: 'Sulfite and sorbate hold the yeast. They slow it and do not kill it: keep it cold and drink it within weeks.',
    }
  );
}

function coldKeg({ sweetness, needs, coldKeg: has }: RoutesAsked): Pick<SweetRoute, 'allowed' | 'why'> {
  return (
    strike(sweetness === 'dry' ? 'Dry wants no cold: any keg will do.' : null) ??
    strike(has ? null : 'It wants a keg with a relief valve, and a place at 4 °C or colder for it.') ??
    strike(needs.includes('diabetic') ? 'It is sweet with sugar.' : null) ?? {
      allowed: true,
      why: 'Cold holds the yeast, and the relief valve lets out what it makes. A power cut is a danger: let it off at once.',
    }
  );
}

function heatedInBottle({ sweetness, fizz, way, needs, malolactic, coldKeg: hasKeg, bath, mayHeat }: RoutesAsked): Pick<SweetRoute, 'allowed' | 'why'> {
  return (
    strike(sweetness === 'dry' ? 'It is to be dry.' : null) ??
    strike(!mayHeat && (way === 'unproven' || way === 'unread') ? UNPROVEN : null) ??
    strike(bath ? null : 'It wants glass made for pressure, a bath with a lid that holds 65 °C, and a thermometer for the middle of a bottle.') ??
    strike(needs.includes('diabetic') ? 'It is sweet with sugar.' : null) ??
    strike(malolactic ? 'Bacteria are at work and make gas that nobody can tell. Wait until they are done.' : null) ??
    strike(fizz === 'lively' ? 'With more than 2.5 volumes no bottle is heated: glass does not hold it.' : null) ??
    strike(
      fizz === 'gentle' && !hasKeg
        ? 'Fizz made in the bottle from such sugar is stopped a day early or a day too late. Gassed in a cold keg and filled from it, it can be done.'
        : null,
    ) ?? { allowed: true, why: 'Heat kills the yeast in the closed bottle, so its sugar stays. The hour of the bath is the danger, and it wants care.' }
  );
}

/** Below this a drink tastes dry enough to be called so, SG. @source our estimate: some ten points over dry are off dry to the tongue */
const SWEET_BY_ITSELF_SG = 1.006;

function keeved({ sweetness, fizz, way, needs, restsAtSg, malolactic }: RoutesAsked): Pick<SweetRoute, 'allowed' | 'why'> {
  return (
    strike(sweetness === 'dry' ? 'It is to be dry.' : null) ??
    strike(
      restsAtSg === null || restsAtSg < SWEET_BY_ITSELF_SG || way === 'unproven' || way === 'unread' || way === 'stabilised'
        ? 'That is decided at the juice: little nitrogen, cold, and racked early and often. Then a sample fermented out in the warm must show how little can still ferment. This drink is not one of those.'
        : null,
    ) ??
    strike(needs.includes('diabetic') ? 'It is sweet with its own sugar.' : null) ??
    strike(malolactic ? 'Bacteria are at work and make gas that nobody can tell. Wait until they are done.' : null) ??
    strike(fizz === 'lively' ? 'Only what a sample still lost may make its fizz, and lively takes more than that leaves sure.' : null) ?? {
      allowed: true,
      why: 'It came to rest sweet. What the sample lost in the warm is counted as gas, and the bench says whether the bottles stand it.',
    }
  );
}

/** The bath, after what is filled for it. */
const heatedSteps = (fizz: WishedFizz, sweeten: string | null): readonly string[] => [
  'Have ready: the bath and its lid, a control bottle with a thermometer, cover for the whole face.',
  ...(fizz === 'still' ? [] : ['Gas it dry and cold in the keg, to 1.8 volumes at most; let it off and open it cold.']),
  ...(sweeten === null ? [] : [sweeten]),
  `Fill crown-capped or heavy sparkling-wine glass the same day${fizz === 'still' ? '' : ', cold, from the keg'}, 5 % left empty, as “Sweet, heated in the bottle”.`,
  'Heat them that day: ten minutes at 65 °C in the middle of the coldest one, then leave them to cool under cover.',
];

/** What can hurt someone on a way that is open. */
function cautionsOf({ id, sweetenerIds }: Omit<SweetRoute, 'cautions'>): readonly Caution[] {
  if (id === 'stabilised') return [caution('re-ferment')];
  if (id === 'keeved') return [caution('keeving'), caution('burst-glass')];
  if (id === 'heated') return [caution('hot-bottles'), caution('heat-due')];
  if (id === 'cold-keg') return [caution('sealed-ferment'), caution('keg')];
  return [...(sweetenerIds.includes('xylitol') ? [caution('xylitol')] : []), ...(sweetenerIds.includes('lactose') ? [caution('allergen')] : [])];
}

/**
 * Every way to the sweetness and fizz wished, allowed or struck out with the reason, so that none slides into another's contradiction.
 *
 * @param asked - the wish, the drink as it stands, who drinks it and what is at hand
 * @returns all ways, those allowed first
 * @source design rules: sugar in a bottle is held or eaten, never both; nothing fermentable beside fizz in glass; safety rules for dogs and milk
 */
export function sweetnessRoutes(asked: RoutesAsked): readonly SweetRoute[] {
  const { aimGPerL, name } = levelOf(asked.sweetness);
  const sweetenerIds = LASTING.filter(({ not, mostGPerL }) => aimGPerL <= mostGPerL && !not.some((need) => asked.needs.includes(need))).map(({ id }) => id);
  const names = sweetenerIds.map(fermentableWord).join(', ');
  const isHeld = asked.way === 'stabilised';
  const routes: readonly Omit<SweetRoute, 'cautions'>[] = [
    { id: 'dry', name: 'Dry', ...dry(asked), steps: primed(asked.fizz), sweetenerIds: [] },
    {
      id: 'lasting',
      name: 'With what yeast cannot eat',
      ...lasting(asked, sweetenerIds),
      steps: [`Sweeten it until it is ${name}, with ${names}.`, 'Stir it in from the bottom, and taste again a day later.', ...primed(asked.fizz)],
      sweetenerIds,
    },
    {
      id: 'stabilised',
      name: 'Sugar, held by sulfite and sorbate',
      ...stabilised(asked),
      steps: [
        ...(isHeld ? [] : ['Rack it clear, and stabilise it with the whole dose of both.']),
        `Sweeten it until it is ${name}, with sugar, juice or concentrate.`,
        WAIT,
        'Bottle it still, filled high, and keep it cold.',
      ],
      sweetenerIds: WITH_SUGAR,
    },
    {
      id: 'cold-keg',
      name: 'Sugar, in a cold keg',
      ...coldKeg(asked),
      steps: [
        `Sweeten it until it is ${name}, and keg it the same day at 4 °C or colder.`,
        'Let it off every week, and look that the relief valve lifts.',
        'Drink it from the keg; nothing of it goes into bottles that stand in the warm.',
      ],
      sweetenerIds: WITH_SUGAR,
    },
    {
      id: 'heated',
      name: 'Sugar, in bottles heated in a bath',
      ...heatedInBottle(asked),
      steps: heatedSteps(
        asked.fizz,
        asked.mayHeat ? null : `Sweeten it until it is ${name}, with sugar, juice or concentrate, and stir it in from the bottom.`,
      ),
      sweetenerIds: WITH_SUGAR,
    },
    {
      id: 'keeved',
      name: 'Its own sugar, kept by a slow and hungry ferment',
      ...keeved(asked),
      steps: [
        'Bottle it on the bench as it is, in bottles made for pressure: what can still ferment is counted, and no sugar goes in.',
        'Fill one of plastic beside them, squeeze it each week into the summer, and keep all of them cool.',
      ],
      sweetenerIds: [],
    },
  ];
  return routes
    .map((route) => (route.allowed ? { ...route, cautions: cautionsOf(route) } : { ...route, steps: [], cautions: [] }))
    .sort((a, b) => Number(b.allowed) - Number(a.allowed));
}
