import { rankTest } from './rank-test.js';

describe('rankTest', () => {
  it.each([
    // Three and three wholly apart: 2 of the 20 ways.
    [[1, 2, 3], [4, 5, 6], 0.1, 0.1],
    // Five and five wholly apart: 2 of 252.
    [[1, 2, 3, 4, 5], [6, 7, 8, 9, 10], 2 / 252, 2 / 252],
    // Four and four with a rank sum of 12, counted out by hand: 8 of 70 are as far from 18.
    [[1, 2, 3, 6], [4, 5, 7, 8], 8 / 70, 2 / 70],
    [[1, 1], [1, 1], 1, 1],
  ])('of %j and %j has a chance of %d', (a, b, p, leastP) => {
    expect(rankTest(a, b)).toEqual({ p: expect.closeTo(p, 12), leastP: expect.closeTo(leastP, 12) });
    expect(rankTest(b, a)?.p).toBeCloseTo(p, 12);
  });
  it('shares ranks among ties', () => {
    // 1 2 2 | 2 3: doubled ranks 2 6 6 6 10; sums of three are 14 (3 ways), 18 (4), 22 (3); off the middle of 18 by 4: 6 of 10.
    expect(rankTest([1, 2, 2], [2, 3])?.p).toBeCloseTo(0.6, 12);
  });
  it('says nothing of an empty group, or of more than can be counted out', () => {
    expect(rankTest([], [1])).toBeNull();
    expect(rankTest([1], [])).toBeNull();
    const upTo = (n: number): readonly number[] => Array.from({ length: n }, (_, i) => i);
    // Twenty together are counted out: two of the 184,756 ways.
    expect(
      rankTest(
        upTo(10),
        upTo(10).map((i) => i + 10),
      )?.p,
    ).toBeCloseTo(2 / 184_756, 12);
    expect(
      rankTest(
        Array.from({ length: 15 }, (_, i) => i),
        [1, 2, 3, 4, 5, 6],
      ),
    ).toBeNull();
  });
});
