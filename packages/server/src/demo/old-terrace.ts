import { BLANK_SHEET, TASTE_SCALE_IDS, type TasteSheet } from '@trug/core/finish/taste/taste-sheet';
import type { Act, BatchStory } from './story.js';

/** A step of rousing a ferment that had stopped. */
const rousing = (step: number, done: string, next: string | null): Act => ({
  kind: 'stepped',
  payload: { plan: 'rouse', done, step, of: 2, next, waitMin: 1440 },
});

/** A glass of it, judged: the steps in the order of the sheet. */
function tasting(
  { text, score, again = null, next = '' }: { readonly text: string; readonly score: number; readonly again?: boolean | null; readonly next?: string },
  words: TasteSheet['words'],
  steps: readonly number[],
): Act {
  const scales = Object.fromEntries(TASTE_SCALE_IDS.map((id, i) => [id, steps[i] ?? null]));
  const sheet: TasteSheet = { ...BLANK_SHEET, clarity: 'bright', colour: 'gold', scales: { ...BLANK_SHEET.scales, ...scales }, words, score, next };
  return { kind: 'tasted', payload: { text, sparkle: 'lively', again, sheet } };
}

/** Three tasters, three glasses: nobody could tell them apart for sure, and it was left dry. */
const SWEETNESS_TRIAL: Act = {
  kind: 'trialled',
  payload: {
    substance: { kind: 'sweetener', id: 'erythritol', name: '' },
    doses: [0, 8, 16],
    glassMl: 80,
    way: 'rank',
    judged: [
      { name: 'Wren', said: [1, 0, 2] },
      { name: 'Ash', said: [0, 1, 2] },
      { name: 'Rowan', said: [1, 2, 0] },
    ],
    chosen: 0,
    text: 'Nobody missed the sweetness: it stays dry.',
  },
};

/** Last year's batch: it stopped, was set going again, and was tasted as it aged. */
export const OLD_TERRACE: BatchStory = {
  name: 'Old Terrace',
  methodId: 'cool-slow',
  tape: 'clay',
  daysAgo: 401,
  fill: { source: 'last year’s terrace apples', fruit: 'apple', volumeL: 14.6, sg: 1.054, ph: 3.4, taGPerL: 6.2, vessels: [['bucket', 14.6]], tempC: 15 },
  then: [
    { daysAgo: 400, pitch: ['neutral-champagne', 3.7, 'sprinkled', 15] },
    { daysAgo: 390, read: [1.031, 14] },
    { daysAgo: 382, read: [1.024, 9] },
    { daysAgo: 374, read: [1.024, 9], note: 'Stopped when the frost came.' },
    { daysAgo: 373, move: ['the kitchen corner', 19] },
    { daysAgo: 373, act: rousing(1, 'Moved it to the warm and stirred the lees up gently.', 'Feed it: half a dose of yeast nutrient in a cup of cider.') },
    { daysAgo: 372, add: { what: 'nutrient', name: 'organic yeast nutrient', massG: 5 } },
    { daysAgo: 372, act: rousing(2, 'Fed it.', null) },
    { daysAgo: 366, read: [1.024, 19], note: 'Not a bubble. New yeast, then.' },
    { daysAgo: 364, pitch: ['restart', 4, 'starter', 19], note: 'Built up over three days with more of the cider each time.' },
    { daysAgo: 358, read: [1.013, 19], bubbles: 'lively' },
    { daysAgo: 345, read: [0.998, 17] },
    { daysAgo: 330, read: [0.998, 13] },
    { daysAgo: 329, rack: [[['bucket', 14]], 0.6] },
    { daysAgo: 300, act: { kind: 'malolactic', payload: { turnedFraction: 1, wanted: true, bacteria: false, done: true } }, note: 'Softer by half.' },
    { daysAgo: 281, read: [0.998, 14] },
    { daysAgo: 281, act: { kind: 'tested', payload: { by: 'sugar-test', sugarGPerL: 0.5, acknowledged: [] } } },
    { daysAgo: 281, act: SWEETNESS_TRIAL },
    { daysAgo: 280, bottle: [[['crown-330', 11]], 'Old Terrace still', 'straw'] },
    { daysAgo: 280, prime: ['sucrose', 54, 2.3, 15] },
    { daysAgo: 280, bottle: [[['crown-500', 19]], 'Old Terrace', 'slate'] },
    { daysAgo: 240, open: ['crown-500', 2] },
    { daysAgo: 239, open: ['crown-330', 3], note: 'The still ones, for the soup.' },
    { daysAgo: 240, act: tasting({ text: 'Closed and sharp still.', score: 5 }, ['green-apple', 'lemon-peel'], [1, 0, 3, 2, 1, 2]) },
    { daysAgo: 180, open: ['crown-500', 6], note: 'Midsummer supper.' },
    { daysAgo: 180, act: tasting({ text: 'Opening up.', score: 7 }, ['ripe-apple', 'hay'], [2, 0, 3, 2, 2, 2]) },
    { daysAgo: 95, open: ['crown-500', 5] },
    { daysAgo: 95, act: tasting({ text: 'Rounder, and it stays.', score: 8 }, ['ripe-apple', 'honey', 'hay'], [3, 1, 2, 2, 3, 3]) },
    { daysAgo: 20, open: ['crown-500', 2] },
    {
      daysAgo: 20,
      act: tasting(
        {
          text: 'Bright, bone dry, apple skin and a long finish.',
          score: 9,
          again: true,
          next: 'Pitch the strong yeast first: it would not have stopped halfway.',
        },
        ['ripe-apple', 'honey', 'nuts'],
        [3, 0, 2, 2, 3, 4],
      ),
    },
  ],
};
