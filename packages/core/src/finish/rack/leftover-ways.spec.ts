import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { dryGravityOf } from '../../matter/liquid/views.js';
import { fitVessels } from './fit-vessels.js';
import { leftoverWays, type LeftoverWay } from './leftover-ways.js';

const must = liquidFromReadings({ volumeL: 22, sg: 1.05, taGPerL: 6, ph: 3.5, tanninGPerL: 0.5 });
const dry = fermentTo(must, dryGravityOf(must));
const jar = (n: number, capacityL = 5): { id: string; name: string; capacityL: number } => ({ id: `J${n}`, name: `Jar ${n}`, capacityL });
const jars = [jar(1), jar(2), jar(3), jar(4)];
const ways = (overL: number, free = [jar(5)], liquid = dry): readonly LeftoverWay[] => leftoverWays({ liquid, overL, filled: jars, free });
const way = <K extends LeftoverWay['id']>(id: K, list: readonly LeftoverWay[]): Extract<LeftoverWay, { id: K }> | undefined =>
  list.find((w): w is Extract<LeftoverWay, { id: K }> => w.id === id);

describe('23 L and five-litre jars', () => {
  it('fills four and leaves three litres over', () => {
    const { value } = fitVessels({ volumeL: 23, vessels: [...jars, jar(5)] });
    expect(value.fills).toHaveLength(4);
    expect(value.leftOverL).toBeCloseTo(3, 9);
  });
});

describe('leftoverWays', () => {
  it('finds a vessel that what is over just fills', () => {
    expect(ways(3, [jar(5), jar(6, 3.1)])[0]).toMatchObject({ id: 'vessel', vesselId: 'J6' });
  });
  it('spreads it over one vessel more, and says how much air that leaves', () => {
    expect(way('spread', ways(3))?.airFraction).toBeCloseTo(2 / 25, 9);
    expect(way('spread', ways(3))?.text).toContain('8 % air in each');
    expect(way('spread', ways(1.5))?.text).toContain('more air than it should keep');
    expect(way('spread', leftoverWays({ liquid: dry, overL: 0.5, filled: [jar(1)], free: [jar(2)] }))).toBeUndefined();
  });
  it('says nothing of other vessels where none is filled yet', () => {
    const only = leftoverWays({ liquid: { ...dry, volumeL: 3.9 }, overL: 3.9, filled: [], free: [jar(1, 4.6)] });
    expect(way('spread', only)?.text).toMatch(/^Into .*, with 15 % air over it\. That is more air/);
    expect(only.some(({ text }) => / too\b/.test(text))).toBe(false);
  });
  it('tops it up with water and says what that costs: 22 L of 6.8 % and 1 L of water make 6.5 %', () => {
    const topped = way('top-up', ways(2, [jar(5, 3 / 0.98)]));
    expect(topped?.waterL).toBeCloseTo(1, 9);
    expect(topped?.text).toContain('6.8 to 6.5 %');
    expect(way('top-up', ways(0.2))).toBeUndefined();
  });
  it('can be drunk young unless it is most of it, and refuses nothing to deal with', () => {
    expect(ways(3, []).map((w) => w.id)).toEqual(['drink']);
    expect(way('drink', ways(3))?.text).toContain('6 half-litre bottles');
    expect(ways(15, [])).toEqual([]);
    expect(() => ways(0)).toThrow(/overL/);
  });
});
