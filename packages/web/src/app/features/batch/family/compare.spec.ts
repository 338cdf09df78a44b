import { filled, pitched, reading, sampleBatch, sampleEntry, sampleView } from '../../../../testing/sample-batch';
import type { BatchView } from '../../../state/batch-views.selectors';
import { comparedFalls, compareDrawing, COMPARE_PHONE_SIZE, COMPARE_SIZE } from './compare-lines';

const named = (name: string, startedAt: string, log: Parameters<typeof sampleView>[0]): BatchView => {
  const view = sampleView(log, 30);
  const id = `01B0000000000000000000${name.slice(0, 4).toUpperCase()}`;
  return { ...view, batch: { ...sampleBatch(log), id, name, startedAt } };
};
const own = named('OWNS', '2026-10-01', [filled(), pitched(), reading(5, 1.03), reading(12, 1.008)]);
const earlier = named('EARL', '2025-10-01', [filled(), pitched(), reading(6, 1.02), reading(14, 1.0)]);
const older = ['OLDA', 'OLDB', 'OLDC'].map((name, i) => named(name, `202${i}-10-01`, [filled(), pitched(), reading(6, 1.02)]));
const otherYeast = named('OTHR', '2025-01-01', [
  filled(),
  sampleEntry('pitched', 0.1, { yeastId: 'english-ale', massG: 5, method: 'sprinkled', juiceC: 18 }),
  reading(6, 1.02),
]);

describe('comparedFalls', () => {
  it('counts each batch from its own pitch, led by its must', () => {
    const falls = comparedFalls(own, [own, earlier]);
    expect(falls.map((f) => [f.name, f.kin])).toEqual([
      ['OWNS', 'own'],
      ['EARL', 'earlier'],
    ]);
    expect(falls[0]?.points.map((p) => Math.round(p.day * 10) / 10)).toEqual([0, 4.9, 11.9]);
    expect(falls[0]?.points[0]?.sg).toBeCloseTo(1.048, 3);
  });
  it('sets siblings apart from earlier batches, and leaves questioned readings out', () => {
    const part = (volumeL: number): Parameters<typeof sampleEntry<'blended'>>[2] => {
      const must = own.state.must;
      if (!must) throw new Error('the sample has no must');
      return {
        parts: [{ from: 'batch', sourceId: own.batch.id, name: 'OWNS', liquid: { ...must, volumeL }, yeastId: null }],
        vessels: [{ vesselId: 'W', volumeL }],
        tempC: 14,
      };
    };
    const sibling = named('SIBL', '2026-10-01', [
      sampleEntry('blended', 0, part(5)),
      pitched(),
      reading(5, 1.035),
      reading(6, 1.5e-3 + 1.09),
      reading(8, 1.02),
    ]);
    const falls = comparedFalls(own, [own, earlier, sibling]);
    expect(falls.map((f) => [f.name, f.kin])).toEqual([
      ['OWNS', 'own'],
      ['SIBL', 'sibling'],
      ['EARL', 'earlier'],
    ]);
    expect(falls[1]?.points.map((p) => p.sg.toFixed(3))).toEqual(['1.048', '1.035', '1.020']);
  });
  it('takes the latest three of the same yeast, no other kind, and is silent alone', () => {
    expect(comparedFalls(own, [own, earlier, otherYeast, ...older]).map((f) => f.name)).toEqual(['OWNS', 'EARL', 'OLDC', 'OLDB']);
    expect(comparedFalls(own, [own, otherYeast])).toEqual([]);
    expect(comparedFalls(named('YOUN', '2026-10-02', [filled()]), [own])).toEqual([]);
  });
});

describe('compareDrawing', () => {
  it.each([COMPARE_SIZE, COMPARE_PHONE_SIZE])('keeps every point in its frame and every name off the others, %#', (size) => {
    const { falls } = compareDrawing(comparedFalls(own, [own, earlier, ...older]), size);
    const { width, height, left, right, top, bottom } = size;
    for (const { points } of falls) {
      for (const p of points) {
        expect(p.x).toBeGreaterThanOrEqual(left);
        expect(p.x).toBeLessThanOrEqual(width - right);
        expect(p.y).toBeGreaterThanOrEqual(top);
        expect(p.y).toBeLessThanOrEqual(height - bottom);
      }
    }
    const ys = falls.map((f) => f.label.y).sort((a, b) => a - b);
    ys.slice(1).forEach((y, i) => expect(y - (ys[i] ?? 0)).toBeGreaterThanOrEqual(18.9));
  });
});
