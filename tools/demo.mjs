// A made-up season in a throw-away folder, made through the same API that people use.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ROOT, run, say, startBuiltServer, untilStopped } from './lib.mjs';

ensureBuild();
const data = mkdtempSync(join(tmpdir(), 'trug-demo-'));
const server = await startBuiltServer({ env: { TRUG_DATA: data, TRUG_LOG: process.env.TRUG_LOG ?? 'warn' }, stdio: 'ignore' });
run(process.execPath, [join(ROOT, 'packages/server/dist/demo/main.js'), server.url]);
say(`\nTrug’s demo season is at ${server.url}\nIt is a throw-away copy: what you change is gone when you stop it with Ctrl+C.`);
await untilStopped(server);
rmSync(data, { recursive: true, force: true });
