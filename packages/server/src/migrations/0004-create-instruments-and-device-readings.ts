import { DataTypes, type QueryInterface, type Transaction } from 'sequelize';

export const name = '0004-create-instruments-and-device-readings';

/** What a maker measures with, and what devices sent by themselves, apart from the log. */
export async function up(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.createTable(
    'instruments',
    {
      id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      facts: { type: DataTypes.TEXT, allowNull: false },
    },
    { transaction },
  );
  await query.createTable(
    'device_readings',
    {
      // A device has one reading a second, which also keeps a flood from filling the disk.
      device_id: { type: DataTypes.STRING(26), primaryKey: true, allowNull: false, references: { model: 'instruments', key: 'id' } },
      at_s: { type: DataTypes.INTEGER, primaryKey: true, allowNull: false },
      batch_id: { type: DataTypes.STRING(26), allowNull: true, references: { model: 'batches', key: 'id' } },
      sg: { type: DataTypes.DOUBLE, allowNull: true },
      temp_c: { type: DataTypes.DOUBLE, allowNull: true },
      ph: { type: DataTypes.DOUBLE, allowNull: true },
      mass_g: { type: DataTypes.DOUBLE, allowNull: true },
    },
    { transaction },
  );
  await query.addIndex('device_readings', ['batch_id', 'device_id', 'at_s'], { name: 'device_readings_batch', transaction });
}

export async function down(query: QueryInterface, transaction: Transaction): Promise<void> {
  await query.dropTable('device_readings', { transaction });
  await query.dropTable('instruments', { transaction });
}
