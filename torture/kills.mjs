// Killed while writing, backing up, restoring, taking an archive in and being upgraded: nothing acknowledged is lost,
// nothing is there twice, and every folder starts again.
import { cpSync, existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../tools/lib.mjs';
import {
  ask,
  entry,
  entryIds,
  fill,
  float,
  launch,
  newBatch,
  note,
  pause,
  rawGravity,
  removeFolder,
  seeded,
  staleSummaries,
  supply,
  tally,
  tempFolder,
  up,
  vessel,
} from './lib.mjs';

/** The step before the newest one that changed the log's table. */
const OLD_STEP = '0006-mark-made-up-readings';

async function checkSummaries(url, report) {
  const stale = await staleSummaries(url);
  report.check(stale.length === 0, 'a summary was not what its log folds into', stale.join(' '));
}

async function serverParts() {
  const from = (path) => import(join(ROOT, 'packages/server/dist', path));
  const [{ connect }, { initModels }, { createMigrator }, { examineBook }] = await Promise.all([
    from('db/connect.js'),
    from('book/init-models.js'),
    from('migrations/index.js'),
    from('book/file/examine-book.js'),
  ]);
  return { connect, initModels, createMigrator, examineBook };
}

/** A cellar as an older Trug left it. */
async function makeOldCellar({ connect, initModels, createMigrator }, entries) {
  const folder = tempFolder('old');
  const sequelize = connect({ file: join(folder, 'trug.sqlite') });
  initModels(sequelize);
  await createMigrator(sequelize).up({ to: OLD_STEP });
  const batch = newBatch('Old');
  await sequelize.query('INSERT INTO batches (id, name, method_id, tape, started_at) VALUES (?, ?, ?, ?, ?)', {
    replacements: [batch.id, batch.name, batch.methodId, batch.tape, batch.startedAt],
  });
  const log = [fill(batch.id), ...Array.from({ length: entries }, (_none, i) => note(batch.id, `old ${i}`))];
  for (const { id, batchId, kind, at, writtenAt, note: said, payload } of log) {
    await sequelize.query('INSERT INTO entries (id, batch_id, kind, at, written_at, note, payload) VALUES (?, ?, ?, ?, ?, ?, ?)', {
      replacements: [id, batchId, kind, at, writtenAt, said, JSON.stringify(payload)],
    });
  }
  await sequelize.close();
  return { folder, ids: log.map((e) => e.id) };
}

const sorted = (ids) => [...ids].sort();
const same = (a, b) => a.length === b.length && a.every((id, i) => id === b[i]);

/** One cellar that is killed again and again, at whatever it does. */
async function lane({ rounds, seed, parts, report }) {
  const chance = seeded(seed);
  const folder = tempFolder('kill');
  const known = new Set();
  const sent = [];
  const cards = new Set();
  let server = await up(folder);
  const batch = newBatch('Killed');
  const first = fill(batch.id);
  if ((await ask(server.url, 'POST', '/api/batches', { batches: [batch], entries: [first] })).status === 201) known.add(first.id);
  const device = float(batch.id);
  await ask(server.url, 'POST', '/api/instruments', device);

  const write = async (url) => {
    for (;;) {
      const kind = chance.below(10);
      if (kind < 6) {
        const made =
          kind === 0
            ? entry(batch.id, 'reading', { gravity: rawGravity(1.04), ph: null, taGPerL: null, placeC: null, insistedOn: [], bubbles: null, smell: null })
            : note(batch.id, `note ${chance.next()}`);
        sent.push(made);
        const { status } = await ask(url, 'POST', '/api/entries', { entries: [made] });
        if (status === 201 || status === 200) known.add(made.id);
        if (status === 0) return;
        if (status >= 500) report.check(false, 'a write was answered with a fault', status);
      } else if (kind < 8) {
        const card = supply(`sugar ${chance.below(1000)}`);
        const { status } = await ask(url, 'POST', '/api/supplies', card);
        if (status === 201) cards.add(card.id);
        if (status === 0) return;
      } else {
        const { status } = await ask(
          url,
          'POST',
          kind === 8 ? '/api/vessels' : `/api/devices/${device.id}/readings`,
          kind === 8 ? vessel(`Jar ${chance.below(1000)}`) : { at: 1790000000 + chance.below(1e6), sg: 1.04 },
        );
        if (status === 0) return;
      }
    }
  };

  /** Brings the ids of the book to a state before, while it is killed; either state is right, nothing between. */
  const goBack = async (prepare, act) => {
    const before = await entryIds(server.url);
    const prepared = await prepare();
    const after = Array.from({ length: 3 }, (_none, i) => note(batch.id, `late ${i}`));
    const { status } = await ask(server.url, 'POST', '/api/entries', { entries: after });
    report.check(status === 201, 'a late entry was refused', status);
    const now = sorted([...before, ...after.map((e) => e.id)]);
    const acting = act(prepared);
    await pause(chance.below(400));
    await server.kill();
    const [answered] = await Promise.all([acting]);
    server = await up(folder);
    const there = await entryIds(server.url);
    const restored = same(there, before);
    report.check(restored || same(there, now), 'a book was neither the old nor the new one', `${there.length} of ${before.length} or ${now.length}`);
    if (answered === 200) report.check(restored, 'an acknowledged restore was not there');
    await checkSummaries(server.url, report);
    known.clear();
    for (const id of there) known.add(id);
    cards.clear();
    sent.length = 0;
  };

  for (let round = 0; round < rounds; round += 1) {
    const doing = ['write', 'write', 'backup', 'restore', 'import'][round % 5];
    if (doing === 'restore') {
      await goBack(
        async () => (await ask(server.url, 'POST', '/api/cellar/backups', {})).json().name,
        async (name) => (await ask(server.url, 'POST', '/api/cellar/restore', { source: 'backup', name })).status,
      );
      continue;
    }
    if (doing === 'import') {
      await goBack(
        async () => new Uint8Array(await (await fetch(`${server.url}/api/cellar/archive`)).arrayBuffer()),
        async (zip) => {
          const looked = await ask(server.url, 'POST', '/api/cellar/archive', zip, { 'content-type': 'application/zip' });
          if (looked.status !== 200) return looked.status;
          return (await ask(server.url, 'POST', '/api/cellar/restore', { source: 'import', name: looked.json().name })).status;
        },
      );
      continue;
    }
    const writers = [write(server.url), write(server.url)];
    if (doing === 'backup') writers.push(ask(server.url, 'POST', '/api/cellar/backups', {}));
    await pause(30 + chance.below(doing === 'backup' ? 500 : 300));
    await server.kill();
    await Promise.all(writers);
    server = await up(folder);
    const there = await entryIds(server.url);
    const set = new Set(there);
    for (const id of known) report.check(set.has(id), 'an acknowledged entry was lost', id);
    report.check(set.size === there.length, 'an entry was there twice');
    const supplies = new Set((await ask(server.url, 'GET', '/api/supplies')).json().map((c) => c.id));
    for (const id of cards) report.check(supplies.has(id), 'an acknowledged card was lost', id);
    // What was sent last and not answered is sent again: it must be taken once.
    for (const again of sent.slice(-5)) {
      const { status } = await ask(server.url, 'POST', '/api/entries', { entries: [again] });
      report.check(status === 200 || status === 201, 'a repeat was refused', status);
      known.add(again.id);
    }
    const twice = await entryIds(server.url);
    report.check(new Set(twice).size === twice.length, 'a repeat was there twice');
    await checkSummaries(server.url, report);
  }
  const backups = join(folder, 'backups');
  for (const name of existsSync(backups) ? readdirSync(backups).filter((n) => n.endsWith('.sqlite')) : []) {
    report.check((await parts.examineBook(join(backups, name), 'whole')).is === 'sound', 'a backup of a whole name was not whole', name);
  }
  const stopMs = await server.stop();
  report.check(stopMs < 5000, 'a stop took longer than five seconds', stopMs);
  removeFolder(folder);
}

/** Upgrades that are killed on their way. */
async function upgrades({ rounds, seed, parts, report }) {
  const chance = seeded(seed);
  const old = await makeOldCellar(parts, 60);
  for (let done = 0; done < rounds; ) {
    const folder = tempFolder('upgrade');
    cpSync(old.folder, folder, { recursive: true });
    // Most of a start is loading code: the steps themselves are short, so the killing begins where they do.
    for (let kill = 0; kill < 3 && done < rounds; kill += 1, done += 1) {
      const server = launch(folder);
      await Promise.race([server.ready, pause(250 + chance.below(900))]);
      await server.kill();
    }
    const server = await up(folder);
    const { json } = await ask(server.url, 'GET', '/api/batches?with=logs');
    const ids = json().flatMap((b) => b.entries.map((e) => e.id));
    report.check(same(ids, old.ids), 'an upgrade lost an entry or the order of the log', ids.length);
    await checkSummaries(server.url, report);
    await server.stop();
    const kept = existsSync(join(folder, 'kept')) ? readdirSync(join(folder, 'kept')).filter((n) => n.startsWith('before-') && n.endsWith('.sqlite')) : [];
    report.check(kept.length > 0, 'no copy was kept before an upgrade');
    for (const name of kept)
      report.check((await parts.examineBook(join(folder, 'kept', name), 'whole')).is === 'sound', 'a copy before an upgrade was not whole', name);
    removeFolder(folder);
  }
  removeFolder(old.folder);
}

/** So many kills, a fifth of them in upgrades, on two cellars side by side. */
export async function kills({ rounds, seed }) {
  const report = tally();
  const parts = await serverParts();
  const [ups, each] = [Math.ceil(rounds / 5), Math.ceil((rounds * 2) / 5)];
  await Promise.all([
    lane({ rounds: each, seed, parts, report }),
    lane({ rounds: each, seed: seed + 1, parts, report }).then(() => upgrades({ rounds: ups, seed: seed + 2, parts, report })),
  ]);
  return { did: `${each * 2 + ups} kills`, wrong: report.wrong() };
}
