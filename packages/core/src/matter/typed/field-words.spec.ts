import { withoutFieldNames } from './field-words.js';

describe('withoutFieldNames', () => {
  it.each([
    ['payload.massG must lie between 0 and 5', 'The weight must lie between 0 and 5'],
    ['payload.parts.0.liquid.taGPerL must not be less than 0', 'The acidity must not be less than 0'],
    ['ph must lie between 2 and 8', 'The pH must lie between 2 and 8'],
    ['of these (payload.fruitKg is too much)', 'of these (the fruit is too much)'],
  ])('says %s as %s', (text, said) => {
    expect(withoutFieldNames(text)).toBe(said);
  });
  it.each(['Its pH is only typical, not measured.', 'pH must be measured first.', 'The must has a pH of 3.5, and its pH may rise.', 'It is at 14 °C.'])(
    'leaves %s as it is',
    (text) => {
      expect(withoutFieldNames(text)).toBe(text);
    },
  );
});
