import { juiceInHand } from '../../juice/fruit/juice-in-hand.js';
import { drawnJuice } from '../../juice/fruit/steeped-liquid.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { taOf } from '../../matter/liquid/acid-chemistry.js';
import type { Juice } from '../../juice/fruit/juice.js';
import { fruitById, ORCHARD_FRUIT } from './fruit-library.js';
import { LONGEST_OWN_FRUIT, ownFruitId } from './own-fruit-id.js';

const JUICE: Juice = {
  ...{ id: 'J', name: 'Gate', tape: 'leaf', origin: 'pressed', fruit: 'apple', madeAt: '2026-10-01T10:00:00.000Z', volumeL: 10, goneL: 0, note: '' },
  ...{ gravity: null, ph: null, taGPerL: null, tanninGPerL: null, yanMgPerL: null, costPerL: null, fruitId: null },
  ...{ preserved: false, vitaminC: false, pressing: null, steeping: null },
};
const GATE = ownFruitId({ name: ' Gate   tree ', likeId: 'seedling-apple', sg: 1.0541, taGPerL: 7.46, ph: null });

it('says in its id all that is known of it', () => {
  expect(GATE).toBe('own:seedling-apple:1.054:7.5:-:Gate tree');
  const like = fruitById('seedling-apple');
  const own = fruitById(GATE);
  expect(own).toMatchObject({ id: GATE, name: 'Gate tree', fruit: like.fruit, ph: like.ph, tanninGPerL: like.tanninGPerL });
  // What was measured one year is the middle; the seasons lead as far from it as from the kind it is like.
  expect(own.sg[1]).toBe(1.054);
  expect(own.sg[2] - own.sg[0]).toBeCloseTo(like.sg[2] - like.sg[0], 6);
  expect(own.taGPerL[1]).toBe(7.5);
});
it('is what it is like where nothing was measured', () => {
  const plain = fruitById(ownFruitId({ name: 'Hedge', likeId: 'garden-pear-unknown', sg: null, taGPerL: null, ph: null }));
  expect({ ...plain, id: '', name: '', note: '' }).toEqual({ ...fruitById('garden-pear-unknown'), id: '', name: '', note: '' });
});
it('is pressed and steeped as any other', () => {
  const { liquid, figures } = juiceInHand({ ...JUICE, fruitId: GATE }, 0);
  expect(gravityOf(liquid)).toBeCloseTo(1.054, 3);
  expect(figures.taGPerL).toMatchObject({ source: 'typical' });
  expect(taOf(drawnJuice({ fruitKg: 10, fruitId: GATE, hot: false }))).toBeCloseTo(7.5, 1);
});
it('fits wherever ids are kept, whatever it is like', () => {
  const longest = (likeId: string): string => ownFruitId({ name: 'x'.repeat(LONGEST_OWN_FRUIT), likeId, sg: 1.05, taGPerL: 12.5, ph: 3.45 });
  for (const { id } of ORCHARD_FRUIT) expect(longest(id).length).toBeLessThanOrEqual(60);
  for (const { id } of ORCHARD_FRUIT) expect(fruitById(longest(id)).sg[1]).toBe(1.05);
});
it('is refused without a name, with what no juice is, and by an id that nobody can read', () => {
  const one = { name: 'Gate', likeId: 'seedling-apple', sg: null, taGPerL: null, ph: null };
  expect(() => ownFruitId({ ...one, name: '  ' })).toThrow('short name');
  expect(() => ownFruitId({ ...one, name: 'x'.repeat(LONGEST_OWN_FRUIT + 1) })).toThrow('short name');
  expect(() => ownFruitId({ ...one, sg: 1.4 })).toThrow();
  expect(() => ownFruitId({ ...one, taGPerL: 90 })).toThrow();
  expect(() => ownFruitId({ ...one, ph: 7 })).toThrow();
  expect(() => fruitById('own:nobody')).toThrow();
  expect(() => fruitById('own:no-such-tree:1.050:-:-:Gate')).toThrow();
});
