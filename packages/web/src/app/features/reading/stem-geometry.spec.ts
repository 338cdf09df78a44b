import { sgFromBrix } from '@trug/core/matter/density/brix';
import { STEM_FOOT, STEM_TOP, stemDrawing } from './stem-geometry';

const NOTHING = { unit: 'SG', readSg: null, lastSg: null, endSg: null } as const;
const yOf = (drawing: ReturnType<typeof stemDrawing>, figure: string): number => drawing.ticks.find((t) => t.figure === figure)?.y ?? NaN;

describe('stemDrawing', () => {
  it('stands the drink at what is typed, lighter higher up', () => {
    const at = (readSg: number): ReturnType<typeof stemDrawing> => stemDrawing({ ...NOTHING, readSg });
    expect(at(1.01).surfaceY).toBeCloseTo(yOf(at(1.01), '1.010'), 6);
    expect(at(0.998).surfaceY).toBeLessThan(at(1.03).surfaceY);
    expect(stemDrawing({ ...NOTHING, lastSg: 1.02 }).surfaceY).toBeCloseTo(yOf(stemDrawing({ ...NOTHING, lastSg: 1.02 }), '1.020'), 6);
  });
  it('keeps every figure on the stem, however heavy', () => {
    for (const readSg of [0.985, 1, 1.056, 1.11, 1.17]) {
      const { ticks, surfaceY } = stemDrawing({ ...NOTHING, readSg });
      for (const y of [...ticks.map((t) => t.y), surfaceY]) {
        expect(y).toBeGreaterThanOrEqual(STEM_TOP);
        expect(y).toBeLessThanOrEqual(STEM_FOOT);
      }
      const long = ticks.filter((t) => t.figure !== null).map((t) => t.y);
      for (const [i, y] of long.entries()) if (i > 0) expect(y - (long[i - 1] ?? 0)).toBeGreaterThan(20);
    }
  });
  it('is marked in the scale the maker reads, at the same gravity', () => {
    const bx = stemDrawing({ ...NOTHING, unit: 'Bx', readSg: sgFromBrix(5) });
    expect(bx.surfaceY).toBeCloseTo(yOf(bx, '5.0'), 6);
    expect(yOf(stemDrawing({ ...NOTHING, unit: 'g/L' }), '0')).toBeCloseTo(yOf(stemDrawing(NOTHING), '1.000'), 0);
  });
  it('keeps the words of its marks apart, and their points where they are', () => {
    const { marks } = stemDrawing({ ...NOTHING, lastSg: 0.999, endSg: 0.998 });
    expect(marks.map((m) => m.id)).toEqual(['end', 'last']);
    expect((marks[1]?.textY ?? 0) - (marks[0]?.textY ?? 0)).toBeCloseTo(38, 6);
    expect((marks[1]?.y ?? 0) - (marks[0]?.y ?? 0)).toBeLessThan(8);
    expect(stemDrawing({ ...NOTHING, lastSg: 1.036, endSg: 0.998 }).marks.every((m) => m.y === m.textY)).toBe(true);
  });
});
