// A damaged, cut, emptied, vanished or newer book, and a disk that is full, read-only or gone: said in words, nothing
// silently lost, nothing made worse.
import { spawnSync } from 'node:child_process';
import { cpSync, openSync, readdirSync, readFileSync, renameSync, rmSync, statSync, truncateSync, writeFileSync, writeSync, closeSync } from 'node:fs';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { ask, entryIds, fill, launch, newBatch, note, pause, removeFolder, seeded, supply, tally, tempFolder, up } from './lib.mjs';

const BOOK = 'trug.sqlite';

async function makeCellar() {
  const folder = tempFolder('damage');
  const server = await up(folder);
  const batch = newBatch('Damaged');
  const log = [fill(batch.id), ...Array.from({ length: 150 }, (_none, i) => note(batch.id, `remember ${i}`))];
  await ask(server.url, 'POST', '/api/batches', { batches: [batch], entries: log.slice(0, 100) });
  await ask(server.url, 'POST', '/api/entries', { entries: log.slice(100) });
  for (let i = 0; i < 20; i += 1) await ask(server.url, 'POST', '/api/supplies', supply(`sugar ${i}`));
  await ask(server.url, 'POST', '/api/cellar/backups', {});
  await server.stop();
  return { folder, batch, said: new Map(log.slice(1).map((e) => [e.id, e.payload.text])), ids: log.map((e) => e.id) };
}

function garble(file, chance) {
  const handle = openSync(file, 'r+');
  const bytes = Buffer.from(Array.from({ length: 1 + chance.below(48) }, () => chance.below(256)));
  writeSync(handle, bytes, 0, bytes.length, chance.below(statSync(file).size - bytes.length));
  closeSync(handle);
}

/** Starts on a damaged copy and looks whether everything lost is also told. */
async function lookAt(folder, made, report, what) {
  const server = launch(folder);
  const first = await server.ready;
  report.check(first.url !== undefined, `a folder did not start: ${what}`, JSON.stringify(first));
  if (first.url === undefined) return null;
  const { url } = first;
  const status = (await ask(url, 'GET', '/api/cellar')).json();
  const batches = await ask(url, 'GET', '/api/batches?with=logs');
  report.check(
    batches.status === 200 || (batches.status === 503 && status.mode === 'closed'),
    `batches were answered with a fault: ${what}`,
    `${batches.status} ${batches.text}`,
  );
  if (batches.status === 200) {
    const log = batches.json().flatMap((b) => b.entries);
    const unreadable = new Set(batches.json().flatMap((b) => (b.unreadable ?? []).map((r) => r.id)));
    for (const e of log)
      report.check(!made.said.has(e.id) || e.payload.text === made.said.get(e.id), `an entry said something else than was written: ${what}`, e.payload.text);
    const there = new Set(log.map((e) => e.id));
    const silent = made.ids.filter((id) => !there.has(id) && !unreadable.has(id));
    report.check(status.mode !== 'open' || silent.length === 0, `entries were lost and nobody was told: ${what}`, silent.length);
    if (status.mode === 'salvaged') {
      const refused = await ask(url, 'POST', '/api/entries', { entries: [note(made.batch.id, 'no')] });
      report.check(refused.status === 503, `a damaged book was written into: ${what}`, refused.status);
    } else if (status.mode === 'open') {
      const taken = await ask(url, 'POST', '/api/entries', { entries: [note(made.batch.id, 'still')] });
      report.check(taken.status === 201 || taken.status === 422, `an open book took no more writes: ${what}`, `${taken.status} ${taken.text}`);
    }
  }
  if (status.mode !== 'open') {
    report.check(typeof status.why === 'string' && status.why.length > 20, `damage was not told in words: ${what}`);
    const [backup] = status.backups;
    report.check(backup !== undefined, `no backup was offered: ${what}`);
    const restored = await ask(url, 'POST', '/api/cellar/restore', { source: 'backup', name: backup?.name ?? '' });
    report.check(restored.status === 200 && restored.json().mode === 'open', `the backup could not be put in place: ${what}`, restored.text);
    const there = await entryIds(url);
    report.check(there.length === made.ids.length, `the backup did not bring everything back: ${what}`, there.length);
  }
  await server.stop();
  return status.mode;
}

async function exec(file, sql) {
  const database = new sqlite3.Database(file);
  await new Promise((resolve, reject) => database.exec(sql, (error) => (error ? reject(error) : resolve())));
  await new Promise((resolve) => database.close(resolve));
}

