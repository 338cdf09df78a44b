// What a page needs leaves with it: the builder names ten chunks in index.html and leaves the rest, the largest among them, to be found one
// import after another. All that main needs is named there; what the shelf needs besides is left beside it for the server to name.
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const DIST = 'dist';
const source = (file) => readFileSync(join(DIST, file), 'utf8');
const largestFirst = (files) => [...files].sort((a, b) => statSync(join(DIST, b)).size - statSync(join(DIST, a)).size);

/** A script with everything it imports at once. */
function closureOf(file) {
  const found = new Set([file]);
  for (const name of found) {
    for (const [, chunk] of source(name).matchAll(/(?:from|import)\s*"\.\/([\w.-]+\.js)"/g)) found.add(chunk);
  }
  return found;
}

const scripts = readdirSync(DIST).filter((file) => file.endsWith('.js'));
const only = (name) => {
  const [file, ...others] = scripts.filter((script) => script.startsWith(`${name}-`));
  if (file === undefined || others.length > 0) throw new Error(`there must be one ${name} script, not ${[file, ...others].join(', ')}`);
  return file;
};
const main = closureOf(only('main'));
const shelf = [...closureOf(only('shelf'))].filter((file) => !main.has(file));

const links = largestFirst(main)
  .map((file) => `<link rel="modulepreload" href="${file}">`)
  .join('');
const html = source('index.html').replaceAll(/<link rel="modulepreload"[^>]*>/g, '');
writeFileSync(join(DIST, 'index.html'), html.replace(/<link rel="stylesheet"/, `${links}<link rel="stylesheet"`));
writeFileSync(join(DIST, 'preloads.json'), JSON.stringify({ shelf: largestFirst(shelf) }));
