import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0009-retire-vessels';

/** A vessel that broke or was given away stays in its logs and is offered no more. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.addColumn('vessels', 'retired_on', { type: DataTypes.STRING(10), allowNull: true }, { transaction });
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.removeColumn('vessels', 'retired_on', { transaction });
}
