import { calendarDays, dateAfter, dayText } from '../../matter/quantity/days.js';

/** How a plastic test bottle feels under a thumb. */
export const SQUEEZE_FEELS = ['soft', 'firm', 'hard'] as const;

/** One of {@link SQUEEZE_FEELS}. */
export type SqueezeFeel = (typeof SQUEEZE_FEELS)[number];

/** A squeeze of a test bottle. */
export interface Squeeze {
  /** ISO 8601. */
  readonly at: string;
  readonly feel: SqueezeFeel;
}

/** What a squeeze is asked about. */
export interface TestBottleAsked {
  /** ISO 8601. */
  readonly bottledAt: string;
  /** Days after which it is usually firm, 1–60. */
  readonly firmAfterDays: number;
  /** Sealed at its maker's own risk: it is watched on after it is firm. */
  readonly atOwnRisk: boolean;
  /** The last squeeze; null when there was none. */
  readonly last: Squeeze | null;
  /** IANA time zone of the maker. */
  readonly zone?: string | undefined;
}

/** When to squeeze next, and what the last time told. */
export interface NextSqueeze {
  /** `YYYY-MM-DD`; null when it has told all that it can. */
  readonly on: string | null;
  /** What the last squeeze means, or when it should be firm. */
  readonly text: string;
  /** The whole crate is in danger. */
  readonly danger: boolean;
}

/** Days between two squeezes. @source our estimate: a week of bottle fermenting is felt by a thumb */
const AGAIN_DAYS = 7;
/** A bottle that is soft so long after filling makes no gas worth speaking of. @source our estimate: six weeks */
const STILL_SOFT_DAYS = 42;
/** What was sealed at its maker's own risk is squeezed for so long. @source our estimate: as long as a batch nobody read has to stand, eight weeks */
const WATCHED_DAYS = 56;

/** What each feel is like, in words a thumb knows. */
export const FEEL_WORDS: Readonly<Record<SqueezeFeel, string>> = {
  soft: 'gives like a bottle of still water',
  firm: 'gives a little under a hard thumb',
  hard: 'does not give at all, or its foot bulges',
};

/**
 * What a squeeze of the test bottle means, and when to squeeze it next.
 *
 * @param asked - when the crate was filled, when it should be firm, and the last squeeze
 * @returns the next day; none once it has told all that it can; a hard bottle never rests
 * @source craft rule: a plastic bottle beside the glass shows the gas to a thumb; the days are our estimates
 */
export function nextSqueeze({ bottledAt, firmAfterDays, atOwnRisk, last, zone }: TestBottleAsked): NextSqueeze {
  if (last === null) {
    const on = dateAfter(bottledAt, firmAfterDays, zone);
    return { on, text: `It should be firm by ${dayText(on, true)}.`, danger: false };
  }
  const days = calendarDays(bottledAt, last.at, zone);
  const when = dayText(last.at, false, zone);
  const again = dateAfter(last.at, AGAIN_DAYS, zone);
  switch (last.feel) {
    case 'hard':
      return {
        on: dateAfter(last.at, 0, zone),
        text: `Hard on ${when}: there is more gas in the crate than was meant. Leave the glass where it is, cover it, chill it if you can, and keep others away.`,
        danger: true,
      };
    case 'soft':
      return days >= STILL_SOFT_DAYS
        ? { on: null, text: `Still soft on ${when}: little gas came. Chill one bottle and open it over a sink.`, danger: false }
        : { on: again, text: `Soft on ${when}. In the cool, fizz takes weeks; squeeze it again.`, danger: false };
    case 'firm':
      return atOwnRisk && days < WATCHED_DAYS
        ? { on: again, text: `Firm on ${when}. Nobody has proven that it stops there, so squeeze it every week.`, danger: false }
        : { on: null, text: `Firm on ${when}: its gas is in.`, danger: false };
  }
}
