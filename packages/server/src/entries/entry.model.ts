import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A row of `entries`; the payload is kept as it was sent, as JSON text. */
export class EntryModel extends Model<InferAttributes<EntryModel>, InferCreationAttributes<EntryModel>> {
  declare id: string;
  declare batchId: string;
  declare kind: string;
  declare at: string;
  declare writtenAt: string;
  declare note: string;
  declare payload: string;
}

/** Binds the model to a connection. */
export function initEntryModel(sequelize: Sequelize): void {
  EntryModel.init(
    {
      id: { type: DataTypes.STRING(26), primaryKey: true },
      batchId: { type: DataTypes.STRING(26), allowNull: false },
      kind: { type: DataTypes.STRING(20), allowNull: false },
      at: { type: DataTypes.STRING(30), allowNull: false },
      writtenAt: { type: DataTypes.STRING(30), allowNull: false },
      note: { type: DataTypes.TEXT, allowNull: false },
      payload: { type: DataTypes.TEXT, allowNull: false },
    },
    { sequelize, tableName: 'entries' },
  );
}
