import * as fc from 'fast-check';
import { SEED } from '../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../testing/expect-within.js';
import { dateAfter, daysBetween, dayText } from './days.js';
import { DEFAULT_UNITS, formatQuantity, type UnitPreferences } from './format-quantity.js';
import { parseQuantity } from './parse-quantity.js';

describe('parseQuantity', () => {
  it.each([
    ['20', 'volume', 20],
    ['20 L', 'volume', 20],
    ['1,5 l', 'volume', 1.5],
    ['750mL', 'volume', 0.75],
    ['2 gal', 'volume', 7.570823568],
    ['½ gal', 'volume', 1.892705892],
    ['12 fl oz', 'volume', 0.35488],
    ['1 lb 4 oz', 'mass', 566.99],
    ['1.2 kg', 'mass', 1200],
    ['64F', 'temperature', 17.78],
    ['-2 °C', 'temperature', -2],
    ['12.4 Bx', 'gravity', 1.05005],
    ['1.048', 'gravity', 1.048],
    ['36 psi', 'pressure', 2.482],
  ] as const)('reads %s as a %s', (text, dimension, value) => {
    expectWithin(parseQuantity(text, { dimension }).value, value, { abs: 0.005 });
  });
  it('takes a gallon as the maker means it', () => {
    expectWithin(parseQuantity('5 gal', { dimension: 'volume', gallon: 'imperial' }).value, 22.73045, { abs: 1e-9 });
    expectWithin(parseQuantity('5 US gal', { dimension: 'volume', gallon: 'imperial' }).value, 18.927, { abs: 0.001 });
    expect(parseQuantity('5', { dimension: 'volume', bareUnit: 'us-gal' })).toMatchObject({ unit: 'us-gal', assumedUnit: true });
  });
  it('weighs a spoon only when it knows what is on it', () => {
    expect(parseQuantity('2 tsp', { dimension: 'mass', gramsPerTeaspoon: 4.2 }).value).toBeCloseTo(8.4, 9);
    expect(parseQuantity('1 tbsp', { dimension: 'mass', gramsPerTeaspoon: 4 }).value).toBe(12);
    expect(refusalCode(() => parseQuantity('2 tsp', { dimension: 'mass' }))).toBe('UNREADABLE');
  });
  it.each(['', 'lots', '20 parsecs', '20 kg', '18 C 20 C'])('refuses %p as a volume or a temperature', (text) => {
    expect(refusalCode(() => parseQuantity(text, { dimension: text.includes('C') ? 'temperature' : 'volume' }))).toBe('UNREADABLE');
  });
});

describe('formatQuantity', () => {
  const imperial: UnitPreferences = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', gravity: 'Bx', pressure: 'psi' };
  it('rounds to what a bench can measure', () => {
    expect(formatQuantity({ dimension: 'volume', valueL: 20.357 })).toBe('20.4 L');
    expect(formatQuantity({ dimension: 'volume', valueL: 4.7 })).toBe('4.7 L');
    expect(formatQuantity({ dimension: 'volume', valueL: 0.25 })).toBe('250 mL');
    expect(formatQuantity({ dimension: 'mass', valueG: 578.1 })).toBe('578 g');
    expect(formatQuantity({ dimension: 'mass', valueG: 1204 })).toBe('1.20 kg');
    expect(formatQuantity({ dimension: 'temperature', valueC: 18 })).toBe('18 °C');
    expect(formatQuantity({ dimension: 'gravity', sg: 1.0478 })).toBe('1.048');
  });
  it('speaks gallons, pounds, Fahrenheit, Brix and psi', () => {
    expect(formatQuantity({ dimension: 'volume', valueL: 18.927 }, imperial)).toBe('5 US gal');
    expect(formatQuantity({ dimension: 'mass', valueG: 567 }, imperial)).toBe('1 lb 4 oz');
    expect(formatQuantity({ dimension: 'temperature', valueC: 18 }, imperial)).toBe('64.4 °F');
    expect(formatQuantity({ dimension: 'gravity', sg: 1.05 }, imperial)).toBe('12.4 °Bx');
    expect(formatQuantity({ dimension: 'gravity', sg: 0.998 }, imperial)).toBe('0.998');
    expect(formatQuantity({ dimension: 'pressure', valueBar: 2 }, imperial)).toBe('29 psi');
  });
  it('writes what parseQuantity reads back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.constantFrom(DEFAULT_UNITS, imperial, { ...imperial, volume: 'imp-gal' as const }),
        (valueL, units) => {
          const text = formatQuantity({ dimension: 'volume', valueL }, units);
          expectWithin(parseQuantity(text, { dimension: 'volume' }).value, valueL, { abs: 0.06 });
        },
      ),
      SEED,
    );
  });
});

describe('days', () => {
  it('counts and names them', () => {
    expect(daysBetween('2026-11-01T00:00:00Z', '2026-11-08T12:00:00Z')).toBe(7.5);
    expect(dateAfter('2026-12-30T10:00:00Z', 3)).toBe('2027-01-02');
    expect([dayText('2026-11-28'), dayText('2026-11-28', true)]).toEqual(['28 Nov', 'Sat 28 Nov']);
    expect(refusalCode(() => daysBetween('soon', '2026-01-01'))).toBe('UNREADABLE');
  });
});