/** On a disk of its own that is full, then has room again; then can only be read. Needs to be allowed to mount one. */
async function disks(report) {
  const disk = tempFolder('disk');
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=2m', 'tmpfs', disk], { stdio: 'ignore' }).status !== 0) {
    removeFolder(disk);
    return 'no disks (this user may not mount one)';
  }
  try {
    const folder = join(disk, 'cellar');
    const server = await up(folder);
    const batch = newBatch('Full');
    await ask(server.url, 'POST', '/api/batches', { batches: [batch], entries: [fill(batch.id)] });
    const filler = join(disk, 'filler');
    writeFileSync(filler, '');
    const known = [];
    // The disk fills up while it is written on.
    const handle = openSync(filler, 'a');
    try {
      for (;;) writeSync(handle, Buffer.alloc(4096));
    } catch {
      closeSync(handle);
    }
    let refused = null;
    for (let i = 0; i < 400 && refused === null; i += 1) {
      const made = note(batch.id, `n ${i} ${'x'.repeat(3000)}`);
      const { status, text } = await ask(server.url, 'POST', '/api/entries', { entries: [made] });
      if (status === 201) known.push(made.id);
      else refused = { status, text };
    }
    report.check(refused?.status === 507 && /disk is full/i.test(refused.text), 'a full disk was not told in words', JSON.stringify(refused));
    report.check((await ask(server.url, 'GET', '/api/batches?with=logs')).status === 200, 'a full disk stopped reading');
    rmSync(filler);
    const after = note(batch.id, 'there is room again');
    const again = await ask(server.url, 'POST', '/api/entries', { entries: [after] });
    report.check(again.status === 201, 'it did not go on once there was room', `${again.status} ${again.text}`);
    const there = new Set(await entryIds(server.url));
    report.check(
      [...known, after.id].every((id) => there.has(id)),
      'a full disk lost what was acknowledged',
    );
    await server.stop();
    spawnSync('mount', ['-o', 'remount,ro', disk]);
    const readOnly = await launch(folder).ended;
    report.check(readOnly.code === 1 && readOnly.said.trim().split('\n').length === 1, 'a read-only disk was not told in one sentence', readOnly.said);
    spawnSync('mount', ['-o', 'remount,rw', disk]);
    const back = await up(folder);
    report.check((await entryIds(back.url)).length === there.size, 'a read-only disk lost something');
    await back.stop();
    return 'a full and a read-only disk';
  } finally {
    spawnSync('umount', ['-l', disk]);
    removeFolder(disk);
  }
}

/** The folder is taken away while Trug runs, and put back. */
async function goneAndBack(made, report) {
  const folder = tempFolder('gone');
  cpSync(made.folder, folder, { recursive: true });
  const server = await up(folder);
  const away = `${folder}-away`;
  // A copy comes back, as from another disk: the files are the same, the folder is another.
  cpSync(folder, away, { recursive: true, filter: (path) => !path.endsWith('trug.lock') });
  rmSync(folder, { recursive: true });
  const lost = await ask(server.url, 'POST', '/api/entries', { entries: [note(made.batch.id, 'into the void')] });
  report.check(lost.status === 503 && /gone/.test(lost.text), 'a write into a folder that is gone was not refused', `${lost.status} ${lost.text}`);
  renameSync(away, folder);
  let status = 0;
  const back = note(made.batch.id, 'back again');
  for (let i = 0; i < 40 && status !== 201; i += 1) {
    await pause(250);
    ({ status } = await ask(server.url, 'POST', '/api/entries', { entries: [back] }));
  }
  report.check(status === 201, 'it did not go on once the folder was back', status);
  await server.stop();
  const again = await up(folder);
  const there = await entryIds(again.url);
  report.check(there.includes(back.id), 'what was written after the folder came back is not in it');
  await again.stop();
  removeFolder(folder);
}

/** The lowest handle a process has free, once it opens and closes none any more. */
async function lowestFreeHandle(pid) {
  const open = () => readdirSync(`/proc/${pid}/fd`);
  let before = open();
  for (let left = 50; left > 0; left -= 1) {
    await pause(100);
    const now = open();
    if (now.join() === before.join()) {
      const taken = new Set(now.map(Number));
      let free = 0;
      while (taken.has(free)) free += 1;
      return free;
    }
    before = now;
  }
  throw new Error('the server does not come to rest');
}

/** A machine that has no more files to give out, and then has some again. */
async function outOfHandles(report) {
  const folder = tempFolder('handles');
  const server = await up(folder);
  const pid = String(server.child.pid);
  const batch = newBatch('Handles');
  await ask(server.url, 'POST', '/api/batches', { batches: [batch], entries: [fill(batch.id)] });
  // Room for one more connection of this client, whose first is among what is open, and for nothing else.
  const limit = (await lowestFreeHandle(pid)) + 1;
  const limited = spawnSync('prlimit', ['--pid', pid, `--nofile=${limit}:`], { stdio: 'ignore' }).status === 0;
  if (!limited) {
    await server.kill();
    removeFolder(folder);
    return 'no handles (this machine cannot limit them)';
  }
  const refused = await ask(server.url, 'POST', '/api/cellar/backups', {});
  report.check(refused.status === 503 && /no more files/.test(refused.text), 'no handles were not told in words', `${refused.status} ${refused.text}`);
  report.check((await ask(server.url, 'GET', '/api/batches?with=logs')).status === 200, 'without handles reading stopped');
  spawnSync('prlimit', ['--pid', pid, '--nofile=1024:']);
  const again = await ask(server.url, 'POST', '/api/cellar/backups', {});
  report.check(again.status === 201, 'it did not go on once there were handles again', `${again.status} ${again.text}`);
  await server.stop();
  removeFolder(folder);
  return 'no handles left';
}

