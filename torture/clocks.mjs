// A clock that is 90 days ahead, then right again, then three hours back, for makers far east and far west: nothing is
// locked, what was filed last counts, and days are the maker's own.
import { effectiveEntries, replay, dayText } from '@trug/core';
import { ask, entry, fill, newBatch, rawGravity, removeFolder, tally, tempFolder, up } from './lib.mjs';

const RIGHT = '2026-11-23T09:00:00.000Z';
const AHEAD = '2027-02-21T09:00:00.000Z';
const BACK = '2026-11-23T06:00:00.000Z';
const ZONES = [
  // A moment of the evening before, and of the night after, the day it is in UTC.
  { zone: 'Etc/GMT+8', at: '2026-11-23T06:30:00.000Z', day: '22 Nov' },
  { zone: 'Etc/GMT-13', at: '2026-11-23T12:30:00.000Z', day: '24 Nov' },
];

const made = (batchId, kind, payload, at) => ({ ...entry(batchId, kind, payload), at, writtenAt: at });
const reading = (sg) => ({ gravity: rawGravity(sg), ph: null, taGPerL: null, placeC: 18, insistedOn: [], bubbles: null, smell: null });
const corrected = (batchId, of, payload, at, writtenAt) => ({
  ...made(batchId, 'corrected', { entryId: of.id, replacement: payload === null ? null : { kind: of.kind, at, note: '', payload } }, at),
  writtenAt,
});

async function oneMaker({ zone, at, day }, report) {
  const folder = tempFolder('clocks');
  const batch = newBatch('Turned');
  let server = await up(folder, { TRUG_TODAY: RIGHT });
  const file = async (...entries) => {
    const { status, text } = await ask(server.url, 'POST', '/api/entries', { entries });
    report.check(status === 201, `${zone}: an entry was refused`, `${status} ${text}`);
  };
  const turnTo = async (moment) => {
    await server.stop();
    server = await up(folder, { TRUG_TODAY: moment });
    report.check((await ask(server.url, 'GET', '/api/clock')).json().now === moment, `${zone}: the clock does not stand at ${moment}`);
  };
  const settings = (await ask(server.url, 'GET', '/api/settings')).json();
  await ask(server.url, 'PUT', '/api/settings', { ...settings, timeZone: zone, timeZoneChosen: true });
  const startedAt = '2026-11-01T09:00:00.000Z';
  const start = { ...fill(batch.id), at: startedAt, writtenAt: startedAt };
  await ask(server.url, 'POST', '/api/batches', { batches: [batch], entries: [start] });
  const pitch = made(batch.id, 'pitched', { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 }, '2026-11-02T09:00:00.000Z');
  await file(pitch);

  await turnTo(AHEAD);
  const wrong = made(batch.id, 'reading', reading(1.03), AHEAD);
  const junk = made(batch.id, 'note', { text: 'written by mistake' }, AHEAD);
  await file(wrong, junk);

  await turnTo(RIGHT);
  await file(made(batch.id, 'reading', reading(1.024), RIGHT));
  await file(corrected(batch.id, wrong, reading(1.03), at, RIGHT), corrected(batch.id, junk, null, RIGHT, RIGHT));

  await turnTo(BACK);
  // Written later, though its clock says earlier: it counts.
  await file(corrected(batch.id, wrong, reading(1.031), at, BACK));
  await file(made(batch.id, 'reading', reading(1.0235), BACK));

  const stored = (await ask(server.url, 'GET', `/api/batches/${batch.id}`)).json();
  const { entries } = effectiveEntries(stored.entries);
  const put = entries.find((e) => e.id === wrong.id);
  report.check(put?.payload.gravity.reading === 1.031, `${zone}: not what was filed last counts`, JSON.stringify(put));
  report.check(!entries.some((e) => e.id === junk.id), `${zone}: a line written ahead could not be struck out`);
  report.check(
    entries.every((e) => e.at <= '2026-11-24'),
    `${zone}: something still stands ahead`,
  );
  report.check(put !== undefined && dayText(put.at, false, zone) === day, `${zone}: the day is not the maker's`, put && dayText(put.at, false, zone));
  report.check(
    replay(stored.entries, zone).issues.length === 0,
    `${zone}: the log cannot be read through`,
    JSON.stringify(replay(stored.entries, zone).issues),
  );
  await server.stop();
  removeFolder(folder);
}

export async function clocks() {
  const report = tally();
  for (const maker of ZONES) await oneMaker(maker, report);
  return { did: `90 days ahead, right, and 3 hours back, ${ZONES.map((z) => z.zone).join(' and ')}`, wrong: report.wrong() };
}
