import { ownFermentableId } from '../../base/reference/own-fermentable.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { replay } from '../log/replay.js';
import { labelFacts, type LabelFacts } from './label-facts.js';

const make = logOf();
const sugar = (fermentableId: string, massG = 100): Entry => make.entry('addition', 0.05, { what: 'fermentable', fermentableId, massG });
/** A dry cider with what a test puts in before yeast and before the bottle. */
function facts(early: readonly Entry[], late: readonly Entry[] = [], after: readonly Entry[] = []): LabelFacts {
  const [filled, ...rest] = make.dryAt(0.998);
  const log = [...(filled ? [filled] : []), ...early, ...rest, ...late, make.bottled(40), ...after];
  const crate = replay(log).crates.at(-1);
  if (!crate) throw new Error('there should be a crate');
  return labelFacts(log, crate);
}

describe('what a label tells', () => {
  it('is taste, dates and contents, each once, as they were when the bottles were filled', () => {
    const told = facts(
      [sugar('sucrose'), make.entry('addition', 0.06, { what: 'acid', acid: 'malic', massG: 5 })],
      [make.primed(39)],
      [make.entry('opened', 60, { kindId: 'crown-500', count: 1 })],
    );
    expect(told.contents).toEqual(['pressed', 'white sugar', 'malic acid', 'yeast']);
    expect(told.taste).toMatch(/^dry, (prickle|gentle|lively|brisk)$/);
    expect(told.bottledAt).toBe(make.at(40));
    expect(told.readyFrom < told.bestUntil).toBe(true);
    expect(told.cautions).toEqual(['Contains alcohol.', 'Under pressure: chill it and open it slowly.', 'Yeast lies at the bottom: pour gently.']);
  });
  it('names sulfite from ten milligrams on', () => {
    const sulfited = (so2MgPerL: number): readonly string[] => facts([make.entry('addition', 0.05, { what: 'sulfite', so2MgPerL })]).cautions;
    expect(sulfited(8)).not.toContain('Contains sulfites.');
    expect(sulfited(40)).toContain('Contains sulfites.');
  });
  it.each<[string, Entry, RegExp]>([
    ['lactose', sugar('lactose'), /milk sugar/],
    ['xylitol', make.entry('sweetened', 30, { sweetenerId: 'xylitol', massG: 100 }), /xylitol: deadly to dogs/],
    [
      'what only its packet knows',
      sugar(ownFermentableId({ name: 'Toffees', carbohydrateG: 80, lastingG: 0, hazy: false })),
      /packet of toffees names, such as nuts, milk/,
    ],
    ['a sweet thing that lasts', sugar(ownFermentableId({ name: 'Mints', carbohydrateG: 95, lastingG: 95, hazy: false })), /May contain xylitol/],
    ['finings', make.entry('clarified', 30, { means: 'finings', massG: 5, waitDays: 7 }), /fish, egg, milk or shellfish/],
    ['another batch', make.poured(30, 2, 0.998, 'batch'), /Poured together with another: look at the labels/],
  ])('warns of %s', (_what, entry, words) => {
    const late = entry.at > make.at(20);
    expect(facts(late ? [] : [entry], late ? [entry] : []).cautions.join(' ')).toMatch(words);
    expect(facts([]).cautions.join(' ')).not.toMatch(words);
  });
  it('says that it was heated in the bottle, or that it still must be', () => {
    const sweet = make.entry('sweetened', 40, { sweetenerId: 'sucrose', massG: 400 });
    const filled = make.bottled(40.2, { toHeat: { headspace: 0.05 } });
    const bath = make.entry('heated', 40.4, { crateId: filled.id, steps: [{ minutes: 11, coreC: 65 }], acknowledged: [] });
    const cautions = (log: readonly Entry[]): readonly string[] => {
      const crate = replay(log).crates[0];
      return crate ? labelFacts(log, crate).cautions : [];
    };
    const waiting = [...make.dryAt(0.998), sweet, filled];
    expect(cautions(waiting)).toContain('Not heated yet: not to be kept.');
    expect(cautions(waiting)).not.toContain('Keep it cold and drink it soon.');
    expect(cautions([...waiting, bath])).toContain('Heated in the bottle.');
    expect(cautions([...waiting, bath])).not.toContain('Not heated yet: not to be kept.');
  });
  it('calls a share of one drink what it is', () => {
    const log = [make.poured(0, 9, 0.998, 'batch'), make.read(8, 0.998), make.read(20, 0.998), make.bottled(40, { count: 10 })];
    const crate = replay(log).crates[0];
    expect(crate && labelFacts(log, crate).cautions).toContain('Poured off another: look at its label as well.');
  });
  it('warns of nothing that came after the bottles were filled, or was struck out', () => {
    const late = make.entry('sweetened', 45, { sweetenerId: 'xylitol', massG: 100 });
    expect(facts([], [], [late]).cautions.join()).not.toContain('xylitol');
    const slip = sugar('lactose');
    const struck = make.entry('corrected', 1, { entryId: slip.id, replacement: null });
    expect(facts([slip, struck]).cautions.join()).not.toContain('lactose');
  });
});
