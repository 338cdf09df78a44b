import type { BottlingInputs } from '@trug/core/book/plan/bottling-plan';

/** The bottle bench as set. */
export interface BottleBenchFields {
  readonly route: string;
  readonly fizz: string;
  readonly sugar: string;
  readonly mode: string;
  /** The sugar the maker gives by habit, in all or in each bottle; empty for what Trug works out. */
  readonly dose: string;
  readonly warmest: string;
  readonly hottest: string;
  /** The place the bottles will stand in, by id. */
  readonly store: string;
  readonly loss: string;
  readonly cap: string;
  /** Chosen kinds of bottle, `kind:count` apart by commas; an empty count fills as many as there is drink for. */
  readonly bottles: string;
  readonly testBottle: string;
  /** Room left in bottles that are heated, %. */
  readonly room: string;
  /** What the bottles are cleaned with. */
  readonly cleanedBy: string;
  /** Whether fresh yeast goes in with the sugar: `yes`, `no`, or empty for as it is advised. */
  readonly fresh: string;
  /** Steps of the run that are done, apart by commas. */
  readonly ticked: string;
  /** The step that is timed, and since when. */
  readonly timed: string;
}

/** A bench nobody has touched. */
export const NEW_BENCH: BottleBenchFields = {
  route: 'sparkling-dry',
  // As lively as the bottles take, until the maker chooses.
  fizz: '',
  sugar: 'sucrose',
  mode: 'bulk',
  dose: '',
  warmest: '',
  hottest: '',
  store: '',
  // The usual loss, until the maker says.
  loss: '',
  cap: 'rust',
  bottles: 'crown-500:',
  testBottle: 'yes',
  room: '5',
  cleanedBy: 'no-rinse',
  fresh: '',
  ticked: '',
  timed: '',
};

/** The chosen kinds of bottle with their counts as typed. */
export const typedCounts = (text: string): readonly { readonly kindId: string; readonly count: string }[] =>
  text
    .split(',')
    .filter((part) => part !== '')
    .map((part) => {
      // The id of a bottle of one's own has the same sign in it.
      const end = part.lastIndexOf(':');
      return { kindId: part.slice(0, end), count: part.slice(end + 1) };
    });

/** Whether a typed count is a number of bottles, or empty for as many as there is drink for. */
const isCount = (typed: string): boolean => typed === '' || /^\d{1,4}$/.test(typed);

/** What is wrong with a count as typed; null when nothing is. */
export const countProblem = (typed: string): string | null =>
  isCount(typed) ? null : 'Write how many as a whole number, such as 12, or leave it empty for all there is drink for.';

/**
 * Reads the chosen kinds of bottle.
 *
 * @param text - `kind:count` apart by commas
 * @returns kinds with their counts; null fills as many as there is drink for
 */
export const readBottles = (text: string): BottlingInputs['bottles'] =>
  typedCounts(text).map(({ kindId, count }) => ({ kindId, count: count === '' || !isCount(count) ? null : Number(count) }));

/** Room that can be left in bottles that are heated: the least the bath allows, and more for a livelier drink. */
export const ROOMS = [5, 7, 10, 15].map((percent) => ({ id: String(percent), name: `${percent} % of the bottle` }));

/** Steps ticked, apart by commas, with one more or one less. */
export function withTick(ticked: string, stepId: string, done: boolean): string {
  const others = ticked.split(',').filter((id) => id !== '' && id !== stepId);
  return (done ? [...others, stepId] : others).join(',');
}

/** The chosen kinds of bottle, `kind:count` apart by commas, with a kind and its count as typed, or without it where the count is null. */
export function withKind(bottles: string, kindId: string, count: string | null): string {
  const others = typedCounts(bottles).filter((b) => b.kindId !== kindId);
  return [...others, ...(count === null ? [] : [{ kindId, count: count.trim() }])].map((b) => `${b.kindId}:${b.count}`).join(',');
}

/** A step of the run that is timed. */
export interface TimedStep {
  readonly stepId: string;
  /** ISO 8601. */
  readonly since: string;
}

/** The timed step as the draft keeps it, and as it is read again; null for none. */
export const timedText = ({ stepId, since }: TimedStep): string => `${stepId} ${since}`;
export function timedIn(text: string): TimedStep | null {
  const [stepId = '', since = ''] = text.split(' ');
  return since === '' ? null : { stepId, since };
}
