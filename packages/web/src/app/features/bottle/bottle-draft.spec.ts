import { readBottles } from './bottle-draft';
import { pressureDrawing } from './pressure-geometry';

describe('readBottles', () => {
  it('reads the chosen bottles back from the draft', () => {
    expect(readBottles('crown-500:,swing-500:6,crown-330:-2')).toEqual([
      { kindId: 'crown-500', count: null },
      { kindId: 'swing-500', count: 6 },
      { kindId: 'crown-330', count: null },
    ]);
  });
});
describe('pressureDrawing', () => {
  it('draws a still drink, which hardly presses, thick enough to be seen', () => {
    const [band] = pressureDrawing({ bands: [{ name: 'shed', tempC: 15, lowBar: 0, likelyBar: 0.05, highBar: 0.1 }], limits: [], top: 20, bottom: 540 }).bands;
    expect(band).toMatchObject({ name: 'shed', height: expect.closeTo(6.5, 0) as number });
  });
  it('keeps labels apart however close the limits lie', () => {
    const limits = [4.2, 4.2, 4.3].map((limitBar, i) => ({ name: String(i), limitBar, chosen: false }));
    const ys = pressureDrawing({ bands: [], limits, top: 0, bottom: 500 })
      .limits.map((l) => l.textY)
      .sort((a, b) => a - b);
    ys.slice(1).forEach((y, i) => expect(y - (ys[i] ?? 0)).toBeGreaterThanOrEqual(20));
  });
});
