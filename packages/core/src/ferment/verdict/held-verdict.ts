import { dateAfter, dayText } from '../../matter/quantity/days.js';
import { figure } from '../../base/worked/figures.js';
import type { Verdict } from './verdict.js';

/** What is known of a drink that sulfite and sorbate hold. */
export interface Held {
  /** When both went in, ISO 8601. */
  readonly stabilisedAt: string;
  readonly sugarGPerL: number;
  readonly today: string;
  readonly zone: string;
}

/**
 * The verdict on a drink that was stabilised in full after its end, and sweetened: nothing is proven of the sugar in it, and
 * nobody waits for it to ferment.
 *
 * @param found - what its readings alone would say
 * @param held - the dose's day, and the sugar under it, g/L
 * @returns the verdict
 */
export function heldVerdict(found: Verdict, { stabilisedAt, sugarGPerL, today, zone }: Held): Verdict {
  return {
    ...found,
    status: 'held',
    sentence: `Held: sulfite and sorbate keep its yeast off the ${figure(sugarGPerL, 0)} g/L of sugar in it.`,
    evidence: [
      { text: `Stabilised in full on ${dayText(stabilisedAt, false, zone)}, after its end was proven`, speaks: 'for' },
      { text: 'Sorbate slows yeast and does not kill it, so no end is proven', speaks: 'against' },
    ],
    next: {
      kind: 'rack-or-bottle',
      text: 'See that it stays still. Then keg it cold, or bottle it still in thick plastic or bottles made for pressure, keep it cold and drink it within weeks.',
      on: dateAfter(today, 0, zone),
      dueOn: dateAfter(stabilisedAt, 1, zone),
    },
    steadySince: null,
  };
}
