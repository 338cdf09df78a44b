import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0006-mark-made-up-readings';

/** What a stand-in played is told from what a device measured. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.addColumn('device_readings', 'made_up', { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false }, { transaction });
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.removeColumn('device_readings', 'made_up', { transaction });
}
