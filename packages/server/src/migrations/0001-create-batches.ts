import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0001-create-batches';

/** Batches and the log that is their truth. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.createTable(
    'batches',
    {
      id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false },
      name: { type: DataTypes.STRING(60), allowNull: false },
      method_id: { type: DataTypes.STRING(40), allowNull: false },
      tape: { type: DataTypes.STRING(20), allowNull: false },
      started_at: { type: DataTypes.STRING(30), allowNull: false },
    },
    { transaction },
  );
  await query.createTable(
    'entries',
    {
      id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false },
      batch_id: { type: DataTypes.STRING(26), allowNull: false, references: { model: 'batches', key: 'id' } },
      kind: { type: DataTypes.STRING(20), allowNull: false },
      at: { type: DataTypes.STRING(30), allowNull: false },
      written_at: { type: DataTypes.STRING(30), allowNull: false },
      note: { type: DataTypes.TEXT, allowNull: false },
      payload: { type: DataTypes.TEXT, allowNull: false },
    },
    { transaction },
  );
  await query.addIndex('entries', ['batch_id', 'at'], { name: 'entries_batch_at', transaction });
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.dropTable('entries', { transaction });
  await query.dropTable('batches', { transaction });
}
