import type { Entry, EntryKind } from '@trug/core';
import type { Transaction } from 'sequelize';
import { BatchModel } from './batch.model.js';
import { HttpError } from '../http/http-error.js';
import { summaryStore } from './summary.store.js';
import { isOverBrim } from '../resources/brim.js';
import { VesselModel } from '../resources/vessel.model.js';

/** Kinds of entry after which something may stand in a vessel where nothing stood, or stand there again. */
const FILLING: ReadonlySet<EntryKind> = new Set([
  'filled',
  'steeped',
  'strained',
  'blended',
  'split',
  'racked',
  'kegged',
  'discarded',
  'bottled',
  'corrected',
  // These make it more.
  'addition',
  'sweetened',
  'primed',
]);

/** Litres in each vessel of a batch. */
type Fills = ReadonlyMap<string, number>;

/**
 * Refuses what would fill a vessel in which another batch stands, or past its brim. Asked once everything of a request is in
 * the log and the ledger, so that what is poured from one batch to another in one go is looked at as it ends.
 *
 * @param filed - the entries just filed
 * @param before - vessels in which each of their batches stood before, and how full
 * @param transaction - the write they belong to
 * @throws {HttpError} not-allowed naming the vessel and who stands in it
 */
export async function checkVesselsFree(filed: readonly Entry[], before: ReadonlyMap<string, Fills>, transaction: Transaction): Promise<void> {
  const batchIds = [...new Set(filed.filter((e) => FILLING.has(e.kind)).map((e) => e.batchId))];
  const taken = new Map<string, string>();
  for (const batchId of batchIds) {
    for (const [vesselId, volumeL] of await summaryStore.fillsOf(batchId, transaction)) {
      if (volumeL > (before.get(batchId)?.get(vesselId) ?? 0)) await checkBrim(vesselId, volumeL, transaction);
      const other = taken.get(vesselId);
      if (other !== undefined && other !== batchId) await refuse(vesselId, other, transaction);
      taken.set(vesselId, batchId);
    }
  }
  for (const [vesselId, batchId] of taken) {
    // What stood there already is no news, even where an old record has two in one vessel.
    if (before.get(batchId)?.has(vesselId) === true) continue;
    const [other] = await summaryStore.standingIn(vesselId, batchIds, transaction);
    if (other !== undefined) await refuse(vesselId, other, transaction);
  }
}

/** Vessels in which the batches of some entries stand now. */
export async function vesselsBefore(entries: readonly Entry[], transaction: Transaction): Promise<ReadonlyMap<string, Fills>> {
  const before = new Map<string, Fills>();
  for (const { batchId, kind } of entries) {
    if (FILLING.has(kind) && !before.has(batchId)) before.set(batchId, await summaryStore.fillsOf(batchId, transaction));
  }
  return before;
}

async function checkBrim(vesselId: string, volumeL: number, transaction: Transaction): Promise<void> {
  const vessel = await VesselModel.findByPk(vesselId, { transaction });
  if (!vessel || !isOverBrim(volumeL, vessel.capacityL)) return;
  throw new HttpError(
    'not-allowed',
    `${vessel.name} holds ${round(vessel.capacityL)} L to the brim, and this would put ${round(volumeL)} L into it. Choose a larger vessel, or put some of it into another.`,
    { fields: [{ path: 'vessels', code: 'overfull', message: 'more than it holds' }] },
  );
}

const round = (litres: number): number => Math.round(litres * 100) / 100;

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
