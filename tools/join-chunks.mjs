// The builder cuts what pages share into as many scripts as there are sets of pages that share it: eighty for the shelf, most of them of a
// few hundred bytes, each asked for by itself. Here two are joined wherever asking once more costs more than what is sent for nothing.
import { readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { rolldown } from 'rolldown';
import { groupsOf } from './chunk-groups.mjs';
import { importsOf, withImports } from './chunks.mjs';

const DIST = 'dist';
/** How often a page is opened beside the others: the shelf first of all, and a batch at each thing that is done. Our estimate. */
const COUNTS = { shelf: 100, 'batch-page': 50 };
const countOf = (file) => COUNTS[file.replace(/-[A-Z0-9]{8}\.js$/, '')] ?? 1;

const scripts = readdirSync(DIST).filter((file) => file.endsWith('.js') && !file.startsWith('worker-'));
const [entry, ...others] = scripts.filter((file) => file.startsWith('main-'));
if (entry === undefined || others.length > 0) throw new Error(`there must be one main script, not ${scripts.join(', ')}`);
const main = withImports(DIST, entry);
const isShared = (file) => file.startsWith('chunk-') && !main.has(file);
const pages = scripts.filter((file) => !file.startsWith('chunk-') && !main.has(file));

const bytesOf = (file) => statSync(join(DIST, file)).size;
const group = groupsOf({
  pages: pages.map((file) => {
    const brings = [...withImports(DIST, file)].filter((other) => !main.has(other));
    return { counts: countOf(file), bytes: brings.reduce((sum, other) => sum + bytesOf(other), 0), brings: brings.filter(isShared) };
  }),
  chunks: scripts.filter(isShared).map((file) => ({ file, bytes: bytesOf(file), needs: importsOf(DIST, file).filter(isShared) })),
});

const bundle = await rolldown({
  input: { main: entry },
  // What the builder has written has nothing left to be shaken out or looked up.
  treeshake: false,
  preserveEntrySignatures: false,
  plugins: [
    {
      name: 'built-scripts',
      resolveId: (id) => id.replace(/^\.\//, ''),
      load: (id) => readFileSync(join(DIST, id), 'utf8'),
    },
  ],
});
const { output } = await bundle.generate({
  minify: { mangle: false, compress: false },
  hashCharacters: 'hex',
  entryFileNames: '[name]-[hash].js',
  chunkFileNames: ({ name }) => `${name.replace(/-[A-Z0-9]{8}$/, '')}-[hash].js`,
  codeSplitting: { includeDependenciesRecursively: false, groups: [{ name: (file) => group.get(file) ?? null }] },
});
await bundle.close();

for (const file of scripts) rmSync(join(DIST, file));
for (const { fileName, code } of output) writeFileSync(join(DIST, fileName), code);
const page = join(DIST, 'index.html');
writeFileSync(page, readFileSync(page, 'utf8').replaceAll(entry, output.find(({ isEntry }) => isEntry).fileName));
