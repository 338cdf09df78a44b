import type { ProblemField } from '../http/problem.js';

/** How large a request may be in its shape, before any rule looks at its meaning. @source our choice: ten times what any form sends */
export const SHAPE_LIMITS = { depth: 12, list: 10_000, keys: 200, values: 100_000 } as const;

/** Names by which a plain object would pass for another class, or change all of them. */
const NOT_FIELDS = ['constructor', '__proto__', 'prototype'] as const;

/**
 * Measures a parsed JSON value before it is validated: rules run on every item of a list, so a list without end would
 * cost without end.
 *
 * @param plain - what came in
 * @param limits - how deep, how long and how many
 * @returns what is too much, or null when it is of a reasonable shape
 */
export function oversizedShape(plain: unknown, limits: { readonly [K in keyof typeof SHAPE_LIMITS]: number } = SHAPE_LIMITS): ProblemField | null {
  const refused = (message: string): ProblemField => ({ path: '', code: 'shape', message });
  let values = 0;
  // A list of its own instead of recursion: what is measured may be deeper than the stack.
  const open: { readonly value: unknown; readonly depth: number }[] = [{ value: plain, depth: 0 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, depth } = next;
    values += 1;
    if (values > limits.values) return refused(`more than ${limits.values} values at once`);
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= limits.depth) return refused(`nested more than ${limits.depth} levels deep`);
    const inner: readonly unknown[] = Array.isArray(value) ? value : Object.values(value);
    if (Array.isArray(value) && inner.length > limits.list) return refused(`a list of ${inner.length}, where ${limits.list} is the most`);
    if (!Array.isArray(value) && inner.length > limits.keys) return refused(`an object of ${inner.length} fields, where ${limits.keys} is the most`);
    const named = NOT_FIELDS.find((name) => Object.hasOwn(value, name));
    if (named !== undefined) return refused(`a field called ${named}, which is no field of anything`);
    for (const item of inner) open.push({ value: item, depth: depth + 1 });
  }
  return null;
}
