import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A row of `device_readings`: what a device sent, as it sent it. */
export class DeviceReadingModel extends Model<InferAttributes<DeviceReadingModel>, InferCreationAttributes<DeviceReadingModel>> {
  declare deviceId: string;
  /** Seconds since 1970. */
  declare atS: number;
  declare batchId: string | null;
  declare sg: number | null;
  declare tempC: number | null;
  declare ph: number | null;
  declare massG: number | null;
  declare madeUp: boolean;
}

/** Binds the model to a connection. */
export function initDeviceReadingModel(sequelize: Sequelize): void {
  const figure = { type: DataTypes.DOUBLE, allowNull: true };
  DeviceReadingModel.init(
    {
      deviceId: { type: DataTypes.STRING(26), primaryKey: true },
      atS: { type: DataTypes.INTEGER, primaryKey: true },
      batchId: { type: DataTypes.STRING(26), allowNull: true },
      sg: { ...figure },
      tempC: { ...figure },
      ph: { ...figure },
      massG: { ...figure },
      madeUp: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    },
    { sequelize, tableName: 'device_readings' },
  );
}
