import { mixedWarmth } from '../../juice/warmth/mixed-warmth.js';
import { QUICK_SUMS, workQuickSum, type QuickAnswer } from './quick-sums.js';

const ask = (id: string, figures: Readonly<Record<string, number>>): QuickAnswer => {
  const sum = QUICK_SUMS.find((s) => s.id === id);
  const answer = sum && workQuickSum(sum, new Map(Object.entries(figures)));
  if (!answer) throw new Error(`${id} gave no answer`);
  return answer;
};
const line = (answer: QuickAnswer, name: string): string => answer.lines.find((l) => l.name === name)?.text ?? '';
const firstNumber = (text: string): number => Number(/[\d.]+/.exec(text)?.[0]);

describe('sums that belong to no batch', () => {
  it('write a gravity on every scale', () => {
    const answer = ask('scales', { sg: 1.05 });
    // 1.050 is 12.39 °Bx by the ASBC table.
    expect(line(answer, 'Brix')).toBe('12.4 °Bx');
    expect(line(answer, 'Points')).toBe('50');
    expect(answer.lines.every((l) => l.literal)).toBe(true);
  });
  it('correct a warm stem marked for 20 °C, unless told another mark', () => {
    // Water is 0.20 % lighter at 28 than at 20 °C: 1.046 shown is about 1.048.
    expect(line(ask('stem', { reading: 1.046, sampleC: 28 }), 'It is')).toMatch(/^1\.048, give or take/);
    expect(line(ask('stem', { reading: 1.046, sampleC: 15.6, calibratedAtC: 15.6 }), 'It is')).toMatch(/^1\.046,/);
  });
  it('tell the strength by every school', () => {
    const answer = ask('strength', { first: 1.05, last: 1 });
    expect(line(answer, 'the simple sum')).toBe('6.6 %');
    expect(line(answer, 'the wine-maker’s sum')).toBe('6.8 %');
    expect(answer.lines).toHaveLength(4);
  });
  it('weigh sugar and water by the bookkeeping of solids', () => {
    // 20 L from 1.046 to 1.055: 23.7 g more solids in each litre, and half a litre more of it.
    expect(firstNumber(line(ask('sugar', { volumeL: 20, sg: 1.046, wanted: 1.055 }), 'White sugar'))).toBeCloseTo(495, -2);
    // Points spread: 20 × 58 ÷ 45 − 20 litres.
    expect(firstNumber(line(ask('water', { volumeL: 20, sg: 1.058, wanted: 1.045 }), 'Water'))).toBeCloseTo((20 * 58) / 45 - 20, 0);
  });
  it('mix juices and warmths by volume', () => {
    expect(line(ask('mix', { oneL: 12, oneSg: 1.048, otherL: 6, otherSg: 1.06 }), 'Together')).toMatch(/^18(\.0+)? L at 1\.052$/);
    expect(
      mixedWarmth([
        { volumeL: 4, tempC: 60 },
        { volumeL: 16, tempC: 12 },
      ]),
    ).toBeCloseTo((4 * 60 + 16 * 12) / 20, 9);
    expect(() => mixedWarmth([{ volumeL: 4, tempC: 160 }])).toThrow();
  });
  it('prime a dry drink by what gas is missing, and say on what that rests', () => {
    const answer = ask('priming', { volumeL: 20, volumes: 2.4, warmestC: 18 });
    // (2.4 − about 0.87 at 18 °C) volumes × 1.977 g ÷ 0.514 g a gram, 20 L.
    expect(firstNumber(line(answer, 'White sugar'))).toBeGreaterThan(105);
    expect(firstNumber(line(answer, 'White sugar'))).toBeLessThan(125);
    expect(answer.note).toContain('proved it dry');
    expect(answer.cautions.length).toBeGreaterThan(0);
  });
  it('set a regulator and dose sulfite, with its caution', () => {
    expect(firstNumber(line(ask('keg', { volumes: 2.4, tempC: 6 }), 'Set the regulator to'))).toBeCloseTo(0.81, 0);
    const sulfite = ask('sulfite', { volumeL: 20, ph: 3.5 });
    // 100 mg/L in 20 L of a salt that is 57.6 % sulfur dioxide.
    expect(line(sulfite, 'Potassium metabisulfite')).toBe(`${(2000 / 576).toFixed(1)} g`);
    expect(sulfite.cautions.map((c) => c.id)).toContain('sulfite');
  });
  it('hold hot bottles long enough, with the danger, and refuse what bursts', () => {
    const heat = ask('heat', { volumes: 2, coreC: 65 });
    // Fifty units at 5.25 a minute.
    expect(firstNumber(line(heat, 'Hold it there for'))).toBeCloseTo(50 / 1.393 ** 5, 0);
    expect(firstNumber(line(heat, 'On the glass meanwhile'))).toBeGreaterThan(5);
    expect(heat.cautions.map((c) => c.id)).toEqual(['hot-bottles']);
    expect(() => ask('heat', { volumes: 3, coreC: 65 })).toThrow(/never heated/);
  });
  it('wait for what must be said, and refuse what cannot be in words', () => {
    for (const sum of QUICK_SUMS) {
      expect(workQuickSum(sum, new Map())).toBeNull();
      const examples = new Map(sum.fields.map((f) => [f.name, f.example]));
      expect(workQuickSum(sum, examples)?.lines.length).toBeGreaterThan(0);
    }
    expect(() => ask('sugar', { volumeL: 20, sg: 1.06, wanted: 1.05 })).toThrow();
    expect(() => ask('strength', { first: 1.04, last: 1.05 })).toThrow();
  });
});
