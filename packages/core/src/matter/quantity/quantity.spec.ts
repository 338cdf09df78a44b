import * as fc from 'fast-check';
import { attempt } from '../../base/errors/attempt.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { dateAfter, daysBetween, dayText } from './days.js';
import { DEFAULT_UNITS, formatQuantity, type UnitPreferences } from './format-quantity.js';
import { kitchenWeights } from '../../book/cupboard/kitchen-weights.js';
import { parseQuantity } from '../typed/parse-quantity.js';

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
  it.each([
    ['~20 L', 'volume', 20],
    ['about 5 gal', 'volume', 18.927],
    ['1½ kg', 'mass', 1500],
    ['1/2 kg', 'mass', 500],
    ['1,000 g', 'mass', 1000],
    ['1,5 kg', 'mass', 1500],
    ['2 lb 4 oz', 'mass', 1020.58],
    ['2 lbs and 4 ounces', 'mass', 1020.58],
    ['10 stone', 'mass', 63502.9],
    ['3 pints', 'volume', 1.4195],
    ['2 1/4 cups', 'volume', 0.53232],
    ['2 tbsp', 'volume', 0.03],
    ['33cl', 'volume', 0.33],
    ['−2', 'temperature', -2],
    ['1047', 'gravity', 1.047],
    ['1,047', 'gravity', 1.047],
    ['SG 1.048', 'gravity', 1.048],
    ['brix 20', 'gravity', 1.083],
    ['12,4 brix', 'gravity', 1.05005],
    ['6.62 % potential', 'gravity', 1.05],
    ['0.998', 'gravity', 0.998],
    ['.998', 'gravity', 0.998],
  ] as const)('reads %s as people write it', (text, dimension, value) => {
    expectWithin(parseQuantity(text, { dimension }).value, value, { abs: value > 100 ? 0.06 : 0.0005 });
  });
  it.each([
    ['4-5 L', 'volume', 'range'],
    ['4 to 5 L', 'volume', 'range'],
    ['60–65 F', 'temperature', 'range'],
    ['-5000 L', 'volume', 'sign'],
    ['+3 kg', 'mass', 'sign'],
    ['1,250 kg', 'mass', 'comma'],
    ['5 5', 'mass', 'unit'],
    ['2 lb 3 lb', 'mass', 'several'],
    ['4 oz 2 lb', 'mass', 'several'],
    ['1.2.3 kg', 'mass', 'number'],
    ['5/0 kg', 'mass', 'number'],
    ['2 spoons', 'mass', 'unit'],
    ['3 tablets', 'mass', 'weight-unknown'],
    ['2 lemons', 'mass', 'weight-unknown'],
    ['4 tea bags', 'mass', 'weight-unknown'],
    ['2 cups', 'mass', 'weight-unknown'],
    ['12.4', 'gravity', 'which-scale'],
    ['47', 'gravity', 'which-scale'],
    ['   ', 'volume', 'empty'],
  ] as const)('asks about %s', (text, dimension, reason) => {
    const read = attempt(() => parseQuantity(text, { dimension }));
    expect(read).toMatchObject({ ok: false, error: { code: 'UNREADABLE', details: { reason } } });
  });
  it.each([
    ['300 C', 'temperature'],
    ['5000 L', 'volume'],
    ['90 Bx', 'gravity'],
    ['90 % potential', 'gravity'],
  ] as const)('knows that %s is no bench’s', (text, dimension) => {
    expect(refusalCode(() => parseQuantity(text, { dimension }))).toBe('OUT_OF_RANGE');
  });
  it('names both readings of a figure that has two', () => {
    const read = attempt(() => parseQuantity('12.4', { dimension: 'gravity' }));
    expect(read.ok ? '' : read.error.message).toBe('12.4 °Bx (1.050)? Then write 12.4 Bx.');
  });
  it('takes a tablet for the sulfur dioxide it brings, whatever powder it stands for', () => {
    for (const [form, share] of [
      ['potassium-metabisulfite', 0.576],
      ['sodium-metabisulfite', 0.674],
    ] as const) {
      // 50 mg/L in 4.5 L are 225 mg a tablet.
      const grams = parseQuantity('3 tablets', { dimension: 'mass', ...kitchenWeights('sulfite', form) }).value;
      expectWithin(grams * share * 1000, 3 * 225, { abs: 1e-6 });
    }
  });
  it('weighs what is counted once it knows what one weighs, and says when an amount is rough', () => {
    expect(parseQuantity('3 tablets', { dimension: 'mass', gramsPerTablet: 0.44 }).value).toBeCloseTo(1.32, 9);
    expect(parseQuantity('2 lemons', { dimension: 'mass', gramsPerLemon: 2.5 }).value).toBe(5);
    expect(parseQuantity('2 1/4 cups', { dimension: 'mass', gramsPerTeaspoon: 4 }).value).toBe(432);
    expect(parseQuantity('~20 L', { dimension: 'volume' }).rough).toBe(true);
    expect(parseQuantity('20 L', { dimension: 'volume' }).rough).toBe(false);
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
    expect(formatQuantity({ dimension: 'mass', valueG: 1204 })).toBe('1.2 kg');
    expect(formatQuantity({ dimension: 'temperature', valueC: 18 })).toBe('18 °C');
    expect(formatQuantity({ dimension: 'gravity', sg: 1.0478 })).toBe('1.048');
  });
  it('speaks gallons, pounds, Fahrenheit, Brix and psi', () => {
    expect(formatQuantity({ dimension: 'volume', valueL: 18.927 }, imperial)).toBe('5 US gal');
    expect(formatQuantity({ dimension: 'mass', valueG: 567 }, imperial)).toBe('1 lb 4 oz');
    expect(formatQuantity({ dimension: 'temperature', valueC: 18 }, imperial)).toBe('64 °F');
    expect(formatQuantity({ dimension: 'gravity', sg: 1.05 }, imperial)).toBe('12.4 °Bx');
    expect(formatQuantity({ dimension: 'gravity', sg: 0.998 }, imperial)).toBe('0.998');
    expect(formatQuantity({ dimension: 'pressure', valueBar: 2 }, imperial)).toBe('29 psi');
  });
  it('gives round numbers back as they came, and small doses in grams', () => {
    const back = (text: string, dimension: 'volume' | 'mass' | 'temperature'): string => {
      const { value } = parseQuantity(text, { dimension });
      if (dimension === 'volume') return formatQuantity({ dimension, valueL: value }, imperial);
      return formatQuantity(dimension === 'mass' ? { dimension, valueG: value } : { dimension, valueC: value }, imperial);
    };
    for (const text of ['5 US gal', '0.5 US gal', '6.5 US gal', '12 US fl oz']) expect(back(text, 'volume')).toBe(text);
    for (const text of ['60 °F', '68 °F', '41 °F']) expect(back(text, 'temperature')).toBe(text);
    for (const text of ['1 lb', '2 lb 4 oz', '1 oz', '8 oz', '50 lb']) expect(back(text, 'mass')).toBe(text);
    expect([1.1, 0.04, 20].map((valueG) => formatQuantity({ dimension: 'mass', valueG }, imperial))).toEqual(['1.1 g', '0.04 g', '20 g']);
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
