import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0008-keep-summaries';

/** What the log says of each batch, kept beside it so that lists and checks need no log; all of it can be made anew. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  const batchId = { type: DataTypes.STRING(26), primaryKey: true, allowNull: false };
  await query.addIndex('entries', ['batch_id', 'seq'], { name: 'entries_batch_seq', transaction });
  await query.createTable(
    'batch_summaries',
    {
      batch_id: batchId,
      head_seq: { type: DataTypes.INTEGER, allowNull: false },
      fold_version: { type: DataTypes.INTEGER, allowNull: false },
      summary: { type: DataTypes.TEXT, allowNull: false },
    },
    { transaction },
  );
  await query.createTable(
    'vessel_fills',
    {
      batch_id: batchId,
      vessel_id: { type: DataTypes.STRING(40), primaryKey: true, allowNull: false },
      volume_l: { type: DataTypes.DOUBLE, allowNull: false },
    },
    { transaction },
  );
  await query.createTable(
    'juice_pours',
    { batch_id: batchId, juice_id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false }, volume_l: { type: DataTypes.DOUBLE, allowNull: false } },
    { transaction },
  );
  await query.addIndex('vessel_fills', ['vessel_id'], { name: 'vessel_fills_vessel', transaction });
  await query.addIndex('juice_pours', ['juice_id'], { name: 'juice_pours_juice', transaction });
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  for (const table of ['juice_pours', 'vessel_fills', 'batch_summaries']) await query.dropTable(table, { transaction });
  await query.removeIndex('entries', 'entries_batch_seq', { transaction });
}
