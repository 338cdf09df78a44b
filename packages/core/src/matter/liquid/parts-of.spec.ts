import * as fc from 'fast-check';
import { arbitraryJuice, SEED } from '../../testing/arbitrary-liquid.js';
import { fermentTo } from './ferment-to.js';
import { liquidFromReadings } from './liquid-from-readings.js';
import { partsOf } from './parts-of.js';
import { dryGravityOf } from './views.js';

const gramsOf = (parts: ReturnType<typeof partsOf>, id: string): number => parts.find((p) => p.id === id)?.gPerL ?? NaN;

describe('what a litre holds beside water', () => {
  it('is sugar before the yeast and alcohol after it', () => {
    const must = liquidFromReadings({ volumeL: 20, sg: 1.05 });
    expect(gramsOf(partsOf(must), 'alcohol')).toBe(0);
    expect(gramsOf(partsOf(must), 'sugar')).toBeGreaterThan(90);
    const dry = fermentTo(must, dryGravityOf(must));
    expect(gramsOf(partsOf(dry), 'sugar')).toBeLessThan(1);
    // 16.83 g/L for each per cent, and about 47 g of alcohol from 100 g of sugar.
    expect(gramsOf(partsOf(dry), 'alcohol')).toBeCloseTo(0.47 * gramsOf(partsOf(must), 'sugar'), -1);
  });
  it('never holds less than nothing of anything', () => {
    fc.assert(
      fc.property(arbitraryJuice, (must) => {
        for (const liquid of [must, fermentTo(must, dryGravityOf(must))]) {
          for (const part of partsOf(liquid)) expect(part.gPerL).toBeGreaterThanOrEqual(0);
        }
      }),
      SEED,
    );
  });
});
