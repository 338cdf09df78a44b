import { parseQuantity } from '../typed/parse-quantity.js';
import { levelSpoonsText } from './level-spoons.js';

describe('level spoons', () => {
  it.each([
    [8.3, 4, '2.1 level teaspoons'],
    [4, 4, '1 level teaspoon'],
    [2.4, 4, '0.6 level teaspoons'],
    [47, 4, '11.8 level teaspoons'],
    [48, 4, '4 level tablespoons'],
    [130, 4.2, '10.3 level tablespoons'],
  ])('%p g at %p g each are %s', (massG, gramsPerTeaspoon, text) => {
    expect(levelSpoonsText(massG, gramsPerTeaspoon)).toBe(text);
  });
  it('say nothing of what no spoon tells, or of what nobody weighed', () => {
    expect(levelSpoonsText(0.1, 4)).toBeNull();
    expect(levelSpoonsText(10, undefined)).toBeNull();
  });
  it('mean what was weighed, within a spoon’s tenth, read back as a maker writes it', () => {
    for (let massG = 1; massG < 300; massG += 0.7) {
      const text = levelSpoonsText(massG, 4.2) ?? '';
      const back = parseQuantity(text.replace('level ', ''), { dimension: 'mass', gramsPerTeaspoon: 4.2 }).value;
      expect(Math.abs(back - massG)).toBeLessThanOrEqual(0.65);
    }
  });
});
