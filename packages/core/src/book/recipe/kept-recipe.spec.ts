import fc from 'fast-check';
import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { logOf } from '../../testing/made-logs.js';
import { kitchenWeights } from '../cupboard/kitchen-weights.js';
import { withAmounts } from '../entry/entry-amounts.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import { parseScribble } from '../scribble/parse-scribble.js';
import { asEntry, blankSteps, checkSteps, inOrder, keptRecipeAt, logOfSteps, stepOf, stepsOf, withContent } from './kept-recipe.js';
import { recipeOf } from './recipe-of.js';
import type { KeptStep } from './recipe-step.js';
import { scribbledSteps } from './scribbled-steps.js';

const make = logOf('KEPT');
const LOG = [
  make.filled(),
  make.entry('addition', 0.01, { what: 'fermentable', fermentableId: 'honey', massG: 900 }),
  make.entry('addition', 0.03, { what: 'sulfite', so2MgPerL: 50 }),
  make.entry('pitched', 1.1, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 }),
  make.read(5, 1.02),
  make.entry('note', 6, { text: 'the cat knocked it over' }),
  make.entry('addition', 6, { what: 'nutrient', name: 'organic yeast nutrient', massG: 4 }),
];
const KEPT = stepsOf(recipeOf(LOG, 'UTC'));
const blank = (volumeL = 4): readonly KeptStep[] => blankSteps({ volumeL, fruit: 'apple', sg: 1.05 });
const words = (steps: readonly KeptStep[], volumeL?: number): readonly string[] =>
  keptRecipeAt(steps, volumeL).steps.map(({ entry }) => {
    const { lead, rest } = describeEntry(entry, DEFAULT_UNITS);
    return `${lead} ${rest}`.trim();
  });
const scribbled = (line: string, steps = blank(), day = 0) =>
  scribbledSteps(
    steps,
    'cool-slow',
    parseScribble(line, {
      batches: [],
      yeasts: [{ id: 'crisp-cider', names: ['Crisp cider type'] }],
      today: '2026-11-27',
      weightsOf: kitchenWeights,
      sweets: [],
      gallon: 'us',
      degrees: 'degC',
    }).said,
    day,
  );

describe('a recipe that is kept', () => {
  it('is at any size what the batch that it was made of is, day for day', () => {
    for (const volumeL of [undefined, 4, 55]) {
      const told = ({ steps }: ReturnType<typeof recipeOf>): readonly unknown[] =>
        steps.map(({ afterDays, entry: { kind, payload, note } }) => ({ afterDays, kind, payload, note }));
      expect(told(keptRecipeAt(KEPT, volumeL))).toEqual(told(recipeOf(LOG, 'UTC', volumeL)));
    }
  });
  it('leaves out what happened to that batch alone, and keeps as notes what its maker writes to be done', () => {
    expect(KEPT.map(({ kind }) => kind)).toEqual(['filled', 'addition', 'addition', 'pitched', 'addition']);
    expect(words([...KEPT, stepOf(3, 'note', { text: 'skim the brown cap' })])).toContain('Note skim the brown cap');
  });
  it('keeps what is fixed at any size', () => {
    const [first, honey, ...rest] = KEPT;
    if (!first || !honey) throw new Error('it has a beginning and honey');
    const massOf = (steps: readonly KeptStep[], volumeL: number): unknown => keptRecipeAt(steps, volumeL).steps[1]?.entry.payload;
    expect(massOf([first, honey, ...rest], 40)).toMatchObject({ massG: 1800 });
    expect(massOf([first, { ...honey, fixed: true }, ...rest], 40)).toMatchObject({ massG: 900 });
  });
  it('goes by its days, however its steps were put in', () => {
    const late = stepOf(9, 'addition', { what: 'tannin', massG: 2 });
    expect(inOrder([...blank(), late, stepOf(2, 'note', { text: 'stir' })]).map((s) => s.afterDays)).toEqual([0, 2, 9]);
    expect(keptRecipeAt([late, ...blank()]).steps.map((s) => s.afterDays)).toEqual([0, 9]);
  });
  it('is changed by the amounts that its steps state', () => {
    const [, honey] = KEPT;
    if (!honey) throw new Error('it has honey');
    const changed = withContent(honey, { ...withAmounts(asEntry(honey), new Map([['massG', 450]])), note: 'the dark one' });
    expect(changed).toMatchObject({ kind: 'addition', afterDays: 0, note: 'the dark one', payload: { massG: 450, fermentableId: 'honey' } });
  });
  it('begins once, with what there is to make', () => {
    expect(() => checkSteps([])).toThrow();
    expect(() => checkSteps([stepOf(0, 'note', { text: 'wash' })])).toThrow('begins with what there is to make');
    expect(() => checkSteps([...blank(), ...blank()])).toThrow('begins once');
    expect(() => checkSteps([...blank(), stepOf(-1, 'note', { text: 'wash' })])).toThrow();
    expect(() => keptRecipeAt(blank(), 0)).toThrow();
    expect(() => blankSteps({ volumeL: 4, fruit: 'pear', sg: 2 })).toThrow();
  });
});

describe('a line added to a recipe', () => {
  it('is amounts for the size it is written for, and its own words as something to do', () => {
    const lines = scribbled('1 lb sugar, 1/2 tsp pectic enzyme, rack it off, wash the jug first', blank(), 0);
    expect(lines).toMatchObject([
      { is: 'step', step: { kind: 'addition', payload: { what: 'fermentable', massG: expect.closeTo(453.6, 1) as number } } },
      { is: 'step', step: { kind: 'addition', payload: { what: 'enzyme' } } },
      { is: 'step', step: { kind: 'note' } },
      { is: 'step', step: { kind: 'note', payload: { text: 'wash the jug first' } } },
    ]);
  });
  it('is pitched and sulfited by the juice that there is by then', () => {
    expect(scribbled('1 packet crisp cider yeast', blank(4), 1)).toMatchObject([{ step: { kind: 'pitched', afterDays: 1 } }]);
    const tablet = scribbled('1 sulfite tablet', blank(4));
    // By hand: a tablet of 225 mg in 4 L.
    expect(tablet).toMatchObject([{ step: { payload: { so2MgPerL: expect.closeTo(225 / 4, 1) as number } } }]);
  });
  it('says why what looks like an amount is none', () => {
    expect(scribbled('3 sugar')).toMatchObject([{ is: 'unread', why: expect.any(String) as string }]);
  });
  it('makes a must of the same strength at any size', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.integer({ min: 20, max: 400 }),
        (from, to, gPerL) => {
          const massG = gPerL * from;
          const steps = [
            ...blankSteps({ volumeL: from, fruit: 'apple', sg: 1.05 }),
            stepOf(0, 'addition', { what: 'fermentable', fermentableId: 'sucrose', massG }),
          ];
          const made = keptRecipeAt(steps, to).steps.map(({ entry }) => entry);
          const must = (entries: typeof made) => replay(entries).liquid;
          const [one, other] = [must(logOfSteps(steps) as typeof made), must(made)];
          expect(gravityOf(other ?? fail())).toBeCloseTo(gravityOf(one ?? fail()), 6);
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });
});

function fail(): never {
  throw new Error('there is no must');
}
