import { DataTypes, Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A row of `entries`; the payload is kept as it was sent, as JSON text. */
export class EntryModel extends Model<InferAttributes<EntryModel>, InferCreationAttributes<EntryModel>> {
  declare id: string;
  declare batchId: string;
  declare kind: string;
  declare at: string;
  declare writtenAt: string;
  declare note: string;
  declare payload: string;
  /** The log's own order: counts up with every entry filed. */
  declare seq: number;
  /** The version of the payload's form. */
  declare payloadVersion: CreationOptional<number>;
  /** CRC-32 of the rest of the row; null in rows from before it was kept. */
  declare digest: number | null;
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
      seq: { type: DataTypes.INTEGER, allowNull: false },
      payloadVersion: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
      digest: { type: DataTypes.INTEGER, allowNull: true },
    },
    { sequelize, tableName: 'entries' },
  );
}
