import { bottleById } from './bottle-kinds.js';
import { LONGEST_OWN_BOTTLE, ownBottleId, type OwnBottle } from './own-bottle-id.js';

const tall: OwnBottle = { name: 'Tall  brown ', likeId: 'crown-500', sizeMl: 660, limitBar: 5.5, hotLimitBar: null };

describe('a bottle of one’s own', () => {
  it('is what is marked on it, closed as the kind it is like, and never heated where nobody marked that', () => {
    const id = ownBottleId(tall);
    expect(id).toBe('own:crown-500:660:5.5:-:Tall brown');
    expect(bottleById(id)).toEqual({ id, name: 'Tall brown', sizeMl: 660, limitBar: 5.5, hotLimitBar: null, closure: 'crown' });
    expect(bottleById(ownBottleId({ ...tall, likeId: 'sparkling-750', hotLimitBar: 7.25 }))).toMatchObject({ hotLimitBar: 7.25, closure: 'wired-cork' });
  });
  it('may stand ten bar, cold or hot', () => {
    expect(bottleById(ownBottleId({ ...tall, likeId: 'plastic-500', limitBar: 10 })).limitBar).toBe(10);
    expect(bottleById(ownBottleId({ ...tall, limitBar: 5, hotLimitBar: 10 }))).toMatchObject({ limitBar: 5, hotLimitBar: 10 });
  });
  it('stands what its kind stands where nothing is marked, and nothing where that is made for no pressure', () => {
    expect(bottleById(ownBottleId({ ...tall, limitBar: null })).limitBar).toBe(bottleById('crown-500').limitBar);
    expect(bottleById(ownBottleId({ ...tall, likeId: 'wine-750', limitBar: null }))).toMatchObject({ limitBar: null, closure: 'cork' });
  });
  it('has a name that parts no list of kinds and counts', () => {
    expect(ownBottleId({ ...tall, name: 'Tall, brown: 2' })).toBe('own:crown-500:660:5.5:-:Tall brown 2');
  });
  it('fits where ids are kept, whatever it is like', () => {
    const longest = ownBottleId({ name: 'x'.repeat(LONGEST_OWN_BOTTLE), likeId: 'sparkling-750', sizeMl: 1500, limitBar: 8.25, hotLimitBar: 9.75 });
    expect(longest.length).toBeLessThanOrEqual(60);
    expect(bottleById(longest)).toMatchObject({ sizeMl: 1500, limitBar: 8.25, hotLimitBar: 9.75 });
  });
  it.each<[string, Partial<OwnBottle>, RegExp]>([
    ['without a name', { name: ' , ' }, /short name/],
    ['with a long one', { name: 'x'.repeat(LONGEST_OWN_BOTTLE + 1) }, /short name/],
    ['of the size of a thimble', { sizeMl: 20 }, /between 100 and 5000/],
    ['crown-capped, by the pressure at which one broke', { limitBar: 17 }, /between 0.5 and 8/],
    ['with a swing-top, by more than its ring holds', { likeId: 'swing-500', limitBar: 7.1 }, /between 0.5 and 7/],
    ['of plastic, by more than 10 bar', { likeId: 'plastic-500', limitBar: 10.5 }, /between 0.5 and 10/],
    ['heavy, by more than a wired cork holds', { likeId: 'sparkling-750', limitBar: 9.5 }, /between 0.5 and 9/],
    ['made for no pressure, by a pressure', { likeId: 'wine-750', limitBar: 1 }, /not made for pressure/],
    ['with a swing-top, heated', { likeId: 'swing-500', hotLimitBar: 4 }, /never heated/],
    ['heated, by more than glass stands hot', { hotLimitBar: 11 }, /between 0.5 and 10/],
  ])('is refused %s', (_what, changes, why) => {
    expect(() => ownBottleId({ ...tall, ...changes })).toThrow(why);
  });
  it.each(['own:nothing', 'own:no-such-kind:500:4:-:Tall', 'own:crown-500:500:4:-:', 'own:own:500:4:-:Tall'])('is unknown by %s', (id) => {
    expect(() => bottleById(id)).toThrow(/there is no kind of bottle called/);
  });
});
