import * as fc from 'fast-check';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { refusalCode } from '../../testing/expect-within.js';
import { addFermentable, hexoseFrom } from '../../matter/liquid/additions.js';
import { fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { fermentableById } from './fermentables.js';
import { LONGEST_OWN_NAME, ownFermentableId } from './own-fermentable.js';

const sweets = ownFermentableId({ name: ' Boiled  sweets ', carbohydrateG: 95, lastingG: 10, hazy: true });

describe('a sweet thing of one’s own', () => {
  it('is known by what its packet says, and by nothing else', () => {
    expect(sweets).toBe('own:95:10:hazy:Boiled sweets');
    expect(fermentableById(sweets)).toMatchObject({ name: 'Boiled sweets', kind: 'fermentable', extractFraction: 0.95, fermentableFraction: 0.85 });
    expect(fermentableById(sweets).caution).toContain('hazy');
    expect(fermentableById(ownFermentableId({ name: 'Jam: plum', carbohydrateG: 60.04, lastingG: 0, hazy: false }))).toMatchObject({
      name: 'Jam: plum',
      extractFraction: 0.6,
      caution: null,
    });
  });
  it('goes into a drink as its weight says', () => {
    // By hand: 300 g in 4 L take (0.95 × 0.618 + 0.05 × 1.0018) × 0.3 = 0.191 L; 255 g ferment, 30 g stay.
    const drink = addFermentable(waterOf(4), { fermentableId: sweets, massG: 300 });
    expect(drink.volumeL).toBeCloseTo(4.191, 3);
    expect(drink.sucroseGPerL * drink.volumeL).toBeCloseTo(255, 6);
    expect(drink.otherSolidsGPerL * drink.volumeL).toBeCloseTo(30, 6);
    // 285 g of solids in 4.191 L are 68 g/L, some 26 points.
    expect(gravityOf(drink)).toBeCloseTo(1.026, 3);
  });
  it('never makes less gas than the same weight of any sugar its packet may mean', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 100, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (carbohydrateG, share) => {
        const id = ownFermentableId({ name: 'It', carbohydrateG, lastingG: carbohydrateG * share * 0.99, hazy: false });
        const { extractFraction, fermentableFraction, co2GPerG } = fermentableById(id);
        expect(fermentableFraction).toBeLessThanOrEqual(extractFraction);
        expect(co2GPerG).toBeGreaterThanOrEqual(0.489 * fermentableFraction);
        const before = waterOf(10);
        const after = addFermentable(before, { fermentableId: id, massG: 500 });
        expect(fermentableGPerL(after) * after.volumeL).toBeCloseTo(hexoseFrom({ fermentableId: id, massG: 500 }), 6);
      }),
      SEED,
    );
  });
  it.each([
    'own:',
    'own:120:0:clear:It',
    'own:0:0:clear:It',
    'own:50:60:clear:It',
    'own:50:0:cloudy:It',
    'own:50:0:clear:',
    'own:-5:0:clear:It',
    'own:NaN:0:clear:It',
  ])('is unknown by %s', (id) => {
    expect(refusalCode(() => fermentableById(id))).toBe('UNKNOWN_ID');
  });
  it('needs a short name, and no more that lasts than there is', () => {
    const code = (own: Partial<Parameters<typeof ownFermentableId>[0]>) =>
      refusalCode(() => ownFermentableId({ name: 'It', carbohydrateG: 50, lastingG: 0, hazy: false, ...own }));
    expect(code({ name: '  ' })).toBe('NOT_ALLOWED');
    expect(code({ name: 'x'.repeat(LONGEST_OWN_NAME + 1) })).toBe('NOT_ALLOWED');
    expect(code({ lastingG: 51 })).toBe('OUT_OF_RANGE');
    expect(code({ carbohydrateG: 101 })).toBe('OUT_OF_RANGE');
    // The longest there can be fits where ids are kept.
    expect(ownFermentableId({ name: 'x'.repeat(LONGEST_OWN_NAME), carbohydrateG: 99.9, lastingG: 99.9, hazy: true }).length).toBeLessThanOrEqual(60);
  });
});
