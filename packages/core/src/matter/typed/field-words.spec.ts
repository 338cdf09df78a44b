import { withoutFieldNames } from './field-words.js';

describe('withoutFieldNames', () => {
  it.each([
    ['payload.massG must lie between 0 and 5', 'The weight must lie between 0 and 5'],
    ['payload.parts.0.liquid.taGPerL must not be less than 0', 'The acidity must not be less than 0'],
    ['ph must lie between 2 and 8', 'The pH must lie between 2 and 8'],
    ['massG must lie between 0 and 5000, got 9000', 'The weight must lie between 0 and 5000, got 9000'],
    ['payload.taGPerL must not be greater than 80', 'The acidity must not be greater than 80'],
    ['entries.0.payload.gravity.sampleC must not be less than 0', 'The temperature of the sample must not be less than 0'],
    ['teaCups must lie between 0 and 200', 'The tea cups must lie between 0 and 200'],
    ['of these (payload.fruitKg is too much)', 'of these (the fruit is too much)'],
  ])('says %s as %s', (text, said) => {
    expect(withoutFieldNames(text)).toBe(said);
  });
  it.each([
    'Its pH is only typical, not measured.',
    'pH must be measured first.',
    'The must has a pH of 3.5, and its pH may rise.',
    'It is at 14 °C.',
    'It is in bottles, so nothing goes into it any more.',
    'The drink is at 5 °C and must stay so.',
  ])('leaves %s as it is', (text) => {
    expect(withoutFieldNames(text)).toBe(text);
  });
});
