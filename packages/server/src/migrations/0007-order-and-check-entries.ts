import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0007-order-and-check-entries';

/**
 * The log's own order, the version of each payload, a digest by which damage is noticed, and what identifies the cellar.
 * Rows from before have no digest: they are checked by their contract when read.
 */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.addColumn('entries', 'seq', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 }, { transaction });
  await query.addColumn('entries', 'payload_version', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 }, { transaction });
  await query.addColumn('entries', 'digest', { type: DataTypes.INTEGER, allowNull: true }, { transaction });
  await query.sequelize.query('UPDATE entries SET seq = rowid', { transaction });
  await query.addIndex('entries', ['seq'], { name: 'entries_seq', unique: true, transaction });
  await query.createTable(
    'cellar',
    {
      key: { type: DataTypes.STRING(20), primaryKey: true, allowNull: false },
      value: { type: DataTypes.TEXT, allowNull: false },
    },
    { transaction },
  );
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.dropTable('cellar', { transaction });
  await query.removeIndex('entries', 'entries_seq', { transaction });
  for (const column of ['digest', 'payload_version', 'seq']) {
    await query.sequelize.query(`ALTER TABLE entries DROP COLUMN ${column}`, { transaction });
  }
}
