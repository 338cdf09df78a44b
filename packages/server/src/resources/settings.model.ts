import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** The one row of `settings`. */
export class SettingsModel extends Model<InferAttributes<SettingsModel>, InferCreationAttributes<SettingsModel>> {
  declare id: number;
  declare version: number;
  /** The choices as JSON text. */
  declare choices: string;
}

/** Binds the model to a connection. */
export function initSettingsModel(sequelize: Sequelize): void {
  SettingsModel.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true },
      version: { type: DataTypes.INTEGER, allowNull: false },
      choices: { type: DataTypes.TEXT, allowNull: false },
    },
    { sequelize, tableName: 'settings' },
  );
}
