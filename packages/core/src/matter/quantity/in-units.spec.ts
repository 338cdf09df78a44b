import { celsius, kilosText, litresText } from '../../base/worked/figures.js';
import { parseQuantity } from '../typed/parse-quantity.js';
import { exampleQuantity } from './example-quantity.js';
import { DEFAULT_UNITS, gravityDoubtText, type UnitPreferences } from './format-quantity.js';
import { inUnits } from './in-units.js';

const US: UnitPreferences = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', gravity: 'SG', pressure: 'psi' };

describe('inUnits', () => {
  it('gives back every degree and every gallon as it was typed', () => {
    for (let degF = 20; degF <= 130; degF += 1) {
      const typed = parseQuantity(`${degF} F`, { dimension: 'temperature' });
      expect([degF, inUnits(`It stands at ${celsius(typed.value)}.`, US)]).toEqual([degF, `It stands at ${degF} °F.`]);
    }
    for (let pounds = 1; pounds <= 120; pounds += 1) {
      const typed = parseQuantity(`${pounds} lb`, { dimension: 'mass' });
      expect([pounds, inUnits(`Chop ${kilosText(typed.value / 1000)} small`, US)]).toEqual([pounds, `Chop ${pounds} lb small`]);
    }
    for (let quarters = 4; quarters <= 100; quarters += 1) {
      const typed = parseQuantity(`${quarters / 4} gal`, { dimension: 'volume', gallon: 'us' });
      expect([quarters, inUnits(`give ${litresText(typed.value)} a new yeast`, US)]).toEqual([quarters, `give ${quarters / 4} US gal a new yeast`]);
    }
  });
  it.each([
    ['Move it to 14–17 °C, then read again.', 'Move it to 57–63 °F, then read again.'],
    ['It likes 12 to 20 °C.', 'It likes 54 to 68 °F.'],
    ['Keep it at -2 °C or colder.', 'Keep it at 28 °F or colder.'],
    ['brought to within 5 °C of it', 'brought to within 9 °F of it'],
    ['When cup and juice differ by less than 8 °C, pour.', 'When cup and juice differ by less than 14 °F, pour.'],
    ['It has 3.8 L of air over it.', 'It has 1 US gal of air over it.'],
    ['Warm 250 mL of clean water.', 'Warm 8.5 US fl oz of clean water.'],
    ['Stir in 1.1 g, and 600 g of sugar.', 'Stir in 1.1 g, and 1 lb 5.2 oz of sugar.'],
    ['Chop 3 kg small.', 'Chop 6 lb 9.8 oz small.'],
    ['It would stand at 2.4–3.1 bar.', 'It would stand at 35–45 psi.'],
    ['acid 5.4 g/L at 20 mg/L, 0.62 L/kg', 'acid 5.4 g/L at 20 mg/L, 0.62 L/kg'],
    ['two crown-capped 500 mL bottles at 2.0 bar', 'two crown-capped 500 mL bottles at 29 psi'],
    [
      '“5000 L” is more than a home bench holds: check it, and write it as 20 L, 5 gal or 750 mL.',
      '“5000 L” is more than a home bench holds: check it, and write it as 20 L, 5 gal or 750 mL.',
    ],
    ['34 L from 100 kg is a good deal (about 55 L from 100 kg).', '4.07 US gal from 100 lb is a good deal (about 6.58 US gal from 100 lb).'],
    ['about 540 L of gas from 33.1 kg of fruit', 'about 143 US gal of gas from 73 lb of fruit'],
    ['pH 3.8, 1.050, 12 days', 'pH 3.8, 1.050, 12 days'],
  ])('says %s as %s', (metric, us) => {
    expect(inUnits(metric, US)).toBe(us);
    expect(inUnits(metric, DEFAULT_UNITS)).toBe(metric);
  });
  it('changes only what the maker measures otherwise', () => {
    expect(inUnits('20 L at 18 °C', { ...DEFAULT_UNITS, temperature: 'degF' })).toBe('20 L at 64 °F');
    expect(inUnits('20 L at 18 °C', { ...DEFAULT_UNITS, volume: 'imp-gal' })).toBe('4.4 imp gal at 18 °C');
  });
  it.each([
    ['Stuck: steady at 1.025 for 12 days, and it should reach about 0.998.', 'Stuck: steady at 6.3 °Bx for 12 days, and it should reach about 0.998.'],
    ['This kind often ends at 1.002–1.006.', 'This kind often ends at 0.5–1.5 °Bx.'],
    ['It ends at about 0.998 (0.996 to 1.002) and 7.5 %.', 'It ends at about 0.998 (0.996 to 0.5 °Bx) and 7.5 %.'],
    ['Plain apple juice, 1.050', 'Plain apple juice, 12.4 °Bx'],
    // Not a gravity: a weight, a difference, a chance, a question which of two scales was meant.
    ['1.025 kg within 0.001, 1 in 1.5', '1.025 kg within 0.001, 1 in 1.5'],
    ['12 °Bx (1.048)? Then write 12 Bx.', '12 °Bx (1.048)? Then write 12 Bx.'],
    ['47 °Bx (1.217), or 1.047 (11.7 °Bx)? Write 47 Bx or 1.047.', '47 °Bx (1.217), or 1.047 (11.7 °Bx)? Write 47 Bx or 1.047.'],
  ])('says %s to whoever reads Brix as %s', (sg, bx) => {
    expect(inUnits(sg, { ...DEFAULT_UNITS, gravity: 'Bx' })).toBe(bx);
    expect(inUnits(sg, DEFAULT_UNITS)).toBe(sg);
  });
});

describe('gravityDoubtText', () => {
  it('is on the scale that its gravity is written in', () => {
    expect(gravityDoubtText(1.048, 0.002)).toBe('0.002');
    expect(gravityDoubtText(1.048, 0.002, { ...DEFAULT_UNITS, gravity: 'Bx' })).toBe('0.5');
    expect(gravityDoubtText(1.048, 0.002, { ...DEFAULT_UNITS, gravity: 'g/L' })).toBe('5');
    // Under 1.000 SG is the only scale.
    expect(gravityDoubtText(0.998, 0.002, { ...DEFAULT_UNITS, gravity: 'Bx' })).toBe('0.002');
  });
});

describe('exampleQuantity', () => {
  const quantities = [
    { dimension: 'volume', valueL: 20 },
    { dimension: 'mass', valueG: 250 },
    { dimension: 'mass', valueG: 31_000 },
    { dimension: 'temperature', valueC: 18 },
    { dimension: 'gravity', sg: 1.052 },
  ] as const;
  it('is written as a maker would type it', () => {
    expect(quantities.map((q) => exampleQuantity(q, DEFAULT_UNITS))).toEqual(['20 L', '250 g', '31 kg', '18 C', '1.052']);
    expect(quantities.map((q) => exampleQuantity(q, { ...US, gravity: 'Bx' }))).toEqual(['5.3 gal', '8.8 oz', '68 lb', '64 F', '12.9 Bx']);
  });
  it('can be read back', () => {
    for (const quantity of quantities) {
      const text = exampleQuantity(quantity, { ...US, gravity: 'Bx' });
      const about = Object.values(quantity).find((value) => typeof value === 'number') ?? NaN;
      const { value } = parseQuantity(text, { dimension: quantity.dimension, gallon: 'us' });
      expect(Math.abs(value / about - 1)).toBeLessThan(0.05);
    }
  });
});
