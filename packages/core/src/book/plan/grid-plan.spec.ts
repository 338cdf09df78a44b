import { PLAIN_STEM } from '../../matter/measure/gauge.js';
import { refusalCode } from '../../testing/expect-within.js';
import { gridBatches, gridJuices, MOST_IN_A_GRID, type GridAsked } from './grid-plan.js';

const asked: GridAsked = {
  juices: [
    { name: 'Row', sg: 1.052 },
    { name: 'Carton', sg: 1.046 },
  ],
  yeasts: [
    { yeastId: 'crisp-cider', massG: 0.5 },
    { yeastId: 'wild-spontaneous', massG: 0 },
  ],
  volumeL: 1,
  tempC: 18,
  gauge: { ...PLAIN_STEM, calibratedAtC: 15.6, offsetSg: 0.001 },
  sampleC: null,
};

describe('juices by the line', () => {
  it.each([
    ['Russet row 1.052', 'Russet row', 1.052],
    ['Carton No. 4, 12.4 Bx', 'Carton No. 4', 1.05],
    ['Windfalls: 48 points', 'Windfalls', 1.048],
    ['Pears 1052', 'Pears', 1.052],
  ])('%s', (line, name, sg) => {
    expect(gridJuices(line)).toEqual([{ text: line, name, sg: expect.closeTo(sg, 3), why: null }]);
  });
  it.each([
    ['Russet row', 'Write its name and then its gravity'],
    ['1.052', 'Write its name and then its gravity'],
    ['Row 12.4', '12.4 °Bx (1.050)?'],
    ['Row 1.500', ''],
    [`${'long '.repeat(8)}1.050`, 'something shorter'],
  ])('%s is refused in words', (line, why) => {
    expect(gridJuices(line)[0]).toMatchObject({ sg: null, why: expect.stringContaining(why) });
    expect(gridJuices(line)[0]?.why).not.toBe('');
  });
  it('leaves out what is empty, and asks for two names', () => {
    expect(gridJuices('\n Row 1.050 \n\nrow 1.048\n').map((line) => line.why !== null)).toEqual([false, true]);
  });
});

describe('a grid', () => {
  it('is every juice with every yeast, each with its own amounts', () => {
    const all = gridBatches(asked);
    expect(all.map((batch) => batch.name)).toEqual(['Row × Crisp cider', 'Row × Wild', 'Carton × Crisp cider', 'Carton × Wild']);
    expect(all[2]).toMatchObject({
      filled: { source: 'Carton', volumeL: 1, gravity: { reading: 1.046, calibratedAtC: 15.6, offsetSg: 0.001 }, tempC: 18 },
      pitched: { yeastId: 'crisp-cider', massG: 0.5, method: 'sprinkled' },
    });
    expect(all[1]?.pitched).toMatchObject({ massG: 0, method: 'wild' });
  });
  it('has its limits', () => {
    const juices = Array.from({ length: MOST_IN_A_GRID / 2 + 1 }, (_, i) => ({ name: `J${i}`, sg: 1.05 }));
    expect(refusalCode(() => gridBatches({ ...asked, juices }))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => gridBatches({ ...asked, yeasts: [] }))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => gridBatches({ ...asked, volumeL: 0 }))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => gridBatches({ ...asked, yeasts: [{ yeastId: 'nobody', massG: 1 }] }))).toBe('UNKNOWN_ID');
  });
});
