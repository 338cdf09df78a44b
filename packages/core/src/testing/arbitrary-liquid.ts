import * as fc from 'fast-check';
import { liquidFromReadings } from '../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../matter/liquid/liquid.js';

/** Every random test starts from this seed, so that a failure can be run again. */
export const SEED = { seed: 20261123, numRuns: 200 } as const;

/** Juices a home maker could meet. */
export const arbitraryJuice: fc.Arbitrary<Liquid> = fc
  .record({
    volumeL: fc.double({ min: 1, max: 200, noNaN: true }),
    sg: fc.double({ min: 1.03, max: 1.11, noNaN: true }),
    taGPerL: fc.double({ min: 1.5, max: 12, noNaN: true }),
    ph: fc.double({ min: 2.9, max: 4.4, noNaN: true }),
    tanninGPerL: fc.double({ min: 0, max: 3, noNaN: true }),
    fruit: fc.constantFrom('apple' as const, 'pear' as const),
  })
  .map((r) => liquidFromReadings(r));