/** An archive of more than it takes is refused in words that reach whoever sends it, each time, and changes nothing. */
async function hugeArchive(made, report) {
  const folder = tempFolder('huge');
  cpSync(made.folder, folder, { recursive: true });
  const server = await up(folder);
  const before = readFileSync(join(folder, BOOK));
  const body = new Uint8Array(201e6);
  body.set([0x50, 0x4b, 3, 4]);
  for (let i = 0; i < 5; i += 1) {
    const refused = await ask(server.url, 'POST', '/api/cellar/archive', body, { 'content-type': 'application/zip' });
    report.check(
      refused.status === 413 && /larger than 200 MB/.test(refused.text),
      'a huge archive was not refused in words',
      `${refused.status} ${refused.text}`,
    );
  }
  report.check(readdirSync(join(folder, 'imports')).length === 0, 'a huge archive left something behind');
  report.check(readFileSync(join(folder, BOOK)).equals(before), 'a huge archive changed the book');
  await server.stop();
  removeFolder(folder);
}

export async function damage({ places, seed }) {
  const report = tally();
  const chance = seeded(seed);
  const made = await makeCellar();
  const copy = () => {
    const folder = tempFolder('copy');
    cpSync(made.folder, folder, { recursive: true });
    return folder;
  };
  const modes = {};
  for (let i = 0; i < places; i += 1) {
    const folder = copy();
    garble(join(folder, BOOK), chance);
    const mode = await lookAt(folder, made, report, `garbled, place ${i}`);
    modes[mode] = (modes[mode] ?? 0) + 1;
    removeFolder(folder);
  }
  const size = statSync(join(made.folder, BOOK)).size;
  for (const [what, spoil] of [
    ['cut in the middle', (f) => truncateSync(join(f, BOOK), Math.floor(size / 2))],
    ['cut at the end', (f) => truncateSync(join(f, BOOK), size - 100)],
    ['cut to its head', (f) => truncateSync(join(f, BOOK), 100)],
    ['emptied', (f) => truncateSync(join(f, BOOK), 0)],
    ['vanished', (f) => rmSync(join(f, BOOK))],
    ['something else', (f) => writeFileSync(join(f, BOOK), 'Dear diary, today I pressed apples.'.repeat(200))],
  ]) {
    const folder = copy();
    spoil(folder);
    await lookAt(folder, made, report, what);
    removeFolder(folder);
  }
  const newer = copy();
  await exec(join(newer, BOOK), "INSERT INTO sequelize_meta (name) VALUES ('9999-of-the-future'); PRAGMA wal_checkpoint(TRUNCATE);");
  const before = readFileSync(join(newer, BOOK));
  const refused = await launch(newer).ended;
  report.check(refused.code === 1 && /newer Trug/.test(refused.said), 'a newer book was not refused in words', JSON.stringify(refused));
  report.check(readFileSync(join(newer, BOOK)).equals(before), 'a newer book was touched');
  removeFolder(newer);
  const taken = copy();
  const holder = await up(taken);
  const seconds = await Promise.all([0, 1, 2].map(() => launch(taken).ended));
  report.check(
    seconds.every((s) => s.code === 1 && /already runs/.test(s.said)),
    'a second Trug on one folder was not refused',
    JSON.stringify(seconds[0]),
  );
  await holder.stop();
  const race = [0, 1, 2, 3].map(() => launch(taken));
  const first = await Promise.all(race.map((r) => r.ready));
  report.check(first.filter((f) => f.url !== undefined).length === 1, 'of four that start at once, not exactly one got the folder', JSON.stringify(first));
  for (const r of race) await r.kill();
  removeFolder(taken);
  const file = tempFolder('file');
  writeFileSync(join(file, 'not-a-folder'), '');
  const noFolder = await launch(join(file, 'not-a-folder', 'cellar')).ended;
  report.check(noFolder.code === 1 && noFolder.said.trim().split('\n').length === 1, 'a folder that cannot be was not told in one sentence', noFolder.said);
  removeFolder(file);
  await goneAndBack(made, report);
  await hugeArchive(made, report);
  const handlesTried = await outOfHandles(report);
  const disksTried = await disks(report);
  removeFolder(made.folder);
  return {
    did: `${places} garbled (${Object.entries(modes)
      .map(([mode, n]) => `${n} ${mode}`)
      .join(', ')}), 6 spoiled, newer, taken, gone, a huge archive, ${handlesTried}, ${disksTried}`,
    wrong: report.wrong(),
  };
}
