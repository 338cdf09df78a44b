import { fermentFraction } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { abvOf, dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import { expectedEnd } from './expected-end.js';

const must = liquidFromReadings({ volumeL: 10, sg: 1.05 });
const wine = liquidFromReadings({ volumeL: 10, sg: 1.15 });

describe('where a ferment should end', () => {
  it('is bone dry where the yeast stands it', () => {
    expect(expectedEnd(must, 12)).toEqual({ sg: dryGravityOf(must), stopsAtTolerance: false });
  });
  it('is where the strength stops it', () => {
    const { sg, stopsAtTolerance } = expectedEnd(wine, 14);
    expect(stopsAtTolerance).toBe(true);
    expect(sg).toBeGreaterThan(dryGravityOf(wine));
    expect(sg).toBeLessThan(1.15);
  });
  it('is where it stands, of a strong drink poured in that is past that already', () => {
    const strong = fermentFraction(wine, 0.9);
    expect(abvOf(strong)).toBeGreaterThan(14);
    expect(expectedEnd(strong, 14)).toEqual({ sg: gravityOf(strong), stopsAtTolerance: true });
  });
});
