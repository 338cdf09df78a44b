import type { Act, BatchStory } from './story.js';

/** A step of keeving, which came to nothing. */
const keeving = (step: number, done: string, next: string | null, waitMin: number): Act => ({
  kind: 'stepped',
  payload: { plan: 'keeve', done, step, of: 4, next, waitMin },
});

/** A wild one that was to be keeved; no cap came, it worked by itself, and the cold stopped it. */
export const HOLLOW_WILD: BatchStory = {
  name: 'Hollow Wild',
  methodId: 'wild-cold',
  tape: 'clay',
  daysAgo: 53,
  fill: {
    source: 'garden mix from the hollow, pressed twice',
    fruit: 'apple',
    volumeL: 19.4,
    sg: 1.053,
    ph: 3.52,
    taGPerL: 6.1,
    vessels: [['cube-1', 19.4]],
    tempC: 13,
  },
  then: [
    { daysAgo: 53, act: keeving(1, 'Pectin methylesterase stirred in.', 'Calcium chloride, 7.8 g, the day after.', 720) },
    { daysAgo: 52, act: keeving(2, '7.8 g of calcium chloride stirred in.', 'Look for a brown cap.', 4320) },
    {
      daysAgo: 46,
      act: keeving(3, 'No cap came: it goes on as any juice.', null, 0),
      note: 'A mild October. It began to work before anything rose.',
    },
    { daysAgo: 46, pitch: ['wild-spontaneous', 0, 'wild', 13] },
    { daysAgo: 46, move: ['the shed', 13] },
    { daysAgo: 40, read: [1.049, 13] },
    { daysAgo: 34, read: [1.041, 12], bubbles: 'some' },
    { daysAgo: 29, read: [1.035, 12] },
    { daysAgo: 24, read: [1.031, 11] },
    { daysAgo: 22, rack: [[['cube-1', 19]], 0.4], note: 'Thick lees. Eggy smell, gone by evening.' },
    { daysAgo: 14, read: [1.026, 9], note: 'Airlock quiet.', bubbles: 'none' },
    { daysAgo: 10, move: ['the shed, colder now', 8] },
    { daysAgo: 2, read: [1.026, 8], note: 'Still sweet, clean.', bubbles: 'none' },
  ],
};
