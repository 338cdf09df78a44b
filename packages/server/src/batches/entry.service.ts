import { isDeepStrictEqual } from 'node:util';
import { checkEntry, type JuiceDto } from '@trug/contract';
import { calledBy, checkEntryAgainst, dayIn, daysBetween, judgeState, MOST_DAYS_AHEAD, replay, type Entry } from '@trug/core';
import type { Transaction } from 'sequelize';
import type { Clock } from '../run/clock.js';
import { BatchModel } from './batch.model.js';
import type { ResourceStore } from '../resources/resource.store.js';
import type { Write } from '../db/write-queue.js';
import { HttpError } from '../http/http-error.js';
import { listIn } from '../http/read-body.js';
import { checkPour, checkSplitFree } from './pours.js';
import { summaryStore } from './summary.store.js';
import { settingsInForce } from '../resources/settings.store.js';
import { entryRepository } from './entry.repository.js';
import { checkVesselsFree, vesselsBefore } from './vessels-free.js';

const MOST_ENTRIES_AT_ONCE = 200;

/** What the entry service needs. */
export interface EntryServiceDeps {
  readonly write: Write;
  readonly clock: Clock;
  readonly juices: ResourceStore<JuiceDto>;
}

/** What became of a request to file entries. */
export interface Filed {
  readonly entries: readonly Entry[];
  /** How many were new; the rest had been filed before. */
  readonly added: number;
}

/** The use cases of the log. */
export interface EntryService {
  readonly file: (body: unknown) => Promise<Filed>;
  readonly fileWithin: (entries: readonly Entry[], transaction: Transaction) => Promise<number>;
}

/**
 * Reads a list of entries out of a request.
 *
 * @param body - `{ entries: [...] }`
 * @returns the checked entries
 * @throws {HttpError} bad-request naming every refused field
 */
export function readEntries(body: unknown): readonly Entry[] {
  const list = listIn(body, 'entries');
  if (!list || list.length === 0 || list.length > MOST_ENTRIES_AT_ONCE) {
    throw new HttpError('bad-request', `entries must be a list of 1 to ${MOST_ENTRIES_AT_ONCE}`);
  }
  return list.map((plain, i) => {
    const check = checkEntry(plain);
    if (!check.ok) {
      const fields = check.fields.map((f) => ({ ...f, path: `entries.${i}.${f.path}` }));
      throw new HttpError('bad-request', fields.map((f) => `${f.path}: ${f.message}`).join('; '), { fields });
    }
    return check.value;
  });
}

/** JSON as it will be stored, so that a repeated send compares equal whatever order or class it came in. */
const asStored = (entry: Entry): unknown => JSON.parse(JSON.stringify(entry)) as unknown;

/**
 * The log's use cases.
 *
 * @param deps - the write queue and the clock
 * @returns the service
 */
export function createEntryService({ write, clock, juices }: EntryServiceDeps): EntryService {
  async function fileOne(entry: Entry, transaction: Transaction): Promise<boolean> {
    const there = await entryRepository.find(entry.id, transaction);
    if (there === 'unreadable') throw new HttpError('conflict', `an entry that cannot be read is filed under ${entry.id}`);
    if (there) {
      if (isDeepStrictEqual(asStored(there), asStored(entry))) return false;
      throw new HttpError('conflict', `another entry is already filed under ${entry.id}`, { current: there });
    }
    if (!(await BatchModel.findByPk(entry.batchId, { transaction }))) {
      throw new HttpError('not-found', `there is no batch ${entry.batchId}`);
    }
    const now = clock.now().toISOString();
    const { timeZone } = await settingsInForce(transaction);
    const datedAt = happensAt(entry);
    if (datedAt !== null && daysBetween(now, datedAt) > MOST_DAYS_AHEAD) {
      throw new HttpError(
        'not-allowed',
        `An entry cannot be dated ${dayIn(datedAt, timeZone)}, which is still to come. Check the day, and the clock of this machine.`,
      );
    }
    const log = await entryRepository.list(entry.batchId, transaction);
    refuseWhatDoesNotAddUp(log, entry, { now, timeZone });
    if (entry.kind === 'blended') await checkPour(entry, juices, transaction);
    const corrected = entry.kind === 'corrected' ? log.find((e) => e.id === entry.payload.entryId) : undefined;
    if (corrected) await checkSplitFree(corrected, transaction);
    await entryRepository.insert(entry, transaction);
    return true;
  }

  async function fileWithin(entries: readonly Entry[], transaction: Transaction): Promise<number> {
    const before = await vesselsBefore(entries, transaction);
    const added: Entry[] = [];
    const changed = new Set<string>();
    const bringUpToDate = async (): Promise<void> => {
      for (const batchId of changed) await summaryStore.rewrite(batchId, transaction);
      changed.clear();
    };
    for (const entry of entries) {
      // A pour is checked against what was poured, the entries before it in the same request among it.
      if (entry.kind === 'blended') await bringUpToDate();
      if (!(await fileOne(entry, transaction))) continue;
      added.push(entry);
      changed.add(entry.batchId);
    }
    await bringUpToDate();
    await callAsTold(added, transaction);
    await checkVesselsFree(added, before, transaction);
    return added.length;
  }

  return {
    fileWithin,
    file: async (body) => {
      const entries = readEntries(body);
      const added = await write((transaction) => fileWithin(entries, transaction));
      return { entries, added };
    },
  };
}

/** Batches are called what their logs say, also after a new name was struck out. */
async function callAsTold(added: readonly Entry[], transaction: Transaction): Promise<void> {
  const told = new Set(added.flatMap((entry) => (entry.kind === 'renamed' || entry.kind === 'corrected' ? [entry.batchId] : [])));
  for (const id of told) {
    const called = calledBy(await entryRepository.list(id, transaction));
    if (called) await BatchModel.update({ name: called.name, tape: called.tape }, { where: { id }, transaction });
  }
}

/** When what an entry says happened; a correction says it in what takes the place, and one that strikes out says nothing of the kind. */
function happensAt(entry: Entry): string | null {
  return entry.kind === 'corrected' ? (entry.payload.replacement?.at ?? null) : entry.at;
}

function refuseWhatDoesNotAddUp(log: readonly Entry[], entry: Entry, { now, timeZone }: { readonly now: string; readonly timeZone: string }): void {
  if (entry.kind === 'corrected') {
    const target = log.find((e) => e.id === entry.payload.entryId);
    if (!target || target.kind === 'corrected') throw new HttpError('not-allowed', 'The entry to be corrected is not in this batch.');
    if (entry.payload.replacement && entry.payload.replacement.kind !== target.kind) {
      throw new HttpError('not-allowed', `A ${target.kind} entry cannot be corrected into a ${entry.payload.replacement.kind}.`);
    }
  }
  const before = replay(log, timeZone);
  const verdict = judgeState(before, entry.at > now ? now : entry.at)?.value ?? null;
  const check = checkEntryAgainst(before, verdict, entry);
  if (check.refusal) throw new HttpError('not-allowed', check.refusal);
  if (check.dangers.length > 0) {
    throw new HttpError('not-allowed', `A danger was not acknowledged. ${check.dangers.map((d) => d.text).join(' ')}`, {
      fields: check.dangers.map((d) => ({ path: 'payload.acknowledged', code: d.id, message: d.text })),
    });
  }
  const known = new Set(before.issues.map((issue) => issue.entryId));
  const issue = replay([...log, entry]).issues.find((i) => !known.has(i.entryId));
  if (issue) throw new HttpError('not-allowed', `That does not add up: ${issue.text}.`);
}
