import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0005-create-places-and-cleanings';

/** Places with their usual year, and when a vessel was last cleaned. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.createTable(
    'places',
    {
      id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      facts: { type: DataTypes.TEXT, allowNull: false },
    },
    { transaction },
  );
  await query.addColumn('vessels', 'cleaned_at', { type: DataTypes.STRING(30), allowNull: true }, { transaction });
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.removeColumn('vessels', 'cleaned_at', { transaction });
  await query.dropTable('places', { transaction });
}
