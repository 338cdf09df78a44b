// The long run of everything that tries to break the book; `npm test` runs a short one.
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ROOT, run } from './lib.mjs';

const args = process.argv.slice(2);
const names = args.filter((a) => !a.startsWith('--'));
ensureBuild();
const chromium = ensureChromium();
if (names.length === 0 || names.some((n) => n !== 'forms')) run(process.execPath, [join(ROOT, 'torture/main.mjs'), ...args.filter((a) => a !== 'forms')]);
if (names.length === 0 || names.includes('forms')) {
  const env = { ...process.env, CHROMIUM_PATH: chromium, TRUG_LONG: '1' };
  run(join(ROOT, 'node_modules/.bin/jest'), ['--config', join(ROOT, 'e2e/jest.config.js'), '--testPathPatterns', 'once'], { env });
}
