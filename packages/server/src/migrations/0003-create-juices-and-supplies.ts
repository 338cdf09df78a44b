import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0003-create-juices-and-supplies';

/** Juices in hand and what the cupboard holds: cards that are changed as a whole, each with its version. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  for (const table of ['juices', 'supplies']) {
    await query.createTable(
      table,
      {
        id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false },
        version: { type: DataTypes.INTEGER, allowNull: false },
        facts: { type: DataTypes.TEXT, allowNull: false },
      },
      { transaction },
    );
  }
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.dropTable('supplies', { transaction });
  await query.dropTable('juices', { transaction });
}
