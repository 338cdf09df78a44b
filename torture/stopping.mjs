// Told to stop while clients do their worst: it ends within five seconds, a second word ends it at once, and what was
// acknowledged is in the named file.
import { connect } from 'node:net';
import { copyFileSync, statSync, existsSync } from 'node:fs';
import { join } from 'node:path';
import { ask, entryIds, fill, newBatch, note, pause, removeFolder, tally, tempFolder, up } from './lib.mjs';

const MOST_MS = 5000;

export async function stopping() {
  const report = tally();
  for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) {
    const folder = tempFolder('stop');
    const server = await up(folder);
    const port = Number(new URL(server.url).port);
    const batch = newBatch('Stopped');
    await ask(server.url, 'POST', '/api/batches', { batches: [batch], entries: [fill(batch.id)] });
    const known = [];
    let stop = false;
    const poster = (async () => {
      while (!stop) {
        const made = note(batch.id, 'on and on');
        const { status } = await ask(server.url, 'POST', '/api/entries', { entries: [made] });
        if (status === 201) known.push(made.id);
        if (status === 0) return;
      }
    })();
    const half = connect(port, '127.0.0.1', () =>
      half.write(`POST /api/entries HTTP/1.1\r\nHost: localhost:${port}\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{"entr`),
    );
    const drip = connect(port, '127.0.0.1', () => drip.write(`GET /api/changes HTTP/1.1\r\nHost: localhost:${port}\r\n\r\n`));
    const headless = connect(port, '127.0.0.1', () => headless.write('GET /api'));
    for (const socket of [half, drip, headless]) socket.on('error', () => undefined);
    await pause(400);
    const from = Date.now();
    server.child.kill(signal);
    const { code } = await server.ended;
    const took = Date.now() - from;
    stop = true;
    await poster;
    for (const socket of [half, drip, headless]) socket.destroy();
    report.check(took < MOST_MS, `${signal}: it took longer than five seconds`, took);
    report.check(code === 0, `${signal}: it did not end cleanly`, code);
    const wal = join(folder, 'trug.sqlite-wal');
    report.check(!existsSync(wal) || statSync(wal).size === 0, `${signal}: something was left beside the named file`);
    // The named file alone is the whole.
    const alone = tempFolder('alone');
    copyFileSync(join(folder, 'trug.sqlite'), join(alone, 'trug.sqlite'));
    const again = await up(alone);
    const there = new Set(await entryIds(again.url));
    for (const id of known) report.check(there.has(id), `${signal}: an acknowledged entry was not in the named file`);
    await again.stop();
    removeFolder(folder);
    removeFolder(alone);
  }
  const folder = tempFolder('twice');
  const server = await up(folder);
  const hold = connect(Number(new URL(server.url).port), '127.0.0.1', () =>
    hold.write('POST /api/entries HTTP/1.1\r\nHost: localhost\r\nContent-Length: 9\r\n\r\n'),
  );
  hold.on('error', () => undefined);
  await pause(200);
  const from = Date.now();
  server.child.kill('SIGINT');
  await pause(50);
  server.child.kill('SIGINT');
  await server.ended;
  report.check(Date.now() - from < 700, 'a second word did not end it at once', Date.now() - from);
  hold.destroy();
  const back = await up(folder);
  await back.stop();
  removeFolder(folder);
  return { did: '3 signals with half-sent requests, open streams and an endless poster, and twice', wrong: report.wrong() };
}
