import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A resource that is changed as a whole: its facts are kept as JSON text, its version counts the changes. */
abstract class ResourceModel<M extends Model> extends Model<InferAttributes<M>, InferCreationAttributes<M>> {}

/** A row of `juices`. */
export class JuiceModel extends ResourceModel<JuiceModel> {
  declare id: string;
  declare version: number;
  declare facts: string;
}

/** A row of `supplies`. */
export class SupplyModel extends ResourceModel<SupplyModel> {
  declare id: string;
  declare version: number;
  declare facts: string;
}

/** A row of `places`. */
export class PlaceModel extends ResourceModel<PlaceModel> {
  declare id: string;
  declare version: number;
  declare facts: string;
}

/** A row of `instruments`. */
export class InstrumentModel extends ResourceModel<InstrumentModel> {
  declare id: string;
  declare version: number;
  declare facts: string;
}

/** A row of `recipes`. */
export class RecipeModel extends ResourceModel<RecipeModel> {
  declare id: string;
  declare version: number;
  declare facts: string;
}

const COLUMNS = {
  id: { type: DataTypes.STRING(26), primaryKey: true },
  version: { type: DataTypes.INTEGER, allowNull: false },
  facts: { type: DataTypes.TEXT, allowNull: false },
};

/** Binds the models to a connection. */
export function initResourceModels(sequelize: Sequelize): void {
  JuiceModel.init({ ...COLUMNS }, { sequelize, tableName: 'juices' });
  SupplyModel.init({ ...COLUMNS }, { sequelize, tableName: 'supplies' });
  PlaceModel.init({ ...COLUMNS }, { sequelize, tableName: 'places' });
  InstrumentModel.init({ ...COLUMNS }, { sequelize, tableName: 'instruments' });
  RecipeModel.init({ ...COLUMNS }, { sequelize, tableName: 'recipes' });
}
