import type { TrialWay } from '@trug/core/finish/trial/trial-substance';

/** How a blind tasting is judged, as it is chosen. */
export const WAY_NAMES: Readonly<Record<TrialWay, string>> = { rank: 'put them in order', triangle: 'find the odd one of three' };

/** Who tastes, in the order in which the phone goes round. */
const MOST_NAMES = 12;
const LONGEST_NAME = 40;

/** The names written in a line, each once. */
export const namesIn = (text: string): readonly string[] =>
  [
    ...new Set(
      text
        .split(/[,;\n]|\band\b/)
        .map((name) => name.trim().slice(0, LONGEST_NAME))
        .filter((name) => name !== ''),
    ),
  ].slice(0, MOST_NAMES);

/** What each taster pressed so far, as it is kept in the form: positions in the order served. */
export const pressedOf = (text: string): readonly (readonly number[])[] =>
  text === '' ? [] : text.split(';').map((taster) => (taster === '' ? [] : taster.split('>').map(Number)));

/** The same as it is kept. */
export const keptOf = (pressed: readonly (readonly number[])[]): string => pressed.map((taster) => taster.join('>')).join(';');
