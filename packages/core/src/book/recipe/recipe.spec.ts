import { kitchenWeights } from '../cupboard/kitchen-weights.js';
import fc from 'fast-check';
import { FERMENTABLES } from '../../base/reference/fermentables-data.js';
import { ownFermentableId } from '../../base/reference/own-fermentable.js';
import { WILD_YEAST_ID } from '../../base/reference/yeast-kinds.js';
import { YEAST_KINDS } from '../../base/reference/yeast-kinds-data.js';
import { DEFAULT_UNITS, type UnitPreferences } from '../../matter/quantity/format-quantity.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { sayIn } from '../kinds/kind.js';
import { parseScribble } from '../scribble/parse-scribble.js';
import { INGREDIENTS } from '../scribble/scribble-ingredients.js';
import { recipeLine } from './recipe-line.js';
import { recipeOf } from './recipe-of.js';

const make = logOf();
const US: UnitPreferences = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', gravity: 'SG', pressure: 'psi' };
const LOG: readonly Entry[] = [
  make.filled(),
  make.entry('addition', 0.01, { what: 'fermentable', fermentableId: 'honey', massG: 900, supplies: [{ supplyId: 'S', amount: 900 }] }),
  make.entry('addition', 0.02, { what: 'enzyme', name: 'pectic enzyme', massG: 6 }),
  make.entry('addition', 0.03, { what: 'sulfite', so2MgPerL: 50 }),
  make.entry('pitched', 1.1, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 }),
  make.read(5, 1.02),
  make.entry('addition', 6, { what: 'nutrient', name: 'organic yeast nutrient', massG: 4 }),
  make.read(20, 0.998),
  make.racked(21, 19),
  make.entry('tasted', 22, { text: 'sharp', sparkle: null, again: null }),
];
const payloads = (volumeL?: number): readonly object[] => recipeOf(LOG, 'UTC', volumeL).steps.map(({ entry }) => entry.payload);

it('names a sweet thing of one’s own on the line, and not the id that holds what it is', () => {
  const id = ownFermentableId({ name: 'Boiled sweets', carbohydrateG: 95, lastingG: 0, hazy: false });
  const own = logOf('OWN');
  const log = [own.filled(), own.entry('addition', 0.05, { what: 'fermentable', fermentableId: id, massG: 300 }), own.pitched()];
  expect(recipeLine(recipeOf(log, 'UTC'), { sugar: false, yeast: true, sulfite: true }, sayIn(DEFAULT_UNITS))).toBe('300 g Boiled sweets');
});

describe('recipeOf', () => {
  it('keeps what went in and was done, by the day, and leaves out what was read and tasted', () => {
    const { steps, beganL, came } = recipeOf(LOG, 'UTC');
    expect(steps.map(({ afterDays, entry }) => [afterDays, entry.kind])).toEqual([
      [0, 'filled'],
      [0, 'addition'],
      [0, 'addition'],
      [0, 'addition'],
      [1, 'pitched'],
      [6, 'addition'],
      [21, 'racked'],
    ]);
    expect(beganL).toBe(20);
    expect(came).toMatchObject({ lastSg: expect.closeTo(0.998, 3), lastAfterDays: 20 });
  });
  it('goes by the litre, sulfite by its milligrams in one, and yeast by its must', () => {
    // Two and a half times as much: by hand.
    expect(payloads(50)).toMatchObject([
      { volumeL: 50 },
      { massG: 2250, supplies: undefined },
      { massG: 15 },
      { so2MgPerL: 50 },
      { massG: (payloads(50)[4] as { massG: number }).massG },
      { massG: 10 },
      { lossL: 0.75, vessels: [{ volumeL: 47.5 }] },
    ]);
    const yeast = (volumeL: number): number => (payloads(volumeL)[4] as { massG: number }).massG;
    expect(yeast(50)).not.toBeCloseTo(12.5, 1);
    expect(yeast(50)).toBeGreaterThan(yeast(10));
    expect(yeast(20)).toBe(5);
  });
  it('says how much sulfite that is, whatever was noted then', () => {
    // 50 mg/L in 50 L is 2500 mg: eleven tablets of 225, or 4.3 g at 57.6 %.
    expect(recipeOf(LOG, 'UTC', 50).steps[3]?.entry.note).toBe('11.1 tablets, or 4.3 g of potassium metabisulfite');
  });
  it('counts what was struck out as never done', () => {
    const [, honey] = LOG;
    const struck = [...LOG, make.entry('corrected', 23, { entryId: honey?.id ?? '', replacement: null })];
    expect(recipeOf(struck, 'UTC').steps).toHaveLength(6);
  });
  it('says so where nothing was begun, and of a volume that is none', () => {
    expect(() => recipeOf([], 'UTC')).toThrow('nothing was begun');
    expect(() => recipeOf(LOG, 'UTC', -4)).toThrow();
  });
});

describe('recipeLine', () => {
  const nothing = { sugar: false, yeast: false, sulfite: false };
  it('is what goes in until the yeast is, as one line', () => {
    expect(recipeLine(recipeOf(LOG, 'UTC'), nothing, sayIn(DEFAULT_UNITS))).toBe(
      '900 g honey, 6 g pectic enzyme, 1.7 g potassium metabisulfite, 5 g Crisp cider type yeast',
    );
    expect(recipeLine(recipeOf(LOG, 'UTC'), { sugar: true, yeast: true, sulfite: true }, sayIn(DEFAULT_UNITS))).toBe('6 g pectic enzyme');
  });
  it('is read again as what it was, whatever went in and in whichever units', () => {
    const fermentable = fc.constantFrom(...FERMENTABLES.filter((f) => INGREDIENTS.some((i) => i.refId === f.id)).map((f) => f.id));
    fc.assert(
      fc.property(
        fermentable,
        fc.constantFrom(...YEAST_KINDS.filter((y) => y.id !== WILD_YEAST_ID)),
        fc.constantFrom(DEFAULT_UNITS, US),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (fermentableId, yeast, units, volumeL) => {
          const log = [
            make.filled(),
            make.entry('addition', 0.1, { what: 'fermentable', fermentableId, massG: 700 }),
            make.entry('addition', 0.2, { what: 'tannin', massG: 4 }),
            make.entry('pitched', 0.3, { yeastId: yeast.id, massG: 6, method: 'sprinkled', juiceC: null }),
          ];
          const line = recipeLine(recipeOf(log, 'UTC', volumeL), nothing, sayIn(units));
          const { said } = parseScribble(line, {
            batches: [],
            yeasts: YEAST_KINDS.map(({ id, name }) => ({ id, names: [name] })),
            today: '2026-11-27',
            weightsOf: kitchenWeights,
            sweets: [],
            gallon: 'us',
            degrees: 'degC',
          });
          expect([line, said.map(({ is }) => is)]).toEqual([line, ['addition', 'addition', 'pitch']]);
          expect(said[0]).toMatchObject({ refId: fermentableId });
          expect(Math.abs((said[0] as { amount: number }).amount / ((700 * volumeL) / 20) - 1)).toBeLessThan(0.03);
          expect(said[2]).toMatchObject({ yeastIds: [yeast.id] });
        },
      ),
      { seed: 3, numRuns: 120 },
    );
  });
});
