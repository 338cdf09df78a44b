import { waitText } from './wait-text';

describe('waitText', () => {
  it.each([
    [15, '15 min'],
    [119, '119 min'],
    [240, '4 h'],
    [2820, '47 h'],
    [2880, '2 days'],
    [7200, '5 days'],
  ])('%d minutes are said as %s', (minutes, says) => {
    expect(waitText(minutes)).toBe(says);
  });
});
