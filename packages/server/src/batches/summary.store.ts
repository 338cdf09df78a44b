import { FOLD_VERSION, summarise, type BatchSummary } from '@trug/core';
import { Op, QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { entryRepository } from './entry.repository.js';
import { BatchSummaryModel, JuicePourModel, VesselFillModel } from './summary.models.js';

/** Where a batch's log ends, and whether what is kept of it was made of that log. */
interface Head {
  readonly batchId: string;
  readonly headSeq: number;
  readonly upToDate: number;
}

/** Heads of batches, each found at the end of an index. */
const headsWhere = (where: string): string => `
  SELECT batchId, headSeq, (s.head_seq IS headSeq AND s.fold_version IS ${FOLD_VERSION}) AS upToDate
  FROM (SELECT id AS batchId, COALESCE((SELECT MAX(seq) FROM entries WHERE batch_id = batches.id), 0) AS headSeq FROM batches ${where})
  LEFT JOIN batch_summaries s ON s.batch_id = batchId`;

/** The heads of all batches, or of those named. */
const headsOf = (sequelize: Sequelize, ids: readonly string[] | null): Promise<readonly Head[]> =>
  sequelize.query<Head>(headsWhere(ids === null ? '' : 'WHERE id IN (:ids)'), { type: QueryTypes.SELECT, replacements: { ids } });

async function store({ batchId, headSeq }: Omit<Head, 'upToDate'>, transaction: Transaction): Promise<void> {
  const summary = summarise(await entryRepository.list(batchId, transaction));
  await BatchSummaryModel.upsert({ batchId, headSeq, foldVersion: FOLD_VERSION, summary: JSON.stringify(summary) }, { transaction });
  await VesselFillModel.destroy({ where: { batchId }, transaction });
  await JuicePourModel.destroy({ where: { batchId }, transaction });
  // One vessel may be named twice; the last word counts.
  const stands = new Map(summary.state.vessels.filter((v) => v.volumeL > 0).map((v) => [v.vesselId, v.volumeL]));
  await VesselFillModel.bulkCreate(
    [...stands].map(([vesselId, volumeL]) => ({ batchId, vesselId, volumeL })),
    { transaction },
  );
  await JuicePourModel.bulkCreate(
    summary.poured.map(({ id, amount }) => ({ batchId, juiceId: id, volumeL: amount })),
    { transaction },
  );
}

/** What is kept of each batch beside its log, written with every entry. */
export const summaryStore = {
  /** Makes a batch's summary anew, in the write that changed its log. */
  async rewrite(batchId: string, transaction: Transaction): Promise<void> {
    await store({ batchId, headSeq: await entryRepository.headOf(batchId, transaction) }, transaction);
  },

  /**
   * Makes anew what is missing, older than its log or of an older fold; batches that are gone leave nothing behind.
   *
   * @param sequelize - an open book
   * @param which - only what is out of date, or all of it
   * @returns how many were made
   */
  async freshen(sequelize: Sequelize, which: 'stale' | 'all' = 'stale'): Promise<number> {
    const stale = (await headsOf(sequelize, null)).filter((head) => which === 'all' || !head.upToDate);
    for (const head of stale) await sequelize.transaction((transaction) => store(head, transaction));
    return stale.length;
  },

  /**
   * The summaries of all batches, or of some, as JSON text by batch id; what is out of date is folded from its log, and not kept.
   *
   * @param sequelize - an open book
   * @param ids - of batches; null for all
   */
  async asJson(sequelize: Sequelize, ids: readonly string[] | null): Promise<ReadonlyMap<string, string>> {
    const which = ids === null ? {} : { where: { batchId: { [Op.in]: [...ids] } } };
    const [heads, rows] = await Promise.all([headsOf(sequelize, ids), BatchSummaryModel.findAll({ ...which, attributes: ['batchId', 'summary'], raw: true })]);
    const kept = new Map(rows.map((row) => [row.batchId, row.summary]));
    const found = new Map<string, string>();
    for (const { batchId, upToDate } of heads) {
      const text = upToDate ? kept.get(batchId) : undefined;
      found.set(batchId, text ?? JSON.stringify(await summaryStore.of(batchId)));
    }
    return found;
  },

  /** Batches of which something else is kept than their logs fold into, or nothing. */
  async differing(sequelize: Sequelize): Promise<readonly string[]> {
    const kept = new Map((await BatchSummaryModel.findAll({ raw: true })).map((row) => [row.batchId, row.summary]));
    const differ: string[] = [];
    for (const { batchId } of await headsOf(sequelize, null)) {
      if (kept.get(batchId) !== JSON.stringify(await summaryStore.of(batchId))) differ.push(batchId);
    }
    return differ;
  },

  /** One batch's summary, folded from its log. */
  async of(batchId: string): Promise<BatchSummary> {
    return summarise(await entryRepository.list(batchId));
  },

  /** Litres of a batch in each vessel in which something of it stands. */
  async fillsOf(batchId: string, transaction: Transaction): Promise<ReadonlyMap<string, number>> {
    const rows = await VesselFillModel.findAll({ where: { batchId }, transaction, raw: true });
    return new Map(rows.map((row) => [row.vesselId, row.volumeL]));
  },

  /** Batches of which something stands in a vessel, other than those named. */
  async standingIn(vesselId: string, except: readonly string[], transaction: Transaction): Promise<readonly string[]> {
    const rows = await VesselFillModel.findAll({ where: { vesselId }, attributes: ['batchId'], transaction, raw: true });
    return rows.map((row) => row.batchId).filter((id) => !except.includes(id));
  },

  /** How much stands in a vessel, L. */
  async heldL(vesselId: string, transaction: Transaction): Promise<number> {
    return (await VesselFillModel.sum('volumeL', { where: { vesselId }, transaction })) || 0;
  },

  /** Litres poured of a juice into all batches. */
  async pouredOf(juiceId: string, transaction: Transaction): Promise<number> {
    return (await JuicePourModel.sum('volumeL', { where: { juiceId }, transaction })) || 0;
  },
};
