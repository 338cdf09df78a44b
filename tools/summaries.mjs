// Compares the summaries in TRUG_DATA with the logs they were made of. `npm run summaries -- --rebuild` makes them anew.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ROOT } from './lib.mjs';

ensureBuild();
const { status } = spawnSync(process.execPath, [join(ROOT, 'packages/server/dist/book/check-summaries.js'), ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(status ?? 1);
