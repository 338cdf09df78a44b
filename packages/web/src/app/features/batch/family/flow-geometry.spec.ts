import { filled, finishedLog, pitched, sampleEntry, sampleView } from '../../../../testing/sample-batch';
import { flowDrawing, flowOf } from './flow-geometry';

const total = (ends: readonly { readonly litres: number }[]): number => ends.reduce((sum, end) => sum + end.litres, 0);
const bottled = sampleEntry('bottled', 27, {
  bottles: [{ kindId: 'crown-500', count: 38 }],
  testBottle: false,
  lossL: 1,
  crate: 'Lot',
  capColour: 'plum',
  hottestC: 24,
  acknowledged: [],
});

describe('the flow of a batch', () => {
  it('begins with its own juice and stands in its vessel', () => {
    const flow = flowOf(sampleView([filled(), pitched()], 3), () => 'Big glass');
    expect(flow.from.map((f) => [f.name, f.is])).toEqual([['Lot', 'fruit']]);
    expect(flow.to[0]).toMatchObject({ name: 'Big glass', is: 'vessel', litres: 20 });
  });
  it('is as much on the one side as on the other, what is missing being lees and glasses', () => {
    const flow = flowOf(sampleView([...finishedLog(), bottled], 30), () => 'Big glass');
    expect(flow.to.map((t) => t.is)).toEqual(['crate', 'gone']);
    expect(flow.to[0]?.litres).toBeCloseTo(19, 6);
    expect(total(flow.from)).toBeCloseTo(total(flow.to), 6);
  });
  it('is drawn in bands as thick as their volumes, apart from one another', () => {
    const drawn = flowDrawing(flowOf(sampleView([...finishedLog(), bottled], 30), () => 'Big glass'));
    const [crate, gone] = drawn.to;
    const ys = (path = ''): number[] => [...path.matchAll(/[\d.]+,([\d.]+)/g)].map((m) => Number(m[1]));
    const outer = (path = ''): readonly [number, number] => [ys(path)[0] ?? 0, ys(path).at(-1) ?? 0];
    const [top, foot] = outer(crate?.path);
    expect(foot - top).toBeCloseTo((170 * 19) / total(drawn.from), 0);
    expect(outer(gone?.path)[0]).toBeGreaterThan(foot);
    expect(drawn.height).toBeGreaterThan(drawn.bar.height);
  });
});
