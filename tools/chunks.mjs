// What a built script brings: read off the scripts themselves.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** A script with everything it imports at once. */
export function withImports(dist, file) {
  const found = new Set([file]);
  for (const name of found) {
    for (const [, chunk] of readFileSync(join(dist, name), 'utf8').matchAll(/(?:from|import)\s*"\.\/([\w.-]+\.js)"/g)) found.add(chunk);
  }
  return found;
}
