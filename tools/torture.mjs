// The long run of everything that tries to break the book; `npm test` runs a short one.
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ROOT, run } from './lib.mjs';

ensureBuild();
ensureChromium();
run(process.execPath, [join(ROOT, 'torture/main.mjs'), ...process.argv.slice(2)]);
