import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeDemoSeason, startBuiltServer } from './lib.mjs';

/** The day on which pictures and benchmarks are made, so that they come out alike. */
const TODAY = '2026-11-23';

/** Runs a piece of work against an empty Trug of its own, on its own port and in its own folder. */
export async function withEmpty(work) {
  await withServer((server) => work(server.url));
}

/** Runs a piece of work against a demo season of its own, on its own port and in its own folder. */
export async function withDemo(work) {
  await withServer(async (server) => {
    await makeDemoSeason(server);
    await work(server.url);
  });
}

async function withServer(work) {
  const data = mkdtempSync(join(tmpdir(), 'trug-made-'));
  const server = await startBuiltServer({ env: { TRUG_DATA: data, TRUG_PORT: '0', TRUG_TODAY: TODAY, TRUG_LOG: 'silent' }, stdio: 'ignore' });
  try {
    await work(server);
  } finally {
    server.child.kill('SIGTERM');
    await server.ended;
    rmSync(data, { recursive: true, force: true });
  }
}
