// Puts each change a slip of the keyboard could make to the tests, in what gates a sealed vessel, a dose, a verdict or a
// caution, and fails when too many go unseen. `node tools/mutate.mjs [group …]`
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, say } from './lib.mjs';

/** Sources that are changed, and the tests that must notice: few, so that a change is tried in seconds. */
const GROUPS = {
  bottle: {
    mutate: ['bottle/sealed-gas', 'bottle/bottle-safety', 'bottle/co2-solubility', 'bottle/priming-sugar', 'cellar/ready-window'],
    tests: ['bottle/bottle', 'bottle/bottle-safety', 'bottle/sealed-gas'],
  },
  sealing: {
    mutate: ['log/sealing', 'log/bottling-check', 'log/check-entry', 'log/sealed-gas-of', 'finish/stabilise-dose'],
    tests: ['log/sealing', 'log/seal-way', 'log/sealed-gas-of', 'log/bottling-check', 'log/check-entry', 'finish/stabilise-dose'],
  },
  verdict: {
    mutate: ['ferment/judge-fermentation', 'ferment/fitted-fall'],
    tests: ['ferment/ferment', 'ferment/judge-bounds', 'ferment/judge-counted', 'ferment/fitted-fall', 'ferment/verdict-words'],
  },
  dose: { mutate: ['adjust/sulfite-dose', 'yeast/pitch-cautions', 'yeast/pitch-rate'], tests: ['adjust/sulfite-dose', 'yeast/pitch'] },
  room: { mutate: ['rack/headspace', 'care/blow-off-risk'], tests: ['rack/rack', 'rack/room-for-foam', 'care/care'] },
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
