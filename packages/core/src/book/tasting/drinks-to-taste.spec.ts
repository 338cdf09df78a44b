import { logOf } from '../../testing/made-logs.js';
import { SAMPLE_PAYLOADS } from '../../testing/sample-payloads.js';
import { replay } from '../log/replay.js';
import { drinkKey, drinksOf, takenToTaste } from './drinks-to-taste.js';

const make = logOf();
const dry = make.dryAt(0.998);
const first = make.bottled(30, { kindId: 'crown-330', count: 6 });
const second = make.bottled(31, { kindId: 'sparkling-750', count: 2 });
const batch = { id: 'B', name: 'Row' };
const of = (log: Parameters<typeof replay>[0]) => drinksOf(batch, replay(log));

describe('what can be poured of a batch', () => {
  it('is what stands in its vessel, and each crate that has bottles', () => {
    expect(of([...dry, first, second]).map((d) => (typeof d.from === 'string' ? d.from : d.from.id))).toEqual(['vessel', first.id, second.id]);
    const emptied = make.entry('opened', 40, { kindId: 'sparkling-750', count: 2, crateId: second.id });
    const left = of([...dry, first, second, emptied]);
    expect(left.map(drinkKey)).toEqual(['B', `B/${first.id}`]);
  });
  it('is no juice without yeast, nothing on its pulp, and is drawn from a keg', () => {
    expect(of([make.filled()])).toEqual([]);
    expect(of([make.entry('steeped', 0, SAMPLE_PAYLOADS.steeped), make.pitched(1)])).toEqual([]);
    expect(of([...dry, make.kegged(30)])[0]?.from).toBe('keg');
  });
  it('takes whole bottles of the size that leaves least over', () => {
    const mixed = of([
      ...dry,
      make.bottled(30, {
        bottles: [
          { kindId: 'crown-330', count: 6 },
          { kindId: 'crown-500', count: 6 },
        ],
      }),
    ])[1];
    if (!mixed) throw new Error('it is in bottle');
    expect(takenToTaste(mixed, 0.24, 0)).toMatchObject({ kind: 'opened', payload: { kindId: 'crown-330', count: 1 } });
    expect(takenToTaste(mixed, 0.48, 0)).toMatchObject({ payload: { kindId: 'crown-500', count: 1 } });
    expect(takenToTaste(mixed, 0.99, 0)).toMatchObject({ payload: { kindId: 'crown-330', count: 3 } });
  });
  it('takes no more than there is', () => {
    const [standing, , heavy] = of([...dry, first, second]);
    if (!standing || !heavy) throw new Error('both are there');
    expect(takenToTaste(standing, 0.2404, 12)).toEqual({ kind: 'discarded', payload: { volumeL: 0.24, why: 'drunk side by side with others' } });
    expect(() => takenToTaste(standing, 0.3, 0.2)).toThrow('only 0.2 L of Row');
    expect(() => takenToTaste(heavy, 1.6, 0)).toThrow('only 2 bottles of Row left');
  });
});
