// What the commands share: finding out what is missing on a fresh machine, and getting it with visible progress.
import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
const LEAST_NODE = [20, 19];

/** Says one line of progress. */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** Ends the command with a reason and a way out. */
export function giveUp(what, whatToDo) {
  process.stderr.write(`\n${what}\n${whatToDo}\n`);
  process.exit(1);
}

/** Seconds between two signs of life of something silent. */
const TELL_EVERY_S = 15;

/**
 * Runs something long and silent, and says every quarter of a minute what goes on and for how long: the work holds this process, so
 * another does the telling.
 */
export function telling(what, work) {
  say(`${what}…`);
  const from = Date.now();
  const teller = spawn(
    process.execPath,
    [
      '-e',
      `const from = Date.now(); setInterval(() => console.log('  still at it, ' + Math.round((Date.now() - from) / 1000) + ' s'), ${TELL_EVERY_S * 1000})`,
    ],
    { stdio: ['ignore', 'inherit', 'ignore'] },
  );
  try {
    work();
  } finally {
    teller.kill();
  }
  say(`  done in ${Math.round((Date.now() - from) / 1000)} s.`);
}

/** Runs a program to its end, its output passed through; gives up when it fails. */
export function run(program, args, options = {}) {
  const { status, error } = spawnSync(program, args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], ...options });
  if (error || status !== 0) giveUp(`${program} ${args.join(' ')} failed${error ? `: ${error.message}` : ''}.`, 'The lines above say why.');
}

export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1])) {
    giveUp(`Trug needs Node.js ${LEAST_NODE.join('.')} or newer; this is ${process.versions.node}.`, 'Install a newer Node.js and try again.');
  }
}

/** Installs packages when the lock file is newer than what is there. */
export function ensurePackages() {
  checkNode();
  const mark = join(ROOT, 'node_modules', '.package-lock.json');
  const native = join(ROOT, 'node_modules', 'sqlite3', 'build', 'Release', 'node_sqlite3.node');
  if (existsSync(native) && existsSync(mark) && statSync(mark).mtimeMs >= statSync(join(ROOT, 'package-lock.json')).mtimeMs - 60_000) return;
  telling('Installing packages, a minute or so', () => {
    // Not `npm ci`: it refuses a lock file that lacks other platforms' builds, which a registry mirror may not carry.
    run('npm', ['install', '--no-save', '--no-progress', '--loglevel=error']);
  });
  if (!existsSync(native)) telling('Compiling the database, about three minutes the first time', () => run('npm', ['rebuild', 'sqlite3', '--loglevel=error']));
  if (!existsSync(native)) giveUp('The sqlite3 package did not compile.', 'It needs python3, make and a C++ compiler. Install them and run the command again.');
}

function newestIn(folder) {
  let newest = 0;
  for (const item of readdirSync(folder, { withFileTypes: true })) {
    if (item.name === 'dist' || item.name === 'node_modules') continue;
    const path = join(folder, item.name);
    newest = Math.max(newest, item.isDirectory() ? newestIn(path) : statSync(path).mtimeMs);
  }
  return newest;
}

/** Builds a package when something it is made from is newer than what was built. */
function ensurePackage(name, mark, dependsOn) {
  const built = join(ROOT, 'packages', name, 'dist', mark);
  const sources = [name, ...dependsOn].map((p) => newestIn(join(ROOT, 'packages', p)));
  if (existsSync(built) && statSync(built).mtimeMs >= Math.max(...sources)) return;
  telling(`Building ${name}`, () => run('npm', ['run', 'build', '--silent', '-w', `@trug/${name}`], { env: { ...process.env, NG_CLI_ANALYTICS: 'false' } }));
}

/** Builds the core, contract and server, and the web app unless it is not wanted. */
export function ensureBuild({ web = true } = {}) {
  ensurePackages();
  ensurePackage('core', 'index.js', []);
  ensurePackage('contract', 'index.js', ['core']);
  ensurePackage('server', 'main.js', ['core', 'contract']);
  if (web) ensurePackage('web', 'index.html', ['core', 'contract']);
}

