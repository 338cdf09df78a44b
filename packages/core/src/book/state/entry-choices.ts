/** How lively the airlock is, as a maker notes it. */
export const BUBBLES = ['none', 'some', 'lively'] as const;
export type Bubbles = (typeof BUBBLES)[number];

/** What a blend is poured from. */
export const POUR_SOURCES = ['juice', 'batch'] as const;
export type PourSource = (typeof POUR_SOURCES)[number];

/** How yeast goes in. */
export const PITCH_METHODS = ['sprinkled', 'rehydrated', 'starter', 'wild'] as const;
export type PitchMethod = (typeof PITCH_METHODS)[number];

/** What can be done in timed steps. */
export const TIMED_PLANS = ['rehydration', 'starter', 'wild-starter', 'rouse', 'restart', 'finings', 'keeve'] as const;
export type TimedPlan = (typeof TIMED_PLANS)[number];

/** How gas gets out of a working vessel. */
export const VENTS = ['airlock', 'tube', 'loose-cap'] as const;
export type Vent = (typeof VENTS)[number];

/** How the sugar that is left is found out. */
export const SUGAR_TESTS = ['forced-ferment', 'sugar-test'] as const;

/** Colours of caps, by which a crate is known. */
export const CAP_COLOURS = ['rust', 'slate', 'leaf', 'straw', 'plum'] as const;
export type CapColour = (typeof CAP_COLOURS)[number];

/** How a bottle fizzed when it was opened. */
export const SPARKLES = ['flat', 'soft', 'lively', 'gushing'] as const;
export type Sparkle = (typeof SPARKLES)[number];
