import { blindSession, namedWith, pouredL, pressesOf, saidOf } from './blind-session.js';

describe('a blind session', () => {
  it('is the same again for its seed, and each position tells its drink', () => {
    const asked = { way: 'rank', drinks: 3, tasters: 2, seed: 11 } as const;
    const session = blindSession(asked);
    expect(blindSession(asked)).toEqual(session);
    const said = saidOf(session, [[2, 0, 1], []], 'rank');
    expect(said[0]).toEqual([2, 0, 1].map((position) => session.served[0]?.[position]?.drink));
    expect(said[1]).toEqual([]);
  });
  it('knows who found the odd one', () => {
    const session = blindSession({ way: 'triangle', drinks: 2, tasters: 2, seed: 4 });
    const [first, second] = session.triangles.map((t) => t.odd);
    expect(saidOf(session, [[first ?? 0], [((second ?? 0) + 1) % 3]], 'triangle')).toEqual([[1], [0]]);
  });
  it('pours of each drink what stands before the tasters', () => {
    const ranked = blindSession({ way: 'rank', drinks: 3, tasters: 4, seed: 2 });
    expect([0, 1, 2, 3].map((drink) => pouredL(ranked, drink, 80))).toEqual([0.32, 0.32, 0.32, 0]);
    // Of six triangles three have two of the one drink, and three two of the other.
    const triangles = blindSession({ way: 'triangle', drinks: 2, tasters: 6, seed: 2 });
    expect([0, 1].map((drink) => pouredL(triangles, drink, 50))).toEqual([0.45, 0.45]);
  });
  it('needs no press for the last of a ranking, and one for a triangle', () => {
    expect(namedWith('rank', 3, [], 1)).toEqual([1]);
    expect(namedWith('rank', 3, [1], 2)).toEqual([1, 2, 0]);
    expect(namedWith('rank', 2, [], 1)).toEqual([1, 0]);
    expect(namedWith('triangle', 3, [], 2)).toEqual([2]);
    expect([pressesOf('rank', 4), pressesOf('triangle', 2)]).toEqual([4, 1]);
  });
});
