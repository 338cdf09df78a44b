import { yeastById } from '../../base/reference/yeast-kinds.js';
import { expectWithin } from '../../testing/expect-within.js';
import { liquidFromReadings } from './liquid-from-readings.js';
import { taOf } from './acid-chemistry.js';
import { yeastAcid } from './malic-band.js';

describe('yeastAcid', () => {
  const liquid = liquidFromReadings({ volumeL: 20, sg: 1.05, ph: 3.3, taGPerL: 8 });
  it('takes a fifth to two fifths of the malic acid with a softening kind', () => {
    const { malicGPerL, taGPerL } = yeastAcid(liquid, yeastById('acid-softening'), 1);
    expectWithin(malicGPerL.high, 8.8 * 0.8, { abs: 1e-9 });
    expectWithin(malicGPerL.low, 8.8 * 0.6, { abs: 1e-9 });
    // 3.52 g/L of malic acid are 26.3 mmol with two protons each: 3.52 g/L of acidity at the titration's end.
    expectWithin(taOf(liquid) - taGPerL.low, 3.52, { abs: 0.03 });
    expect(taGPerL.high).toBeGreaterThan(taGPerL.low);
  });
  it('has done nothing before the sugar goes, and hardly anything with a neutral kind', () => {
    expect(yeastAcid(liquid, yeastById('acid-softening'), 0).malicGPerL).toEqual({ low: liquid.malicGPerL, high: liquid.malicGPerL });
    const { malicGPerL } = yeastAcid(liquid, yeastById('neutral-champagne'), 1);
    expectWithin(malicGPerL.high - malicGPerL.low, 0.88, { abs: 1e-9 });
  });
});
