/** The ten things that can be said of a ferment. */
export type FermentStatus =
  | 'not-started'
  | 'working'
  | 'slowing'
  | 'finished-dry'
  | 'finished-at-tolerance'
  | 'settled-short'
  | 'held'
  | 'stalled'
  | 'too-cold'
  | 'too-few-readings';

/** What readings alone can say. */
export type JudgedStatus = Exclude<FermentStatus, 'held'>;

/** One sentence of evidence, and which way it speaks. */
export interface Evidence {
  readonly text: string;
  readonly speaks: 'for' | 'against' | 'note';
}

/** What to do next, and when. */
export interface NextAction {
  readonly kind: 'read' | 'warm' | 'restart' | 'rack-or-bottle' | 'stabilise' | 'wait';
  readonly text: string;
  /** `YYYY-MM-DD`, never before today. */
  readonly on: string;
  /** The same day whatever today is: it may lie in the past, and does not slide. */
  readonly dueOn: string;
}

/** A judgement with what it rests on. */
export interface Verdict {
  readonly status: FermentStatus;
  /** The verdict in one plain sentence. */
  readonly sentence: string;
  readonly evidence: readonly Evidence[];
  readonly next: NextAction;
  /** When it came to rest, ISO 8601; null unless an end is proven. */
  readonly steadySince: string | null;
  /** Where the gravity should end: by mass balance, or where the yeast's tolerance stops it. */
  readonly expectedEndSg: number;
  /** Days it has stood warm enough since yeast or sugar went in without anybody reading it; null once it was read. */
  readonly unreadWarmDays: number | null;
  /** Readings set aside because they cannot be true beside the others, by entry id. */
  readonly questionedIds: readonly string[];
}

/** The short word for each status, as a tag would carry it. */
export const STATUS_WORDS: Readonly<Record<FermentStatus, string>> = Object.freeze({
  'not-started': 'not started',
  working: 'working',
  slowing: 'slowing',
  'finished-dry': 'finished dry',
  'finished-at-tolerance': 'stopped at the yeast’s limit',
  'settled-short': 'settled a touch high',
  held: 'held by sulfite and sorbate',
  stalled: 'stuck',
  'too-cold': 'cannot tell yet',
  'too-few-readings': 'cannot tell yet',
});

/** Whether a status says that it ferments, fast or slowly. */
export function isWorking(status: FermentStatus | undefined): boolean {
  return status === 'working' || status === 'slowing';
}

/**
 * Whether a status proves that the ferment has ended.
 *
 * @param status - a verdict's status
 * @returns true for the three kinds of finish
 */
export function provesFinished(status: FermentStatus): boolean {
  return status === 'finished-dry' || status === 'finished-at-tolerance' || status === 'settled-short';
}

/** Whether nothing is waited for any more: its end is proven, or sulfite and sorbate hold it. */
export const isAtRest = (status: FermentStatus): boolean => provesFinished(status) || status === 'held';
