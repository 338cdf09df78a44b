import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sampleBatch, sampleFill, sampleNote } from '../testing/sample-entries.js';
import { TODAY } from '../testing/test-server.js';

const BUILT_SERVER = join(__dirname, '../../dist/main.js');
const ENTRIES = 500;

async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}

async function start(port: number, dataDir: string): Promise<ChildProcess> {
  const env = { ...process.env, TRUG_PORT: String(port), TRUG_DATA: dataDir, TRUG_TODAY: TODAY, TRUG_LOG: 'silent', TRUG_WEB: '' };
  const child = spawn(process.execPath, [BUILT_SERVER], { env, stdio: 'ignore' });
  for (let i = 0; i < 600; i += 1) {
    if (
      await fetch(`http://localhost:${port}/api/clock`).then(
        (r) => r.ok,
        () => false,
      )
    )
      return child;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill('SIGKILL');
  throw new Error('the built server did not start; run the build first');
}

const post = async (url: string, body: unknown): Promise<boolean> =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }).then(
    (r) => r.ok,
    () => false,
  );

it(`loses no acknowledged entry of ${ENTRIES} when killed mid-writing, and repeats add none`, async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'trug-kill-'));
  const port = await freePort();
  const url = `http://localhost:${port}`;
  const batch = sampleBatch();
  const notes = Array.from({ length: ENTRIES }, (_, i) => sampleNote(batch.id, `note ${i}`));
  const acknowledged = new Set<string>();
  let child = await start(port, dataDir);
  await post(`${url}/api/batches`, { batches: [batch], entries: [sampleFill(batch.id)] });
  for (const note of notes) {
    // Killed with a request in flight, twice, at moments the writer does not choose.
    if (acknowledged.size === 150 || acknowledged.size === 350) {
      const dying = child;
      setTimeout(() => dying.kill('SIGKILL'), 2);
      if (await post(`${url}/api/entries`, { entries: [note] })) acknowledged.add(note.id);
      await new Promise((resolve) => (dying.exitCode === null && dying.signalCode === null ? dying.once('exit', resolve) : resolve(null)));
      child = await start(port, dataDir);
    }
    if (await post(`${url}/api/entries`, { entries: [note] })) acknowledged.add(note.id);
  }
  child.kill('SIGKILL');
  await new Promise((resolve) => child.once('exit', resolve));
  child = await start(port, dataDir);
  const stored = async (): Promise<string[]> =>
    ((await (await fetch(`${url}/api/batches/${batch.id}`)).json()) as { entries: { id: string }[] }).entries.map((e) => e.id);
  const after = await stored();
  expect(acknowledged.size).toBe(ENTRIES);
  expect([...acknowledged].filter((id) => !after.includes(id))).toEqual([]);
  for (const note of notes.slice(0, 50)) await post(`${url}/api/entries`, { entries: [note] });
  expect(await stored()).toHaveLength(ENTRIES + 1);
  child.kill('SIGTERM');
  expect(await new Promise((resolve) => child.once('exit', resolve))).toBe(0);
  rmSync(dataDir, { recursive: true, force: true });
}, 600_000);
