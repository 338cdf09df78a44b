// What a page needs leaves with it: the builder names ten chunks in index.html and leaves the rest, the largest among them, to be found one
// import after another. All that main needs is named there; what the shelf needs besides is left beside it for the server to name.
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { withImports } from './chunks.mjs';

const DIST = 'dist';
const largestFirst = (files) => [...files].sort((a, b) => statSync(join(DIST, b)).size - statSync(join(DIST, a)).size);

const scripts = readdirSync(DIST).filter((file) => file.endsWith('.js'));
const only = (name) => {
  const [file, ...others] = scripts.filter((script) => script.startsWith(`${name}-`));
  if (file === undefined || others.length > 0) throw new Error(`there must be one ${name} script, not ${[file, ...others].join(', ')}`);
  return file;
};
const main = withImports(DIST, only('main'));
const shelf = [...withImports(DIST, only('shelf'))].filter((file) => !main.has(file));

const links = largestFirst(main)
  .map((file) => `<link rel="modulepreload" href="${file}">`)
  .join('');
const html = readFileSync(join(DIST, 'index.html'), 'utf8').replaceAll(/<link rel="modulepreload"[^>]*>/g, '');
// Before what is asked of the book: nothing is drawn without the script, and a browser asks for six things at a time.
writeFileSync(join(DIST, 'index.html'), html.replace('<link rel="preload"', `${links}<link rel="preload"`));
writeFileSync(join(DIST, 'preloads.json'), JSON.stringify({ shelf: [...largestFirst(main), ...largestFirst(shelf)] }));
