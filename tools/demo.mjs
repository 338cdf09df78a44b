// A made-up season in a throw-away folder, made through the same API that people use.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, makeDemoSeason, PORT_TAKEN, say, startBuiltServer, untilStopped } from './lib.mjs';

ensureBuild();
const data = mkdtempSync(join(tmpdir(), 'trug-demo-'));
const start = (env) => startBuiltServer({ env: { TRUG_DATA: data, TRUG_LOG: process.env.TRUG_LOG ?? 'warn', ...env }, stdio: 'ignore' });
let server = await start({});
if (server === PORT_TAKEN) {
  // One's own Trug may run there: it is left alone.
  say(`Port ${process.env.TRUG_PORT ?? 4680} is taken, perhaps by your own Trug. The demo takes another.`);
  server = await start({ TRUG_PORT: '0' });
}
await makeDemoSeason(server);
say(`\nTrug’s demo season is at ${server.url}\nIt is a throw-away copy: what you change is gone when you stop it with Ctrl+C.`);
await untilStopped(server);
rmSync(data, { recursive: true, force: true });
