import type { VesselKindId } from '@trug/contract';
import { DataTypes, Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A row of `vessels`. */
export class VesselModel extends Model<InferAttributes<VesselModel>, InferCreationAttributes<VesselModel>> {
  declare id: string;
  declare name: string;
  declare kind: VesselKindId;
  declare capacityL: number;
  declare cleanedAt: CreationOptional<string | null>;
  declare retiredOn: CreationOptional<string | null>;
}

/** Binds the model to a connection. */
export function initVesselModel(sequelize: Sequelize): void {
  VesselModel.init(
    {
      id: { type: DataTypes.STRING(26), primaryKey: true },
      name: { type: DataTypes.STRING(40), allowNull: false },
      kind: { type: DataTypes.STRING(20), allowNull: false },
      cleanedAt: { type: DataTypes.STRING(30), allowNull: true },
      retiredOn: { type: DataTypes.STRING(10), allowNull: true, field: 'retired_on' },
      capacityL: { type: DataTypes.DOUBLE, allowNull: false, field: 'capacity_l' },
    },
    { sequelize, tableName: 'vessels' },
  );
}
