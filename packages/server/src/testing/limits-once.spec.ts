import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const PACKAGES = join(__dirname, '../../..');
const sources = (folder: string): readonly string[] =>
  readdirSync(join(PACKAGES, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.spec.ts'))
    .map((file) => join(PACKAGES, folder, file));

describe('what a figure may be', () => {
  it.each(['contract/src', 'web/src/app', 'server/src'])('is written in the core, and nowhere in %s', (folder) => {
    const files = sources(folder);
    expect(files.length).toBeGreaterThan(10);
    const written = files.filter((file) => /\bmin: *-?\d|@Min\(-?\d|@Max\(-?\d/.test(readFileSync(file, 'utf8')));
    expect(written.map((file) => file.slice(PACKAGES.length))).toEqual([]);
  });
});
