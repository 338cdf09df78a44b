import fc from 'fast-check';
import { CoreError } from '../../base/errors/core-error.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, dryGravityOf } from '../../matter/liquid/views.js';
import { fitVessels } from './fit-vessels.js';
import { toppingWays, type ToppingSource, type ToppingWay } from './topping-ways.js';

const juice = (volumeL: number, sg = 1.05, taGPerL = 6): Liquid => liquidFromReadings({ volumeL, sg, taGPerL, ph: 3.5, tanninGPerL: 0.5 });
const dry = (volumeL: number, sg = 1.05, taGPerL = 6): Liquid => {
  const must = juice(volumeL, sg, taGPerL);
  return fermentTo(must, dryGravityOf(must));
};
const source = (name: string, liquid: Liquid): ToppingSource => ({ id: name, name, liquid, leftL: liquid.volumeL });
const jar = (name: string, capacityL: number): { id: string; name: string; capacityL: number } => ({ id: name, name, capacityL });
const big = jar('Big jar', 10);
const ways = (volumeL: number, { candidates = [big], ...more }: Partial<Omit<Parameters<typeof toppingWays>[0], 'best'>> = {}): readonly ToppingWay[] => {
  const best = fitVessels({ volumeL, vessels: candidates }).value;
  return toppingWays({ liquid: dry(volumeL), picked: [big], candidates, best, ciders: [], juices: [], ...more });
};

describe('toppingWays', () => {
  it('has nothing to say of a vessel that is full to the neck', () => {
    expect(ways(9.3)).toEqual([]);
    expect(ways(9.8)).toEqual([]);
  });
  it('fills 10 L to the neck: 1.8 L of water in 8 L take 6.8 % to 8 × 6.8 ÷ 9.8', () => {
    const [water, filler] = ways(8);
    const abv = abvOf(dry(8));
    expect(water).toMatchObject({ id: 'water', volumeL: expect.closeTo(1.8, 9) as number });
    expect(water?.text).toContain(`${abv.toFixed(1)} to ${((8 * abv) / 9.8).toFixed(1)} %`);
    expect(filler).toMatchObject({ id: 'filler', volumeL: expect.closeTo(1.8, 9) as number });
  });
  it('would rather have smaller vessels, when they hold all of it', () => {
    const smaller = [jar('Jar 1', 5), jar('Jar 2', 3.1)];
    expect(ways(8, { candidates: [big, ...smaller] })[0]).toEqual({
      id: 'smaller',
      text: 'Into Jar 1 and Jar 2 instead, which it fills: nothing else is needed.',
    });
    expect(ways(8, { candidates: [big, jar('Jar 1', 5)] }).map((w) => w.id)).not.toContain('smaller');
  });
  it('puts the likest cider first, and says what stays and that the end must be proven again', () => {
    const [first, second, third] = ways(8, { ciders: [source('Sharp', dry(5, 1.05, 11)), source('Like', dry(1, 1.052, 6.2)), source('Strong', dry(5, 1.08))] });
    expect(first).toMatchObject({ id: 'cider', sourceId: 'Like', volumeL: 1 });
    expect(first?.text).toContain('That is all of Like. 0.8 L of air remain. Together their end must be proven again.');
    expect(second).toMatchObject({ sourceId: 'Strong' });
    expect(second?.text).toContain('3.2 L stay in its vessel');
    expect(third?.id).toBe('water');
  });
  it('counts another fruit as unlike, whatever its figures', () => {
    const perry: Liquid = { ...dry(5), fruit: 'pear' };
    const [first] = ways(8, { ciders: [source('Perry', perry), source('Cider', dry(5, 1.055, 7))] });
    expect(first).toMatchObject({ sourceId: 'Cider' });
  });
  it('warns that juice works again', () => {
    expect(ways(8, { juices: [source('Russet', juice(4))] })[0]?.text).toMatch(
      /^1\.8 L of the juice Russet: .* works again on \d\d g\/L of sugar: .* seal nothing/,
    );
  });
  it('never tops past the neck, nor takes more than there is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 9.9, noNaN: true }), fc.double({ min: 0, max: 20, noNaN: true }), (volumeL, otherL) => {
        const other = { ...source('Other', dry(5)), leftL: otherL };
        for (const way of ways(volumeL, { ciders: [other], juices: [{ ...other, liquid: juice(5) }] })) {
          if (way.id === 'smaller') continue;
          expect(volumeL + way.volumeL).toBeLessThanOrEqual(9.8 + 1e-9);
          if (way.id === 'cider' || way.id === 'juice') expect(way.volumeL).toBeLessThanOrEqual(otherL);
        }
      }),
    );
  });
  it('refuses a volume that cannot be', () => {
    expect(() =>
      toppingWays({ liquid: { ...dry(5), volumeL: -1 }, picked: [big], candidates: [big], best: { fills: [], leftOverL: 0, airL: 0 }, ciders: [], juices: [] }),
    ).toThrow(CoreError);
  });
});
