// What a built script brings: read off the scripts themselves.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What a script imports at once, by itself. */
export const importsOf = (dist, file) =>
  [...readFileSync(join(dist, file), 'utf8').matchAll(/(?:from|import)\s*"\.\/([\w.-]+\.js)"/g)].map(([, chunk]) => chunk);

/** A script with everything it imports at once. */
export function withImports(dist, file) {
  const found = new Set([file]);
  for (const name of found) for (const chunk of importsOf(dist, name)) found.add(chunk);
  return found;
}
