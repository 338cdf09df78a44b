import type { MomentProblem } from '@trug/core/book/entry/act-moment';

/** Why a day and an hour cannot be when something was done, and what to do. */
export const MOMENT_WORDS: Readonly<Record<Exclude<MomentProblem, 'before-log'>, string>> = {
  'no-day': 'Pick the day it was, or write it as the picker does.',
  'no-hour': 'Write the hour as 14:30 or 2:30 pm.',
  'to-come': 'That is still to come. Write things down once they are done.',
};
