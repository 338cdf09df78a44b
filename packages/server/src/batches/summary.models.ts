import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A row of `batch_summaries`: what a batch's log folds into, and of which log. */
export class BatchSummaryModel extends Model<InferAttributes<BatchSummaryModel>, InferCreationAttributes<BatchSummaryModel>> {
  declare batchId: string;
  /** The last entry's place in the log, which only grows: by it a summary is seen to be up to date. */
  declare headSeq: number;
  declare foldVersion: number;
  /** JSON text. */
  declare summary: string;
}

/** A row of `vessel_fills`: how much of a batch stands in a vessel. */
export class VesselFillModel extends Model<InferAttributes<VesselFillModel>, InferCreationAttributes<VesselFillModel>> {
  declare batchId: string;
  declare vesselId: string;
  declare volumeL: number;
}

/** A row of `juice_pours`: how much of a juice a batch took. */
export class JuicePourModel extends Model<InferAttributes<JuicePourModel>, InferCreationAttributes<JuicePourModel>> {
  declare batchId: string;
  declare juiceId: string;
  declare volumeL: number;
}

/** Tables that follow from the log alone. */
export const DERIVED_TABLES: readonly string[] = ['batch_summaries', 'vessel_fills', 'juice_pours'];

/** Binds the models to a connection. */
export function initSummaryModels(sequelize: Sequelize): void {
  // Each column needs an object of its own: Sequelize writes the column's name into it.
  const id = (): { type: DataTypes.StringDataType; primaryKey: true } => ({ type: DataTypes.STRING(40), primaryKey: true });
  const litres = (): { type: DataTypes.DoubleDataType; allowNull: false; field: string } => ({ type: DataTypes.DOUBLE(), allowNull: false, field: 'volume_l' });
  const number = (): { type: DataTypes.IntegerDataType; allowNull: false } => ({ type: DataTypes.INTEGER(), allowNull: false });
  BatchSummaryModel.init(
    { batchId: id(), headSeq: number(), foldVersion: number(), summary: { type: DataTypes.TEXT, allowNull: false } },
    { sequelize, tableName: 'batch_summaries' },
  );
  VesselFillModel.init({ batchId: id(), vesselId: id(), volumeL: litres() }, { sequelize, tableName: 'vessel_fills' });
  JuicePourModel.init({ batchId: id(), juiceId: id(), volumeL: litres() }, { sequelize, tableName: 'juice_pours' });
}
