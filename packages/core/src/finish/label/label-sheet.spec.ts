import * as fc from 'fast-check';
import { LIMITS } from '../../base/errors/limits.js';
import { refusalCode } from '../../testing/expect-within.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { LABEL_KINDS, labelSheet, PAPERS } from './label-sheet.js';

describe('labels on a sheet', () => {
  it('lie as many to a page as there is room for', () => {
    // 210 less two margins of 8 is 194 mm: two of 90 and a gap; 281 mm: four of 65 with three gaps are 266.
    expect(labelSheet({ paper: 'a4', kind: 'front', count: 9 })).toMatchObject({ columns: 2, rows: 4, pages: 2 });
    expect(labelSheet({ paper: 'letter', kind: 'tag', count: 1 })).toMatchObject({ columns: 4, rows: 2, pages: 1 });
    expect(labelSheet({ paper: 'a4', kind: 'band', count: 7 })).toMatchObject({ columns: 1, rows: 6, pages: 2 });
  });
  it('begin where the last sheet was left', () => {
    const { places, pages } = labelSheet({ paper: 'a4', kind: 'front', count: 3, from: 7 });
    expect(places.map((p) => p.page)).toEqual([0, 0, 1]);
    expect(pages).toBe(2);
    expect(places[1]?.xMm).toBeGreaterThan(100);
  });
  it('never lie over one another or off the paper', () => {
    const papers = fc.constantFrom(...PAPERS);
    const kinds = fc.constantFrom(...LABEL_KINDS);
    fc.assert(
      fc.property(papers, kinds, fc.integer({ min: 1, max: LIMITS.labels.max }), fc.integer({ min: 1, max: 3 }), (paper, kind, count, from) => {
        const { places, pages } = labelSheet({ paper: paper.id, kind: kind.id, count, from });
        expect(places).toHaveLength(count);
        for (const [i, { page, xMm, yMm }] of places.entries()) {
          expect(page).toBeLessThan(pages);
          expect(xMm).toBeGreaterThanOrEqual(5);
          expect(yMm).toBeGreaterThanOrEqual(5);
          expect(xMm + kind.widthMm).toBeLessThanOrEqual(paper.widthMm - 5);
          expect(yMm + kind.heightMm).toBeLessThanOrEqual(paper.heightMm - 5);
          const next = places[i + 1];
          if (next?.page === page) expect(next.xMm >= xMm + kind.widthMm || next.yMm >= yMm + kind.heightMm).toBe(true);
        }
      }),
      SEED,
    );
  });
  it.each([
    [0, 1],
    [LIMITS.labels.max + 1, 1],
    [1, 0],
    [1, 99],
  ])('are refused as %i from place %i', (count, from) => {
    expect(refusalCode(() => labelSheet({ paper: 'a4', kind: 'front', count, from }))).toBe('OUT_OF_RANGE');
  });
});
