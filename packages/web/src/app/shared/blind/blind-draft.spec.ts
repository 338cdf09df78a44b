import { keptOf, namesIn, pressedOf } from './blind-draft';

it('keeps what was pressed as it was pressed', () => {
  for (const pressed of [[], [[2, 0, 1], []], [[1], [0, 2]]]) expect(pressedOf(keptOf(pressed))).toEqual(pressed);
});
it('reads names as they are written', () => {
  expect(namesIn('Wren, Ash and Rowan;Wren\n ')).toEqual(['Wren', 'Ash', 'Rowan']);
});