/** Where Debian puts it: the shell without a window does the same work with two thirds of the machine. */
const CHROMIUMS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium', '/usr/bin/chromium-browser'];
/** By which packages it comes; an older Debian has the whole browser only. */
const PACKAGES = ['chromium-headless-shell', 'chromium'];

/** Debian's Chromium: the one named, the one installed, or one fetched with apt where that is allowed. */
export function ensureChromium() {
  const named = process.env.CHROMIUM_PATH;
  if (named) {
    if (!existsSync(named)) giveUp(`CHROMIUM_PATH names ${named}, which is not there.`, 'Correct it or leave it out.');
    return named;
  }
  const usual = () => CHROMIUMS.find((path) => existsSync(path));
  if (!usual() && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    telling('Installing Debian’s Chromium for the browser tests', () => {
      run('apt-get', ['update', '-qq']);
      const [name] = PACKAGES.filter((found) => spawnSync('apt-cache', ['show', found], { stdio: 'ignore' }).status === 0);
      run('apt-get', ['install', '-y', '-qq', name ?? 'chromium'], { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
    });
  }
  return (
    usual() ??
    giveUp('There is no Chromium for the browser tests.', 'Install Debian’s package chromium-headless-shell or chromium, or name a Chromium in CHROMIUM_PATH.')
  );
}

/** How Debian's Chromium is started for tests, pictures and benchmarks: no sandbox as root, and nothing asked of the network. */
export const CHROMIUM_FLAGS = JSON.parse(readFileSync(join(ROOT, 'tools/chromium.json'), 'utf8')).flags;

/** A port nobody uses. */
export async function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

/** What `startBuiltServer` gives when something else answers on the port. */
export const PORT_TAKEN = Symbol('port taken');
const EXIT_PORT_TAKEN = 3;
const START_MS = 30_000;

/**
 * Starts the built server and waits until it answers, and until it is certain that it is the one that answers: another
 * Trug may run on the same port by another name of this machine.
 */
export async function startBuiltServer({ env = {}, stdio = 'inherit' } = {}) {
  const token = randomUUID();
  const all = { ...process.env, TRUG_WEB: join(ROOT, 'packages/web/dist'), ...env, TRUG_RUN: token };
  // In a process group of its own, so that Ctrl+C reaches it once, through here; over the channel it learns when this process has gone.
  const child = spawn(process.execPath, [join(ROOT, 'packages/server/dist/main.js')], { env: all, stdio: ['ignore', stdio, 'inherit', 'ipc'], detached: true });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code)));
  const listening = new Promise((resolve) => child.once('message', resolve));
  const late = new Promise((resolve) => setTimeout(() => resolve(null), START_MS).unref());
  const first = await Promise.race([listening, ended.then((code) => ({ code })), late]);
  if (first === null) {
    child.kill();
    return giveUp('Trug did not answer within half a minute.', 'Start it again; if it stays so, look at the lines above.');
  }
  if ('code' in first) {
    if (first.code === EXIT_PORT_TAKEN) return PORT_TAKEN;
    return giveUp('Trug did not start.', 'The line above says why.');
  }
  const answer = await fetch(`${first.url}/api/clock`).catch(() => null);
  if (answer?.headers.get('x-trug-run') !== token) {
    child.kill();
    await ended;
    return PORT_TAKEN;
  }
  return { child, url: first.url, ended, token };
}

/** Fills a running, empty Trug that was started here with the demo season. */
export async function makeDemoSeason({ url, token }) {
  run(process.execPath, [join(ROOT, 'packages/server/dist/demo/main.js'), url, token]);
}

/** Passes an interrupt on to the server, a second one too, and waits for its stop. */
export async function untilStopped({ child, ended }) {
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
  await ended;
}
