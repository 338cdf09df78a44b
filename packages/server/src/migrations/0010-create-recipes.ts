import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0010-create-recipes';

/** Recipes of the maker's own. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.createTable(
    'recipes',
    {
      id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      facts: { type: DataTypes.TEXT, allowNull: false },
    },
    { transaction },
  );
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.dropTable('recipes', { transaction });
}
