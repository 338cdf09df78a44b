import { isTyping, keyAct } from './keys';
import { PLACES } from './places';

describe('keyAct', () => {
  it('opens every place after g, and only there', () => {
    expect(keyAct('g', false)).toBe('waiting');
    for (const place of PLACES) expect(keyAct(place.key, true)).toEqual({ go: `/${place.path}` });
    expect(keyAct('c', false)).toBeNull();
    expect(keyAct('z', true)).toBeNull();
  });
  it('begins a batch and lists the keys', () => {
    expect(keyAct('n', false)).toEqual({ go: '/new' });
    expect(keyAct('?', false)).toBe('help');
    expect(keyAct('q', false)).toBe('sums');
  });
});

it('isTyping leaves keys to fields', () => {
  expect(isTyping(document.createElement('input'))).toBe(true);
  expect(isTyping(document.createElement('button'))).toBe(false);
  const list = document.createElement('div');
  list.setAttribute('role', 'combobox');
  expect(isTyping(list)).toBe(true);
});
