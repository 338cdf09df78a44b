import { asSentence } from '../../base/worked/sentence.js';
import { isHeldSweet, keepingOf, type Keeping } from './ready-window.js';

/** Strength from which a drink keeps longer than most, and under which less, % by volume. @source our estimate */
const STRONG_ABV = 6.5;
const LIGHT_ABV = 4;
const SEALS: Readonly<Record<string, string>> = { swing: 'rubber rings breathe', 'wired-cork': 'a wired cork holds best' };

/**
 * What sets how long bottles keep: what they are closed with first, then what guards them from air, then their strength.
 *
 * @param crate - as `readyWindow` asks
 * @returns a sentence
 */
export function whyUntil(crate: Keeping): string {
  if (isHeldSweet(crate)) return 'Weeks only, since its sugar is but held.';
  const { weakest, isGuarded } = keepingOf(crate);
  if (weakest?.closure === 'screw') return 'Plastic lets air in: weeks, not months.';
  const { abv } = crate;
  const strength = abv > STRONG_ABV ? 'its strength keeps it longer' : abv < LIGHT_ABV ? 'light as it is' : 'as drinks of its strength keep';
  const said = [isGuarded ? undefined : 'still, with hardly any sulfite against air', SEALS[weakest?.closure ?? ''], strength].filter(
    (each) => each !== undefined,
  );
  return asSentence(said.join('; '));
}
