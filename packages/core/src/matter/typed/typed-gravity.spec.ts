import { PLAIN_STEM } from '../measure/gauge.js';
import { refusalCode } from '../../testing/expect-within.js';
import { typedGravity } from './typed-gravity.js';

const lens = { ...PLAIN_STEM, kind: 'refractometer' as const, offsetBrix: 0.2 };

describe('a gravity as typed beside its gauge', () => {
  it.each([
    ['1.050', PLAIN_STEM, 'hydrometer', 1.05],
    ['1050', PLAIN_STEM, 'hydrometer', 1.05],
    ['12.4 Bx', PLAIN_STEM, 'hydrometer', 1.0501],
    ['12.4', lens, 'refractometer', 12.6],
    ['1.050 SG', lens, 'refractometer', 12.59],
  ])('%s', (text, gauge, instrument, reading) => {
    expect(typedGravity(text, gauge, 18)).toMatchObject({ instrument, sampleC: 18, reading: expect.closeTo(reading, 2) as number });
  });
  it('is none where the sample is none, or the figure cannot be read', () => {
    expect([-0.1, 100.1].map((sampleC) => refusalCode(() => typedGravity('1.050', PLAIN_STEM, sampleC)))).toEqual(['OUT_OF_RANGE', 'OUT_OF_RANGE']);
    expect(refusalCode(() => typedGravity('12.4', PLAIN_STEM, null))).toBe('UNREADABLE');
    expect(typedGravity('1.050', PLAIN_STEM, 0).sampleC).toBe(0);
  });
});
