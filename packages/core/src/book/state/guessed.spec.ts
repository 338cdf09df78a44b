import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { GUESSED_FIGURES, type GuessedFigure } from '../../matter/liquid/guessed.js';
import type { BlendPart } from '../kinds/blended.js';
import type { Entry } from '../entry/entry.js';
import { replay } from '../log/replay.js';
import { logOf } from '../../testing/made-logs.js';
import { storyOf } from './share-story.js';

const make = logOf();
const guessed = (...log: readonly Entry[]): readonly GuessedFigure[] => replay(log).guessed;
const gravity = { instrument: 'hydrometer', reading: 1.05, sampleC: 20, calibratedAtC: 20, offsetSg: 0 } as const;
const filled = (changes: object): Entry => make.entry('filled', 0, { ...FILLED, ...changes });
const FILLED = {
  source: 'garden juice',
  fruit: 'apple' as const,
  volumeL: 20,
  gravity,
  ph: null,
  taGPerL: null,
  tanninGPerL: null,
  yanMgPerL: null,
  vessels: [{ vesselId: 'V', volumeL: 20 }],
  tempC: 15,
};
const read = (changes: object): Entry =>
  make.entry('reading', 1, { gravity: null, ph: null, taGPerL: null, placeC: null, insistedOn: [], bubbles: null, smell: null, ...changes });
const part = (given?: readonly GuessedFigure[]): BlendPart => ({
  from: 'juice',
  sourceId: 'J',
  name: 'Row',
  liquid: liquidFromReadings({ volumeL: 10, sg: 1.05, fruit: 'apple' }),
  yeastId: null,
  ...(given ? { guessed: given } : {}),
});
const poured = (day: number, ...parts: readonly BlendPart[]): Entry =>
  make.entry('blended', day, { parts, vessels: [{ vesselId: 'V', volumeL: 10 * parts.length }], tempC: 15 });

describe('what nobody measured of a must', () => {
  it('is everything before it is filled, and then what was left empty; a carton only promises its sugar', () => {
    expect(guessed()).toEqual(GUESSED_FIGURES);
    expect(guessed(filled({}))).toEqual(['taGPerL', 'ph', 'tanninGPerL']);
    expect(guessed(filled({ ph: 3.5, taGPerL: 6, tanninGPerL: 1 }))).toEqual([]);
    expect(guessed(filled({ ph: 3.5, gravity: { ...gravity, instrument: 'carton' } }))).toEqual(['sg', 'taGPerL', 'tanninGPerL']);
  });
  it('is what was guessed of anything poured into it; of what was poured before that was kept, the acid', () => {
    expect(guessed(poured(0, part([])))).toEqual([]);
    expect(guessed(poured(0, part(['ph']), part(['sg'])))).toEqual(['sg', 'ph']);
    expect(guessed(poured(0, part([])), poured(1, part(['ph'])))).toEqual(['ph']);
    expect(guessed(poured(0, part()))).toEqual(['taGPerL']);
  });
  it('is less by what is read, before the yeast and after it', () => {
    const start = filled({ gravity: { ...gravity, instrument: 'carton' } });
    expect(guessed(start, read({ ph: 3.4 }))).toEqual(['sg', 'taGPerL', 'tanninGPerL']);
    expect(guessed(start, read({ gravity, taGPerL: 5 }))).toEqual(['ph', 'tanninGPerL']);
    expect(guessed(start, read({ gravity: { ...gravity, instrument: 'carton' } }))).toContain('sg');
    // Off glass on the day of the pitch, what the must was is known; a week later only what it is.
    expect(guessed(start, make.pitched(0.5), read({ gravity }))).not.toContain('sg');
    expect(guessed(start, make.pitched(0.5), make.read(8, 1.03))).toContain('sg');
  });
  it('goes along with a share of it, and of a story told before it was kept the acid alone is known', () => {
    const whole = replay([filled({ taGPerL: 6 }), make.pitched(1), make.read(8, 1.03)]);
    const story = storyOf(whole, 5);
    if (!story) throw new Error('it has no story');
    const { guessed: told, ...old } = story;
    const share = (of: BlendPart['story']): readonly GuessedFigure[] => guessed(poured(9, { ...part(), story: of }));
    expect([told, share(story)]).toEqual([whole.guessed, whole.guessed]);
    expect([share(old), share({ ...old, acidMeasured: false })]).toEqual([[], ['taGPerL']]);
  });
});
