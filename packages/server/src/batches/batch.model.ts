import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A row of `batches`. */
export class BatchModel extends Model<InferAttributes<BatchModel>, InferCreationAttributes<BatchModel>> {
  declare id: string;
  declare name: string;
  declare methodId: string;
  declare tape: string;
  declare startedAt: string;
}

/** Binds the model to a connection. */
export function initBatchModel(sequelize: Sequelize): void {
  BatchModel.init(
    {
      id: { type: DataTypes.STRING(26), primaryKey: true },
      name: { type: DataTypes.STRING(60), allowNull: false },
      methodId: { type: DataTypes.STRING(40), allowNull: false },
      tape: { type: DataTypes.STRING(20), allowNull: false },
      startedAt: { type: DataTypes.STRING(30), allowNull: false },
    },
    { sequelize, tableName: 'batches' },
  );
}
