// Runs the parts of the test that are named, or all, and ends with one line that counts them.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ROOT, say } from './lib.mjs';

const wanted = process.argv.slice(2);
const bin = (name) => join(ROOT, 'node_modules', '.bin', name);
let passed = 0;
let failed = 0;
/** Told again at the end, where a long log is read first. */
const failures = [];

/** Of this many at once: more than there are cores only get in each other's way. */
const AT_ONCE = 2;
/** Checks that need nothing of one another, run beside each other. Each says what it has to say when it is done. */
const beside = [];
const later = (name, program, args) => beside.push({ name, program, args });

/** Of what a check said, the end: where it says what is wrong. */
const LINES_TOLD_AGAIN = 40;
const lastOf = (said) => said.trimEnd().split('\n').slice(-LINES_TOLD_AGAIN).join('\n');

async function runBeside() {
  const waiting = beside.splice(0);
  const worker = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const { status, said } = await outcome(next);
      say(`\n— ${next.name}\n${said.trimEnd()}`);
      if (status === 0) passed += 1;
      else {
        failed += 1;
        failures.push(`${next.name}, which ended so:\n${lastOf(said)}`);
      }
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
}

function outcome({ program, args }) {
  return new Promise((resolve) => {
    const child = spawn(program, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.once('error', (error) => resolve({ status: null, said: String(error) }));
    child.once('close', (status) => resolve({ status, said }));
  });
}

function jest(name, config, env = {}) {
  say(`\n— ${name}`);
  const results = join(ROOT, '.cache', `jest-${name.replace(/\W+/g, '-')}.json`);
  rmSync(results, { force: true });
  const { status } = spawnSync(
    process.execPath,
    ['--disable-warning=ExperimentalWarning', bin('jest'), '--config', config, '--json', '--outputFile', results],
    {
      cwd: ROOT,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
  if (!existsSync(results)) {
    failed += 1;
    failures.push(name);
    return;
  }
  const report = JSON.parse(readFileSync(results, 'utf8'));
  passed += report.numPassedTests;
  failed += report.numFailedTests + report.numRuntimeErrorTestSuites;
  for (const file of report.testResults.filter((r) => r.status === 'failed')) {
    const tests = file.assertionResults.filter((a) => a.status === 'failed');
    failures.push(
      ...(tests.length > 0
        ? tests.map((a) => `${a.fullName}: ${(a.failureMessages[0] ?? '').split('\n')[0]}`)
        : [`${file.name}: ${file.message.split('\n')[0]}`]),
    );
  }
  if (status !== 0 && report.numFailedTests + report.numRuntimeErrorTestSuites === 0) {
    failed += 1;
    failures.push(`${name}: ended with status ${status}`);
  }
}

mkdirSync(join(ROOT, '.cache'), { recursive: true });
ensureBuild({ web: wanted.includes('e2e') });
if (wanted.includes('torture')) {
  ensureChromium();
  later('short torture', process.execPath, [join(ROOT, 'torture/main.mjs'), '--short']);
}
if (wanted.includes('lint')) {
  later('lint', bin('eslint'), ['--concurrency', 'auto', '.']);
  later('imports', bin('depcruise'), ['packages/core/src', 'packages/contract/src', 'packages/server/src', 'packages/web/src/app']);
  later('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
}
if (wanted.includes('types')) {
  later('types of packages/web', bin('ngc'), ['-p', 'packages/web/tsconfig.spec.json', '--noEmit']);
  for (const part of ['packages/core', 'packages/contract', 'packages/server', 'e2e']) later(`types of ${part}`, bin('tsc'), ['-p', part, '--noEmit']);
}
await runBeside();
if (wanted.includes('unit')) {
  jest('unit tests', 'jest.config.js');
}
if (wanted.includes('e2e')) {
  const env = { CHROMIUM_PATH: ensureChromium() };
  jest('end-to-end tests', 'e2e/jest.config.js', env);
  jest('timed end-to-end tests', 'e2e/jest.timing.config.js', env);
}
for (const failure of failures) say(`failed: ${failure}`);
say(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
