import { readHeld, readTargets, heldText, targetsAt, targetsText, readKept } from './bench-draft';
import { mapScales, outlinePath, placeLabels } from './reach-geometry';
import { cylinderDrawing, CYLINDER, levelAt } from '../cylinder/cylinder-geometry';
import { juiceColour } from '../cylinder/juice-colour';
import { TRIANGLE, trianglePoint } from '../place/triangle-geometry';

describe('what the bench keeps', () => {
  it('survives being written as text', () => {
    expect(readTargets(targetsText({ sg: 1.0525, ph: 3.5 }))).toEqual({ sg: 1.0525, ph: 3.5 });
    const held = new Map([['a', 2.4]]);
    expect([...readHeld(heldText(held))]).toEqual([...held]);
    expect(readTargets('sg=heavy;colour=3')).toEqual({});
    expect(readKept('')).toEqual([]);
  });
  it('asks for acidity or for pH, never for both, since each settles the other', () => {
    expect(targetsAt({ sg: 1.05, taGPerL: 5 }, 'ph', { sg: 1.052, y: 3.5 })).toEqual({ sg: 1.052, ph: 3.5 });
    expect(targetsAt({ sg: 1.05, ph: 3.5, tanninGPerL: 1 }, 'taGPerL', { sg: 1.05, y: 6 })).toEqual({ sg: 1.05, taGPerL: 6, tanninGPerL: 1 });
  });
});

describe('the reach map', () => {
  const points = [
    { sg: 1.044, y: 9.8 },
    { sg: 1.058, y: 2.3 },
  ];
  it('holds every point within its frame', () => {
    const { x, y } = mapScales(points, 3, { width: 430, height: 360 });
    for (const p of points) {
      expect(x(p.sg)).toBeGreaterThan(48);
      expect(x(p.sg)).toBeLessThan(408);
      expect(y(p.y)).toBeGreaterThan(10);
      expect(y(p.y)).toBeLessThan(316);
    }
    expect(outlinePath(points, { x, y })).toMatch(/^M[\d.,]+L[\d.,]+Z$/);
    expect(outlinePath([], { x, y })).toBe('');
  });
  it('keeps names off one another and off the points', () => {
    const crowd = [0, 1, 2, 3].map((i) => ({ id: String(i), name: 'Hedge sharps', x: 200 + 4 * i, y: 150 + 12 * i }));
    const places = placeLabels(crowd, { width: 430, height: 360 });
    const keys = places.map((p) => `${p.anchor}${Math.round(p.x / 30)}/${Math.round(p.y / 10)}`);
    expect(new Set(keys).size).toBe(4);
  });
});

describe('a cylinder', () => {
  it('stands as high as there is juice, and its level is read back from where it is dragged', () => {
    const full = cylinderDrawing({ leftL: 17.5, tallestL: 17.5, pouredL: 0 });
    const half = cylinderDrawing({ leftL: 8.75, tallestL: 17.5, pouredL: 0 });
    expect(CYLINDER.bottom - half.levelY).toBeCloseTo((CYLINDER.bottom - full.levelY) / 2, 6);
    const poured = cylinderDrawing({ leftL: 12, tallestL: 17.5, pouredL: 4 });
    expect(levelAt({ y: poured.levelY, leftL: 12, tallestL: 17.5 })).toBeCloseTo(4, 9);
    expect(levelAt({ y: -500, leftL: 12, tallestL: 17.5 })).toBe(0);
    expect(levelAt({ y: 5000, leftL: 12, tallestL: 17.5 })).toBe(12);
  });
  it('has marks a maker can count', () => {
    for (const tallestL of [0.8, 3, 17.5, 60, 200]) {
      const { marks } = cylinderDrawing({ leftL: 1, tallestL, pouredL: 0 });
      expect(marks.length).toBeGreaterThanOrEqual(4);
      expect(marks.length).toBeLessThanOrEqual(12);
    }
  });
  it('is pale for pears and sharps, dark for tannin', () => {
    expect(juiceColour({ fruit: 'pear', tanninGPerL: 0.4 })).toContain('--perry');
    expect(juiceColour({ fruit: 'apple', tanninGPerL: 2.4 })).toContain('--wood-dark');
  });
});

describe('the triangle', () => {
  it('puts a usual juice in the middle and each extreme in its corner', () => {
    const middle = trianglePoint({ sugarGPerL: 115, taGPerL: 5, tanninGPerL: 1.2 });
    expect(middle.x).toBeCloseTo((TRIANGLE.left + TRIANGLE.right) / 2, 6);
    expect(trianglePoint({ sugarGPerL: 100, taGPerL: 0, tanninGPerL: 0 }).y).toBe(TRIANGLE.top);
    expect(trianglePoint({ sugarGPerL: 0, taGPerL: 9, tanninGPerL: 0 })).toEqual({ x: TRIANGLE.left, y: TRIANGLE.bottom });
    expect(trianglePoint({ sugarGPerL: 0, taGPerL: 0, tanninGPerL: 3 }).x).toBe(TRIANGLE.right);
  });
});
