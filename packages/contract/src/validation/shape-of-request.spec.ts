import 'reflect-metadata';
import { SupplyDto } from '../supplies/supply.dto.js';
import { checkDto, MOST_FIELDS } from './check-dto.js';
import { oversizedShape, SHAPE_LIMITS } from './shape-of-request.js';

const nested = (depth: number): unknown => JSON.parse(`${'['.repeat(depth)}${']'.repeat(depth)}`) as unknown;

describe('the shape of a request', () => {
  it.each([
    ['a figure', 7],
    ['nothing', null],
    ['a record', { a: [1, { b: 'x' }] }],
    ['as deep as may be', nested(SHAPE_LIMITS.depth)],
    ['as long as may be', Array.from({ length: SHAPE_LIMITS.list }, () => 1)],
  ])('is reasonable: %s', (_what, plain) => {
    expect(oversizedShape(plain)).toBeNull();
  });
  it.each([
    ['deeper', nested(SHAPE_LIMITS.depth + 1)],
    // Deeper than any stack that measured it by recursion.
    ['without a bottom', nested(200_000)],
    ['a longer list', Array.from({ length: SHAPE_LIMITS.list + 1 }, () => 1)],
    ['more fields', Object.fromEntries(Array.from({ length: SHAPE_LIMITS.keys + 1 }, (_none, i) => [`k${i}`, 1]))],
    ['more values', Array.from({ length: 20 }, () => Array.from({ length: 9000 }, () => 1))],
    ['a field that passes for a class', JSON.parse('{"a":{"constructor":[]}}') as unknown],
    ['a field that changes every object', JSON.parse('{"__proto__":{"admin":true}}') as unknown],
  ])('is refused: %s', (_what, plain) => {
    expect(oversizedShape(plain)?.code).toBe('shape');
    expect(checkDto(SupplyDto, { id: plain }).ok).toBe(false);
  });
  it('names no more fields than anyone mends at once, and none at length', () => {
    const check = checkDto(SupplyDto, Object.fromEntries(Array.from({ length: 150 }, (_none, i) => [`${'k'.repeat(500)}${i}`, 1])));
    expect(check.ok ? 0 : check.fields.length).toBe(MOST_FIELDS);
    expect(JSON.stringify(check).length).toBeLessThan(20_000);
  });
});
