import type { MomentProblem } from '@trug/core/book/entry/act-moment';

/** Why a day and an hour cannot be when something was done, and what to do. */
export const MOMENT_WORDS: Readonly<Record<Exclude<MomentProblem, 'before-log'>, string>> = {
  'no-day': 'Pick the day it was, or write it as the picker does.',
  'no-hour': 'Write the hour as 14:30 or 2:30 pm.',
  'to-come': 'That is still to come. Write things down once they are done.',
};

/**
 * The same for something that is added to a log.
 *
 * @param why - what is wrong with it
 * @param last - the moment the log goes on to, in words; null for an empty log
 */
export function momentProblemText(why: MomentProblem, last: string | null): string {
  if (why !== 'before-log') return MOMENT_WORDS[why];
  const until = last === null ? '' : ` to ${last}`;
  return `The log goes on${until}, and what came after is worked out from it. Choose a later moment, or write this down as done now and press “Correct” beside it in the log, or “Its day” beside a reading.`;
}
