import { INFUSIONS } from '../../base/reference/infusions-data.js';
import { taOf } from '../../matter/liquid/acid-chemistry.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';
import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import type { BatchState } from '../state/batch-state.js';
import { judgeState } from '../state/judge-state.js';
import { suppliesOf } from '../entry/entry-kinds.js';

const make = logOf();
const dry = make.dryAt(0.998);
const infused = (infusionId: string, massG: number, supplies?: Extract<Entry, { kind: 'infused' }>['payload']['supplies']): Entry =>
  make.entry('infused', 28, { infusionId, massG, days: 10, ...(supplies ? { supplies } : {}) });
const sugarG = ({ liquid }: BatchState): number => (liquid ? fermentableGPerL(liquid) * liquid.volumeL : NaN);
const proven = (state: BatchState): boolean => judgeState(state, make.at(28))?.value.status === 'finished-dry';

describe('what steeps in a drink', () => {
  const before = replay(dry);

  it.each(INFUSIONS.map((each) => [each.id, each] as const))('%s brings its sugar and its acid, and a doubt of the sugar', (id, { sugarGPerG, acidGPerG }) => {
    const after = replay([...dry, infused(id, 400)]);
    expect(sugarG(after) - sugarG(before)).toBeCloseTo(400 * sugarGPerG, 1);
    expect((after.liquid && before.liquid ? taOf(after.liquid) - taOf(before.liquid) : NaN) > 0.01).toBe(acidGPerG > 0);
    // By the scales, in about 20 L, known to a seventh: fruit of one kind differs.
    expect(after.weighedGPerL * (after.liquid?.volumeL ?? NaN)).toBeCloseTo(400 * sugarGPerG, 1);
    expect(after.weighedSdGPerL).toBeCloseTo(0.15 * after.weighedGPerL, 6);
    expect(proven(after)).toBe(sugarGPerG === 0);
  });

  it('is named with its day, and taken from the cupboard it came from', () => {
    const entry = infused('raspberry', 800, [{ supplyId: 'FREEZER', amount: 800 }]);
    expect(describeEntry(entry, DEFAULT_UNITS)).toMatchObject({ lead: 'Steeping in it', rest: '800 g raspberries, out in 10 days' });
    expect(entry.kind === 'infused' && suppliesOf(entry)).toEqual([{ supplyId: 'FREEZER', amount: 800 }]);
    const none = infused('raspberry', 800);
    expect(none.kind === 'infused' && suppliesOf(none)).toEqual([]);
  });
});
