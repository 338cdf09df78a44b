import type { JuiceDto } from '@trug/contract';
import { type BlendPart, effectiveEntries, type Entry, type EntryOf, guessedOf, isMoreThan, juiceInHand, litresIn, replay } from '@trug/core';
import { Op, type Transaction } from 'sequelize';
import type { ResourceStore } from '../resources/resource.store.js';
import { EntryModel } from './entry.model.js';
import { entryRepository } from './entry.repository.js';
import { summaryStore } from './summary.store.js';
import { HttpError } from '../http/http-error.js';

/** Litres by which a pour may pass what is written down: jugs are not that exact. */
const SLACK_L = 0.05;
/** Relative difference at which two figures of one liquid count as different. */
const SAME = 1e-6;

/**
 * Refuses a juice that says less than has been poured from it already.
 *
 * @param juice - as it would be stored
 * @param transaction - the write it belongs to
 * @throws {HttpError} not-allowed
 */
export async function checkJuice(juice: JuiceDto, transaction: Transaction): Promise<void> {
  const pouredL = await summaryStore.pouredOf(juice.id, transaction);
  if (juice.volumeL - juice.goneL < pouredL - SLACK_L) {
    throw new HttpError(
      'not-allowed',
      `${pouredL.toFixed(1)} L of ${juice.name} have been poured into batches, so there cannot have been less. Check the litres.`,
      {
        fields: [{ path: 'volumeL', code: 'poured', message: `at least ${pouredL.toFixed(1)} L were poured` }],
      },
    );
  }
}

/**
 * Refuses a pour whose parts are not there, or are no longer what they were when it was worked out.
 *
 * @param entry - the pour
 * @param juices - the juices
 * @param transaction - the write it belongs to, with the splits of other batches already in it
 * @throws {HttpError} not-found, conflict or not-allowed
 */
export async function checkPour(entry: EntryOf<'blended'>, juices: ResourceStore<JuiceDto>, transaction: Transaction): Promise<void> {
  for (const part of entry.payload.parts) {
    if (part.from === 'juice') await checkJuicePart(part, juices, transaction);
    else await checkBatchPart(part, entry.batchId, transaction);
  }
  const fillsL = litresIn(entry.payload.vessels);
  const partsL = entry.payload.parts.reduce((sum, p) => sum + p.liquid.volumeL, 0);
  const alreadyL = replay(await entryRepository.list(entry.batchId, transaction)).liquid?.volumeL ?? 0;
  if (isMoreThan(fillsL, partsL + alreadyL)) {
    throw new HttpError('not-allowed', `${fillsL.toFixed(1)} L cannot stand in the vessels when ${(partsL + alreadyL).toFixed(1)} L were poured.`);
  }
}

async function checkJuicePart({ sourceId, name, liquid, guessed }: BlendPart, juices: ResourceStore<JuiceDto>, transaction: Transaction): Promise<void> {
  const juice = await juices.find(sourceId, transaction);
  if (!juice) throw new HttpError('not-found', `there is no juice ${sourceId}`);
  if (juice.preserved) throw new HttpError('not-allowed', `${name} is preserved with sorbate or benzoate and will not ferment. Leave it out.`);
  const hand = juiceInHand(juice, await summaryStore.pouredOf(sourceId, transaction));
  const { liquid: now, leftL } = hand;
  if (liquid.volumeL > leftL + SLACK_L) {
    throw new HttpError('not-allowed', `${liquid.volumeL.toFixed(1)} L of ${name} cannot be poured: ${leftL.toFixed(1)} L are left.`);
  }
  const changed = (Object.keys(now) as (keyof typeof now)[]).some((key) => {
    const [a, b] = [now[key], liquid[key]];
    return key !== 'volumeL' && (typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) > SAME * Math.max(1, Math.abs(a)) : a !== b);
  });
  const told = guessed !== undefined && guessed.join() !== guessedOf(hand).join();
  if (changed || told)
    throw new HttpError('conflict', `${name} has been measured anew since this blend was worked out. Open the bench again.`, { current: juice });
}

async function checkBatchPart({ sourceId, name, liquid }: BlendPart, batchId: string, transaction: Transaction): Promise<void> {
  const log = effectiveEntries(await entryRepository.list(sourceId, transaction)).entries;
  const sent = log.some((e) => e.kind === 'split' && e.payload.into.some((s) => s.batchId === batchId && Math.abs(s.volumeL - liquid.volumeL) < SLACK_L));
  if (!sent) throw new HttpError('not-allowed', `Nothing was split from ${name} for this batch.`);
}

/**
 * Refuses to strike out a split while what was split off still stands in another batch.
 *
 * @param target - the entry to be corrected
 * @param transaction - the write it belongs to
 * @throws {HttpError} not-allowed naming the batch
 */
export async function checkSplitFree(target: Entry, transaction: Transaction): Promise<void> {
  if (target.kind !== 'split') return;
  const rows = await EntryModel.findAll({
    where: { kind: 'blended', batchId: { [Op.in]: target.payload.into.map((s) => s.batchId) } },
    attributes: ['batchId'],
    group: ['batchId'],
    transaction,
  });
  for (const { batchId } of rows) {
    const { entries } = effectiveEntries(await entryRepository.list(batchId, transaction));
    if (entries.some((e) => e.kind === 'blended' && e.payload.parts.some((p) => p.from === 'batch' && p.sourceId === target.batchId))) {
      const name = target.payload.into.find((s) => s.batchId === batchId)?.name ?? 'another batch';
      throw new HttpError('not-allowed', `What was split off stands in ${name}. Strike it out there first.`);
    }
  }
}
