import type { Sequelize } from 'sequelize';
import { BatchModel, initBatchModel } from '../batches/batch.model.js';
import { initResourceModels } from '../resources/resource.models.js';
import { initDeviceReadingModel } from '../devices/device-reading.model.js';
import { EntryModel, initEntryModel } from '../batches/entry.model.js';
import { initSettingsModel } from '../resources/settings.model.js';
import { initSummaryModels } from '../batches/summary.models.js';
import { initVesselModel } from '../resources/vessel.model.js';

/**
 * Binds every model to a connection and ties them together.
 *
 * @param sequelize - the connection
 */
export function initModels(sequelize: Sequelize): void {
  initBatchModel(sequelize);
  initEntryModel(sequelize);
  initVesselModel(sequelize);
  initSettingsModel(sequelize);
  initResourceModels(sequelize);
  initDeviceReadingModel(sequelize);
  initSummaryModels(sequelize);
  BatchModel.hasMany(EntryModel, { foreignKey: 'batchId' });
  EntryModel.belongsTo(BatchModel, { foreignKey: 'batchId' });
}
