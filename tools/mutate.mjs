// Puts each change a slip of the keyboard could make to the tests, in what gates a sealed vessel, a dose, a verdict or a
// caution, and fails when too many go unseen. `node tools/mutate.mjs [group …]`
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, say } from './lib.mjs';

/** Sources that are changed, and the tests that must notice: few, so that a change is tried in seconds. */
const GROUPS = {
  bottle: {
    mutate: [
      'finish/bottle/sealed-gas',
      'finish/bottle/bottle-safety',
      'finish/bottle/co2-solubility',
      'finish/bottle/priming-sugar',
      'finish/bottle/ready-window',
      'finish/bottle/heat-bottles',
      'finish/bottle/ways-to-hold',
    ],
    tests: ['finish/bottle/bottle', 'finish/bottle/bottle-safety', 'finish/bottle/sealed-gas', 'finish/bottle/heat-bottles', 'book/plan/bottling-plan'],
  },
  sealing: {
    mutate: [
      'book/state/sealing',
      'book/state/fruit-out',
      'book/state/bottling-check',
      'book/log/check-entry',
      'book/kinds/infused',
      'book/kinds/lifted',
      'book/kinds/primed',
      'book/kinds/bottled',
      'book/kinds/kegged',
      'book/kinds/tested',
      'book/kinds/stabilised',
      'book/state/sealed-gas-of',
      'finish/bottle/stabilise-dose',
      'finish/bottle/sorbate',
    ],
    tests: [
      'book/state/sealing',
      'book/state/seal-way',
      'book/state/sealed-gas-of',
      'book/state/bottling-check',
      'book/log/check-entry',
      'book/kinds/bottled',
      'book/kinds/infused',
      'book/kinds/tested',
      'book/kinds/kegged',
      'book/kinds/stabilised',
      'finish/bottle/stabilise-dose',
      'finish/steep/infusion-plan',
    ],
  },
  heat: {
    mutate: [
      'finish/bottle/hot-lot',
      'finish/bottle/heat-units',
      'finish/bottle/heat-profile',
      'book/kinds/heated',
      'book/state/heat-way',
      'book/state/crate-heat',
      'book/state/share-story',
    ],
    tests: ['book/kinds/heated', 'finish/bottle/heat-profile', 'finish/bottle/heat-bottles', 'book/state/share-story', 'book/state/heating-properties'],
  },
  again: {
    mutate: [
      'base/reference/own-bottle',
      'base/reference/own-bottle-id',
      'book/kinds/poured-back',
      'finish/bottle/fresh-yeast',
      'finish/bottle/priming-spread',
      'finish/rack/barrel-loss',
    ],
    tests: [
      'base/reference/own-bottle',
      'book/kinds/poured-back',
      'book/entry/entry-kinds',
      'finish/bottle/fresh-yeast',
      'finish/bottle/priming-spread',
      'finish/rack/barrel-loss',
    ],
  },
  right: {
    mutate: [
      'book/state/worked-from-must',
      'book/state/sugar-known',
      'book/kinds/sugar-moves',
      'book/cupboard/own-spoons',
      'book/log/what-follows',
      'book/entry/entry-amounts',
      'book/plan/split-plan',
      'finish/bottle/priming-sugar',
    ],
    tests: [
      'book/state/worked-from-must',
      'book/kinds/sugar-moves',
      'book/kinds/tested',
      'book/state/sealing',
      'book/cupboard/own-spoons',
      'book/log/what-follows',
      'book/entry/entry-amounts',
      'book/plan/split-plan',
      'finish/bottle/bottle',
    ],
  },
  verdict: {
    mutate: ['ferment/verdict/judge-fermentation', 'ferment/verdict/fitted-fall'],
    tests: [
      'ferment/verdict/ferment',
      'ferment/verdict/judge-bounds',
      'ferment/verdict/judge-counted',
      'ferment/verdict/fitted-fall',
      'ferment/verdict/verdict-words',
    ],
  },
  dose: {
    mutate: ['juice/adjust/sulfite-dose', 'ferment/yeast/pitch-cautions', 'ferment/yeast/pitch-rate'],
    tests: ['juice/adjust/sulfite-dose', 'ferment/yeast/pitch'],
  },
  room: { mutate: ['finish/rack/headspace', 'book/care/blow-off-risk'], tests: ['finish/rack/rack', 'finish/rack/room-for-foam', 'book/care/care'] },
};
const LEAST = 0.85;
const KILLED = new Set(['Killed', 'Timeout']);
const UNCOUNTED = new Set(['Ignored', 'CompileError', 'RuntimeError']);

const wanted = process.argv.slice(2);
let [killed, all] = [0, 0];
for (const [name, { mutate, tests }] of Object.entries(GROUPS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const { status } = spawnSync(
    process.execPath,
    [join(ROOT, 'node_modules/.bin/stryker'), 'run', '--mutate', mutate.map((file) => `packages/core/src/${file}.ts`).join(',')],
    { cwd: ROOT, env: { ...process.env, TRUG_MUTATE_TESTS: tests.join(',') }, stdio: ['ignore', 'ignore', 'inherit'] },
  );
  if (status !== 0) throw new Error(`the mutants of ${name} could not be tried`);
  const { files } = JSON.parse(readFileSync(join(ROOT, '.cache/mutation.json'), 'utf8'));
  for (const [file, { mutants, source }] of Object.entries(files)) {
    const counted = mutants.filter((m) => !UNCOUNTED.has(m.status));
    const unseen = counted.filter((m) => !KILLED.has(m.status));
    killed += counted.length - unseen.length;
    all += counted.length;
    say(`${file}: ${counted.length - unseen.length} of ${counted.length}`);
    const lines = source.split('\n');
    for (const { location, replacement, mutatorName } of unseen) {
      const { line, column } = location.start;
      const end = location.end.line === line ? location.end.column - 1 : undefined;
      say(`  ${line}: ${mutatorName}  ${lines[line - 1].slice(column - 1, end)}  →  ${replacement ?? ''}`);
    }
  }
}
say(`\n${killed} of ${all} noticed, ${((100 * killed) / all).toFixed(1)} %`);
process.exit(all > 0 && killed / all >= LEAST ? 0 : 1);
