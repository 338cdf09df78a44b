import { LONGEST_OWN_YEAST, ownYeastId, type OwnYeast } from './own-yeast-id.js';
import { yeastById } from './yeast-kinds.js';

const gold: OwnYeast = { name: 'Orchard  gold ', likeId: 'crisp-cider', standsAbv: 12, tempC: [15, 24] };

describe('a yeast of one’s own', () => {
  it('is what its packet says, and else as the kind it is like', () => {
    const id = ownYeastId(gold);
    expect(id).toBe('own:crisp-cider:12:15-24:Orchard gold');
    const [like, own] = [yeastById('crisp-cider'), yeastById(id)];
    expect(own).toMatchObject({ id, name: 'Orchard gold', nitrogenDemand: like.nitrogenDemand, foam: like.foam, malicReductionPct: like.malicReductionPct });
    expect(own.tempC.slice(1, 3)).toEqual([15, 24]);
    expect(own.tempC[1] - own.tempC[0]).toBe(like.tempC[1] - like.tempC[0]);
    // A packet is not taken at its word: it may stop earlier, and often goes on.
    expect(own.toleranceAbv).toEqual([11, 14]);
  });
  it('fits where ids are kept, whatever it is like', () => {
    const longest = ownYeastId({ ...gold, likeId: 'farmhouse-saison-like', name: 'x'.repeat(LONGEST_OWN_YEAST), standsAbv: 12.5 });
    expect(longest.length).toBeLessThanOrEqual(60);
    expect(yeastById(longest).toleranceAbv).toEqual([11.5, 14.5]);
  });
  it.each<[string, Partial<OwnYeast>, RegExp]>([
    ['without a name', { name: ' ' }, /short name/],
    ['with a long one', { name: 'x'.repeat(LONGEST_OWN_YEAST + 1) }, /short name/],
    ['of a strength that none stands', { standsAbv: 45 }, /between 3 and 20/],
    ['of a warmth that none stands', { tempC: [15, 60] }, /between 2 and 40/],
    ['warmer from than to', { tempC: [24, 15] }, /from the cooler/],
  ])('is refused %s', (_what, changes, why) => {
    expect(() => ownYeastId({ ...gold, ...changes })).toThrow(why);
  });
  it.each(['own:nothing', 'own:no-such-kind:12:15-24:Gold', 'own:crisp-cider:12:15-24:'])('is unknown by %s', (id) => {
    expect(() => yeastById(id)).toThrow(/there is no kind of yeast called/);
  });
});
