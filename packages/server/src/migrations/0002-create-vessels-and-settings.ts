import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0002-create-vessels-and-settings';

/** What the maker owns, and how they like their figures. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.createTable(
    'vessels',
    {
      id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false },
      name: { type: DataTypes.STRING(40), allowNull: false },
      kind: { type: DataTypes.STRING(20), allowNull: false },
      capacity_l: { type: DataTypes.DOUBLE, allowNull: false },
    },
    { transaction },
  );
  await query.createTable(
    'settings',
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      choices: { type: DataTypes.TEXT, allowNull: false },
    },
    { transaction },
  );
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.dropTable('settings', { transaction });
  await query.dropTable('vessels', { transaction });
}
