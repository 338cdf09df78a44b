import { replay, type Entry, type EntryKind } from '@trug/core';
import type { Transaction } from 'sequelize';
import { BatchModel } from '../batches/batch.model.js';
import { HttpError } from '../http/http-error.js';
import { VesselModel } from '../vessels/vessel.model.js';
import { entryRepository } from './entry.repository.js';

/** Kinds of entry after which something may stand in a vessel where nothing stood, or stand there again. */
const FILLING: ReadonlySet<EntryKind> = new Set(['filled', 'blended', 'split', 'racked', 'kegged', 'discarded', 'bottled', 'corrected']);

/** Vessels in which something stands after a log. */
function standingIn(log: readonly Entry[]): readonly string[] {
  return replay(log)
    .vessels.filter((fill) => fill.volumeL > 0)
    .map((fill) => fill.vesselId);
}

/**
 * Refuses what would fill a vessel in which another batch stands. Asked once everything of a request is in the log, so
 * that what is poured from one batch to another in one go is looked at as it ends.
 *
 * @param filed - the entries just filed
 * @param before - vessels in which each of their batches stood before
 * @param transaction - the write they belong to
 * @throws {HttpError} not-allowed naming the vessel and who stands in it
 */
export async function checkVesselsFree(filed: readonly Entry[], before: ReadonlyMap<string, readonly string[]>, transaction: Transaction): Promise<void> {
  const batchIds = [...new Set(filed.filter((e) => FILLING.has(e.kind)).map((e) => e.batchId))];
  const taken = new Map<string, string>();
  for (const batchId of batchIds) {
    for (const vesselId of standingIn(await entryRepository.list(batchId, transaction))) {
      const other = taken.get(vesselId);
      if (other !== undefined && other !== batchId) await refuse(vesselId, other, transaction);
      taken.set(vesselId, batchId);
    }
  }
  for (const [vesselId, batchId] of taken) {
    // What stood there already is no news, even where an old record has two in one vessel.
    if (before.get(batchId)?.includes(vesselId) === true) continue;
    for (const other of await entryRepository.batchesMentioning(vesselId, batchIds, transaction)) {
      if (standingIn(await entryRepository.list(other, transaction)).includes(vesselId)) await refuse(vesselId, other, transaction);
    }
  }
}

/** Vessels in which the batches of some entries stand now. */
export async function vesselsBefore(entries: readonly Entry[], transaction: Transaction): Promise<ReadonlyMap<string, readonly string[]>> {
  const before = new Map<string, readonly string[]>();
  for (const { batchId, kind } of entries) {
    if (FILLING.has(kind) && !before.has(batchId)) before.set(batchId, standingIn(await entryRepository.list(batchId, transaction)));
  }
  return before;
}

async function refuse(vesselId: string, batchId: string, transaction: Transaction): Promise<never> {
  const [vessel, batch] = await Promise.all([VesselModel.findByPk(vesselId, { transaction }), BatchModel.findByPk(batchId, { transaction })]);
  throw new HttpError(
    'not-allowed',
    `${vessel?.name ?? 'That vessel'} is taken: ${batch?.name ?? 'another batch'} stands in it. Choose another, or empty it first.`,
    {
      fields: [{ path: 'vessels', code: 'taken', message: 'another batch stands in it' }],
    },
  );
}
