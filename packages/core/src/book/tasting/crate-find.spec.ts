import { BLANK_SHEET } from '../../finish/taste/taste-sheet.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { replay } from '../log/replay.js';
import { ANY_CRATE, crateFits, crateSweetness, crateYear, type CrateWish } from './crate-find.js';
import { tastingsOf } from './tastings.js';

const make = logOf();
const bottled = make.bottled(30, { crate: 'North Wall', capColour: 'leaf' });
const moved = make.entry('moved', 40, { place: 'Under the stairs', tempC: 27, crateId: bottled.id });
const tasted = make.entry('tasted', 60, {
  text: 'Round and bright.',
  sparkle: null,
  again: true,
  sheet: { ...BLANK_SHEET, words: ['ripe-apple', 'hay'], crateId: bottled.id },
});
const log: readonly Entry[] = [...make.dryAt(0.997), bottled, moved, tasted];
const state = replay(log);
const [crate] = state.crates;
const fits = (wish: Partial<CrateWish>): boolean => {
  if (!crate) throw new Error('no crate');
  return crateFits({ crate, batchName: 'Wall', tastings: tastingsOf(log, state.crates), zone: 'UTC' }, { ...ANY_CRATE, ...wish });
};

describe('looking for a crate', () => {
  it.each<[Partial<CrateWish>, boolean]>([
    [{}, true],
    [{ find: 'wall north' }, true],
    [{ find: 'HAY' }, true],
    [{ find: 'round' }, true],
    [{ find: 'stairs leaf' }, true],
    [{ find: 'wall vinegar' }, false],
    [{ fizz: 'still' }, true],
    [{ fizz: 'sparkling' }, false],
    [{ sweetness: 'dry' }, true],
    [{ sweetness: 'sweet' }, false],
    [{ year: '2026' }, true],
    [{ year: '2025' }, false],
    [{ place: 'Under the stairs' }, true],
    [{ place: 'the shed' }, false],
    [{ find: 'hay', year: '2025' }, false],
  ])('%j: %s', (wish, found) => {
    expect(fits(wish)).toBe(found);
  });
  it('knows it by sweetness and by the year of its maker', () => {
    if (!crate) throw new Error('no crate');
    expect(crateSweetness(crate)).toBe('dry');
    expect(crateYear({ ...crate, bottledAt: '2026-12-31T23:30:00.000Z' }, 'Pacific/Auckland')).toBe('2027');
  });
  it('moves with its crate, whose store may be hotter than it was filled for; the drink itself moves not', () => {
    expect(crate).toMatchObject({ place: 'Under the stairs', hottestC: 27 });
    expect(state.place).toBeNull();
    expect(replay([...log, make.entry('moved', 61, { place: 'x', tempC: 10, crateId: 'NONE' })]).issues).toHaveLength(1);
  });
});
