// Tries to break what a record of years rests on. Minutes by itself; `--short` is what `npm test` runs.
// `node torture/main.mjs [--short] [--seed=N] [name …]`
import { say } from '../tools/lib.mjs';

const { kills } = await import('./kills.mjs');
const { fuzz } = await import('./fuzz.mjs');
const { damage } = await import('./damage.mjs');
const { strangers } = await import('./strangers.mjs');
const { stopping } = await import('./stopping.mjs');
const { clocks } = await import('./clocks.mjs');

const args = process.argv.slice(2);
const short = args.includes('--short');
const seed = Number(args.find((a) => a.startsWith('--seed='))?.slice(7) ?? 20);
const wanted = args.filter((a) => !a.startsWith('--'));

/** Each attempt with its long and its short measure. */
const ATTEMPTS = {
  kills: () => kills({ rounds: short ? 20 : 500, seed }),
  fuzz: () => fuzz({ requests: short ? 600 : 10_000, seed }),
  damage: () => damage({ places: short ? 6 : 50, seed }),
  strangers: () => strangers(),
  stopping: () => stopping(),
  clocks: () => clocks(),
};

let failed = 0;
for (const [name, attempt] of Object.entries(ATTEMPTS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const from = Date.now();
  // An attempt that cannot go on is told as what it is, and the others go on.
  const { did, wrong } = await attempt().catch((error) => ({ did: 'given up', wrong: [String(error?.stack ?? error)] }));
  say(`${wrong.length === 0 ? 'held ' : 'BROKE'}  ${name}: ${did}, ${Math.round((Date.now() - from) / 1000)} s`);
  for (const line of wrong) say(`       ${line}`);
  if (wrong.length > 0) failed += 1;
}
process.exit(failed === 0 ? 0 : 1);
