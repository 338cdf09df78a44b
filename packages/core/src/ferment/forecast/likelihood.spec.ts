import { seededRandom } from '../../base/numeric/random.js';
import { courseLikelihood } from './likelihood.js';

const READINGS = [
  { day: 3, sg: 1.048 },
  { day: 9, sg: 1.031, plusMinus: 0.003 },
  { day: 15, sg: 1.02 },
];

describe('courseLikelihood', () => {
  const tells = courseLikelihood(READINGS);
  it('is highest on the readings, and a gross one costs no more than a course far from it', () => {
    const on = tells((i) => READINGS[i]?.sg ?? 1);
    const beside = tells((i) => (READINGS[i]?.sg ?? 1) + (i === 2 ? 0.002 : 0));
    const [gross, further] = [0.05, 0.09].map((off) => tells((i) => (READINGS[i]?.sg ?? 1) + (i === 2 ? off : 0)));
    expect(on).toBeGreaterThan(beside);
    expect(beside).toBeGreaterThan(gross ?? NaN);
    expect(gross).toBeCloseTo(further ?? NaN, 6);
  });
  it('counts a wider reading for less', () => {
    const cost = (place: number): number => tells((i) => READINGS[i]?.sg ?? 1) - tells((i) => (READINGS[i]?.sg ?? 1) + (i === place ? 0.003 : 0));
    expect(cost(1)).toBeLessThan(cost(0) / 3);
  });
  it('gives up only what cannot reach what is asked, and says the rest in full', () => {
    const random = seededRandom(4);
    let givenUp = 0;
    for (let n = 0; n < 500; n += 1) {
      const off = READINGS.map(() => random.normal() * 0.003);
      const course = (i: number): number => (READINGS[i]?.sg ?? 1) + (off[i] ?? 0);
      const full = tells(course);
      const atLeast = 12 + 4 * random.normal();
      const told = tells(course, atLeast);
      if (told === -Infinity) {
        givenUp += 1;
        expect(full).toBeLessThan(atLeast);
      } else expect(told).toBe(full);
    }
    expect(givenUp).toBeGreaterThan(100);
    expect(givenUp).toBeLessThan(500);
  });
});
