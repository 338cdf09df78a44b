import * as fc from 'fast-check';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { dateAfter } from '../../matter/quantity/days.js';
import { oldPacket } from './old-packet.js';

const TODAY = '2026-10-01T09:00:00.000Z';
const past = (days: number) => oldPacket(dateAfter(TODAY, -days), TODAY);

describe('a packet past its date', () => {
  it('is told from a fresh one only a month on', () => {
    expect(past(-200)).toBeNull();
    expect(past(30)).toBeNull();
    expect(past(61)?.text).toMatch(/2 months past its date: perhaps 96 %/);
    expect(past(61)?.text).not.toContain('times as much');
  });
  it('is half dead after three years, so that twice as much goes in', () => {
    // 0.8 × 0.8 × 0.8 = 0.512.
    expect(past(1096)?.aliveShare).toBeCloseTo(0.512, 2);
    expect(past(1096)?.text).toMatch(/3 years past its date: perhaps 51 %.*no foam in half an hour.*2\.0 times as much/);
  });
  it('never comes to life again', () => {
    fc.assert(
      fc.property(fc.integer({ min: 31, max: 8000 }), fc.integer({ min: 1, max: 400 }), (days, more) => {
        expect(past(days + more)?.aliveShare ?? 1).toBeLessThan(past(days)?.aliveShare ?? 0);
      }),
      SEED,
    );
  });
});
